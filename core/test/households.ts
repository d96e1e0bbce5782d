import type { Boat, Person, Trip } from '../src/model';
import { type AssessInput } from '../src/trip';
import { anItem, aPerson, aPlace, aWater, NOW, steady } from './demo';
import { startBoat, STARTING_POINTS } from '../src/boat/start';
import { CATALOGUE } from '../src/kit';
import { packsFor } from '../src/rules';
import { STARTING_SETS } from '../src/kit/starting-sets';

/** Everything that a starting point guessed, said: what an owner who looked would have entered. */
export const stated = ({ basis: _guesses, ...boat }: Boat): Boat => boat;

const KINDS = new Map(CATALOGUE.kinds.map((k) => [k.id, k]));

/** A household of a stranger: one boat from a starting point, two people, a locker from a set, a day on the coast. */
export function household(n: number, more: { guessed?: boolean } = {}): AssessInput {
  const start = STARTING_POINTS[n % STARTING_POINTS.length];
  const guess = startBoat(start, '01890000-0000-7000-8000-00000000b0a7', start.title);
  const boat: Boat = { ...(more.guessed ? guess : stated(guess)), modelYear: 2015 };
  const people: Person[] = [
    aPerson({
      name: 'Ann',
      mass: 62,
      born: '1985-03-04',
      swimming: 'strong',
      inWater: 'often',
      weakArm: false,
      drives: true,
    }),
    aPerson({
      name: 'Ben',
      mass: 84,
      born: '1990',
      swimming: 'fair',
      inWater: 'once',
      weakArm: false,
      drives: false,
    }),
  ].slice(0, boat.seats === 1 ? 1 : 2);
  const set = STARTING_SETS[n % STARTING_SETS.length];
  const gear = set.kinds.map((kind) => {
    const known = KINDS.get(kind);
    return anItem(kind, {
      stowage: known?.group === 'wear' ? 'on-body' : 'in-reach',
      ...(known?.dated ? { expires: '2028-01-01' } : {}),
      ...(known?.lastsMonths ? { made: '2022-01-01' } : {}),
      ...(known?.charged ? { charge: 1 } : {}),
      ...(known?.sized ? { minMass: 50, maxMass: 100, buoyancy: 100, count: 2 } : {}),
      ...(known?.lined ? { line: 20 } : {}),
      ...(known?.registered ? { registered: 'yes' as const } : {}),
    });
  });
  const water = aWater({ class: n % 2 === 0 ? 'coastal' : 'lake', rapids: false, rescueNumber: '555' });
  const launch = aPlace({ works: 0, launchFrom: 'ramp', water: water.id });
  const halt = aPlace({ kind: 'ground', position: { lat: 41.21, lon: -29.5 }, water: water.id });
  const trip: Trip = {
    id: '01890000-0000-7000-8000-0000000074a9',
    title: start.title,
    boat: boat.id,
    crew: people.map((p, i) => ({
      person: p.id,
      role: i === 0 ? 'skipper' : 'crew',
      clothing: 'wetsuit-5',
      wearsJacket: true,
      today: 'well',
      cord: true,
    })),
    water: water.id,
    launch: launch.id,
    halts: [{ place: halt.id, minutes: 30 }],
    leave: { date: '2026-05-12', time: n % 3 === 0 ? '20:30' : '10:00' },
    speed: 1.5,
    homeBy: '23:30',
    load: [{ name: 'Kit', mass: 12, place: 'middle' }],
    limits: { wind: 8, gust: 12, waterTemperature: 8 },
    contacts: [],
    graceMinutes: 60,
    driveMinutes: 30,
    stow: [],
    status: 'planned',
  };
  const shed = {
    boats: [boat],
    people,
    gear,
    places: [launch, halt],
    waters: [water],
    contacts: [],
    debriefs: [],
    runs: [],
    drills: [],
    packs: [],
  };
  const forecast = steady({ thunder: false });
  return {
    trip,
    shed,
    conditions: { forecast },
    packs: packsFor(water.jurisdiction),
    catalogue: CATALOGUE,
    now: NOW,
  };
}
