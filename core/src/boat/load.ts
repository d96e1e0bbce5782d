import type { Boat, LoadItem, Person, Trip } from '../model';
import { guessed } from '../verdict';
import { LIQUIDS } from '../model/lists';
import { PLATE_PERSON } from './capacity';
import { BOAT } from './limits';

/** Share of a maker's greatest load to plan for, and above which it is too deep (source `kayak-share`: 65 to 75 %). */
export const PLANNED_SHARE = BOAT.limit('planned-share');

/** Kilograms of one entry of the load: a liquid weighs what its volume does. */
export const massOf = ({ mass, liquid, volume }: Pick<LoadItem, 'mass' | 'liquid' | 'volume'>): number =>
  liquid !== undefined && volume !== undefined ? volume * LIQUIDS[liquid].density : (mass ?? 0);

export interface LoadSum {
  /** kg */
  people: number;
  gear: number;
  total: number;
  /** People whose weight is not known: the total is then a least value. */
  unknown: string[];
  /** A weight of people, or the limit, is only guessed. */
  guessed: boolean;
  limit?: { mass: number; from: 'plate' | 'advised'; guessed: boolean };
  /** What the plate allows of people's weight and of power. */
  personsMass?: number;
  persons: number;
  personsLimit?: { count: number; from: 'plate' };
}

export const plateOf = (boat: Pick<Boat, 'plate'>) => (boat.plate === 'none' ? undefined : boat.plate);

/** Everything that goes in, against the plate or the maker's figure. Masses in kg. */
export function loadOf(boat: Boat, people: Person[], trip: Pick<Trip, 'load'>): LoadSum {
  const weighed = people.filter((p) => p.mass !== undefined);
  const peopleMass = weighed.reduce((sum, p) => sum + (p.mass ?? 0), 0);
  const gear = trip.load.reduce((sum, item) => sum + massOf(item), 0);
  const plate = plateOf(boat);
  const limit =
    plate?.totalMass !== undefined
      ? { mass: plate.totalMass, from: 'plate' as const, guessed: guessed(boat, '/plate/totalMass') }
      : boat.advisedLoad !== undefined
        ? { mass: boat.advisedLoad, from: 'advised' as const, guessed: guessed(boat, '/advisedLoad') }
        : undefined;
  return {
    people: peopleMass,
    gear,
    total: peopleMass + gear,
    unknown: people.filter((p) => p.mass === undefined).map((p) => p.name),
    guessed: people.some((p) => guessed(p, '/mass')) || (limit?.guessed ?? false),
    limit,
    ...personsMassOf(plate),
    persons: people.length,
    personsLimit: plate?.persons === undefined ? undefined : { count: plate.persons, from: 'plate' },
  };
}

/** A plate's weight of people; a builder's plate counts each as 75 kg (ISO 14946, source `iso-14946`). */
function personsMassOf(plate: ReturnType<typeof plateOf>): Pick<LoadSum, 'personsMass'> {
  if (plate?.personsMass !== undefined) return { personsMass: plate.personsMass };
  return plate?.iso && plate.persons !== undefined ? { personsMass: plate.persons * PLATE_PERSON } : {};
}

/** The speed she has still when she is tired or against it, m/s: where that was not said, her usual one. */
export const slowOf = (boat: Boat | undefined): number | undefined =>
  boat?.propulsion[0]?.slow ?? boat?.propulsion[0]?.cruise;

const MOTORS: ReadonlySet<string> = new Set(['outboard', 'electric', 'inboard']);
export const isMotor = (kind: Boat['propulsion'][number]['kind']) => MOTORS.has(kind);
/** How she moves, for rules that turn on it. An empty list means nobody said. */
export function drives(boat: Boat): {
  motor?: boolean;
  combustion?: boolean;
  inboard?: boolean;
  sail?: boolean;
  manual?: boolean;
  human?: boolean;
  /** W, the most of any motor. */ power?: number;
} {
  if (boat.propulsion.length === 0) return {};
  const motor = boat.propulsion.some((p) => MOTORS.has(p.kind));
  const sail = boat.propulsion.some((p) => p.kind === 'sail');
  const motors = boat.propulsion.filter((p) => MOTORS.has(p.kind));
  const power =
    motors.length === 0
      ? 0
      : motors.some((p) => p.power === undefined)
        ? undefined
        : Math.max(...motors.map((p) => p.power ?? 0));
  return {
    motor,
    sail,
    ...(power === undefined ? {} : { power }),
    inboard: boat.propulsion.some((p) => p.kind === 'inboard'),
    combustion: boat.propulsion.some((p) => p.kind === 'outboard' || p.kind === 'inboard'),
    manual: !motor && !sail,
    human:
      boat.propulsion[0].kind === 'paddle' ||
      boat.propulsion[0].kind === 'oars' ||
      boat.propulsion[0].kind === 'pedals',
  };
}
