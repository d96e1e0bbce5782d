import type { Boat, Finding, GearItem, Level, Person, Trip, Water } from '../src/model';
import { render } from '../src/say';
import { assess, type AssessInput } from '../src/trip';
import { aBoat, aPerson, aPlace, aWater, inputOf, steady } from './demo';
import { packsFor } from '../src/rules';

export interface Aboard {
  boat?: Partial<Boat>;
  /** The skipper comes first. */
  people?: Person[];
  crew?: Partial<Trip['crew'][number]>[];
  gear?: GearItem[];
  boats?: Boat[];
  water?: Partial<Water>;
  trip?: Partial<Trip>;
  night?: boolean;
}

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

/** Some people in a boat with this kit and nothing else, an hour of a day or of a night: levels by the beginning of a finding's id. */
export function aboard({
  boat: more = {},
  people = [aPerson()],
  crew = [],
  gear = [],
  boats = [],
  water: waters = {},
  trip = {},
  night = false,
}: Aboard) {
  const boat = aBoat(more);
  const water = aWater(waters);
  const launch = aPlace({ works: 0 });
  const halt = aPlace({ kind: 'ground', position: { lat: 41.21, lon: -29.5 } });
  const base = inputOf();
  const input: AssessInput = {
    ...base,
    trip: {
      ...base.trip,
      boat: boat.id,
      crew: people.map((p, i) => ({
        person: p.id,
        role: i === 0 ? ('skipper' as const) : ('crew' as const),
        ...crew[i],
      })),
      water: water.id,
      launch: launch.id,
      halts: [{ place: halt.id, minutes: 10 }],
      leave: { date: '2026-05-12', time: night ? '23:00' : '12:00' },
      speed: 1.5,
      stow: [],
      load: [],
      ...trip,
    },
    shed: {
      ...base.shed,
      boats: [boat, ...boats],
      people,
      gear,
      places: [launch, halt],
      waters: [water],
      debriefs: [],
    },
    conditions: { forecast: steady({ thunder: false }) },
    packs: packsFor(water.jurisdiction, undefined, water.without),
  };
  const { findings, requirements } = assess(input);
  const find = (id: string): Finding | undefined => findings.find((f) => f.id.startsWith(id));
  return {
    input,
    boat,
    findings,
    find,
    level: (id: string): Level | undefined => find(id)?.level,
    says: (id: string): string => (find(id)?.because ?? []).map((b) => render(b, reader)).join(' '),
    applies: (rule: string) => requirements.find((r) => r.rule === rule)?.applies,
  };
}
