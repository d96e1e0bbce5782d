import { aBoat, aPlace, aWater, inputOf, steady } from './demo';
import { Boat, Person, Trip, type CrewMember } from '../src/model';
import type * as z from 'zod';
import { render } from '../src/say';
import { HORSEPOWER } from '../src/units';
import { assess, type AssessInput } from '../src/trip';

export type Member = Partial<z.infer<typeof CrewMember>>;
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

/** A boat with people in it on a coast, and nothing else; the wind as told. */
export function world(
  boat: Boat,
  people: Person[],
  more: {
    crew?: Member[];
    trip?: Partial<Trip>;
    wind?: number;
    boats?: Boat[];
    water?: Parameters<typeof aWater>[0];
  } = {},
) {
  const launch = aPlace({ works: 0 }),
    halt = aPlace({ kind: 'ground', position: { lat: 41.21, lon: -29.5 } }),
    water = aWater(more.water);
  const crew = people.map((p, i) => ({
    person: p.id,
    role: i === 0 ? ('skipper' as const) : ('crew' as const),
    ...more.crew?.[i],
  }));
  const trip: Trip = {
    ...inputOf().trip,
    boat: boat.id,
    crew,
    water: water.id,
    launch: launch.id,
    halts: [{ place: halt.id, minutes: 10 }],
    leave: { date: '2026-05-12', time: '12:00' },
    stow: [],
    load: [],
    ...more.trip,
  };
  const shed = {
    ...inputOf().shed,
    boats: [boat, ...(more.boats ?? [])],
    people,
    gear: [],
    places: [launch, halt],
    waters: [water],
    debriefs: [],
  };
  const input: AssessInput = {
    ...inputOf(0, { shed, forecast: steady({ wind: more.wind ?? 3, gust: (more.wind ?? 3) + 1 }) }),
    trip,
  };
  const { findings, figures } = assess(input);
  const find = (id: string) => findings.find((f) => f.id.startsWith(id));
  return {
    findings,
    figures,
    find,
    level: (id: string) => find(id)?.level,
    say: (id: string) => find(id)?.because.map((b) => render(b, reader)) ?? [],
    input,
  };
}
export const skiff = (more: Partial<Boat> = {}) =>
  aBoat({
    beam: 1.6,
    depth: 0.55,
    mass: 110,
    plate: { persons: 4, totalMass: 400, personsMass: 320 },
    propulsion: [
      { kind: 'outboard', cruise: 5, power: 15 * HORSEPOWER },
      { kind: 'oars', cruise: 0.9 },
    ],
    ...more,
  });
