import type { Boat, Finding, Mend, Phrase, Place, Schedule, Trip } from '../model';
import { phrase } from '../say';
import { HOUR, MS } from '../units';
import { goTo, guessed, leaning, leanOnPace, type Figures, type Pace } from '../verdict';
import { FIGURES } from './figures';
import { PASSAGE } from './limits';
import { motored, storesOn, type Stores } from './stores';

/** What of the trip's stores is looked at: of her motors, and of what is drunk. */
export interface Storing {
  trip: Trip;
  boat?: Boat;
  shed: { boats: Boat[] };
  people: { id: string }[];
  places: Place[];
  speed?: Pace;
}

/** Does the fuel or the battery of each boat that a motor moves last out and home with its third kept? */
export function fuelFindings(on: Storing, schedule: Schedule, figures: Figures): Finding[] {
  const { trip, shed, speed } = on;
  if (!speed) return [];
  return motored(trip, shed.boats).flatMap((one) => {
    const stores = storesOn(one, speed.value, schedule);
    return stores ? [fuelFinding(on, stores, schedule, figures)] : [];
  });
}

const THIRDS = PASSAGE.at('day/fuel', 'over-thirds');

function fuelFinding(on: Storing, stores: Stores, { halts }: Schedule, figures: Figures): Finding {
  const { boat, kind, held, used, legs, rate } = stores;
  if (held === undefined || used === undefined) {
    const lacks = held === undefined ? 'held' : 'rate';
    return PASSAGE.finding('day/fuel', 'unknown', boat.id, {
      title: phrase(`${kind}.unknown.title`, { boat: boat.name }),
      because: [phrase(LACKS[kind][lacks].why, { boat: boat.name })],
      mend: toDrive(boat, LACKS[kind][lacks].field),
    });
  }
  const quantity = kind === 'fuel' ? ('volume' as const) : ('energy' as const);
  const shown = [
    FIGURES.put(figures, `passage/${kind}`, boat.id, {
      value: used,
      inputs: {
        held: { value: held, quantity },
        rate: { value: rate?.value ?? 0, quantity: kind === 'fuel' ? 'flow' : 'power' },
      },
      guessed: stores.guessed || rate?.known === 'rule',
    }),
  ];
  const name = (id: string) => on.places.find((place) => place.id === id)?.name ?? '?';
  const because: Phrase[] = [
    phrase(`${kind}.why`, { boat: boat.name, used, held, share: used / held }),
    phrase(`${kind}.most`, { most: held * THIRDS }),
    phrase('fuel.legs', {
      legs: legs.map(({ to, left = 0 }) =>
        phrase(`${kind}.left`, { place: name(to), left: Math.max(0, left) }),
      ),
    }),
  ];
  // Who fishes under way burns while they stay: enough is enough only if it is so even then.
  const stay = halts.reduce((sum, { from, until }) => sum + until - from, 0) / MS.second;
  const all = used + stay * (rate?.value ?? 0);
  const shorter = { label: phrase('fuel.shorter'), ...goTo.trip(on.trip.id, '/halts') };
  const rests = {
    said: phrase(`${kind}.rests`, { stay, all }),
    mend: { label: phrase('fuel.stay'), ...goTo.trip(on.trip.id, '/halts') },
    lightens: false,
  };
  const doubts = doubtsOf(on, stores);
  const over = used > held;
  if (over || used > held * THIRDS) {
    const sure = doubts.every(({ lightens }) => !lightens) && !on.speed?.guessed;
    return PASSAGE.finding('day/fuel', over ? (sure ? 'empty' : 'may-empty') : 'over-thirds', boat.id, {
      title: phrase(`${kind}.short.title`, { boat: boat.name }),
      because,
      figures: shown,
      assumed: doubts.map(({ said }) => said),
      mend: shorter,
      ...(doubts[0] ? { others: [doubts[0].mend] } : {}),
    });
  }
  const within = PASSAGE.finding('day/fuel', 'within', boat.id, {
    title: phrase(`${kind}.title`, { boat: boat.name }),
    because,
    figures: shown,
  });
  const [doubt, ...more] = [...doubts, ...(all > held * THIRDS ? [rests] : [])];
  return doubt
    ? more.reduce(
        (found, { said }) => ({ ...found, assumed: [...found.assumed, said] }),
        leaning(within, doubt.said, doubt.mend),
      )
    : leanOnPace(on, within);
}

interface Doubt {
  said: Phrase;
  mend: Mend;
  /** If it is not so, she may get by after all. */
  lightens: boolean;
}

/** What the sum leans on that nobody said. */
function doubtsOf(
  { trip }: Storing,
  { boat, said: where, rate, full, kind, guessed: guess }: Stores,
): Doubt[] {
  const toRate = toDrive(boat, LACKS[kind].rate.field);
  const pointer = `${where}/${kind}` as `/${typeof kind}` | `/company/${string}`;
  const toFull = { label: phrase('fuel.say'), ...goTo.trip(trip.id, pointer) };
  const known = rate?.known ?? 'said';
  return [
    ...(full ? [{ said: phrase(`${kind}.full`), mend: toFull, lightens: false }] : []),
    ...(known === 'said' ? [] : [{ said: phrase(`rate.${known}`), mend: toRate, lightens: true }]),
    ...(guess || guessed(trip, pointer)
      ? [{ said: phrase('rate.guess'), mend: toRate, lightens: true }]
      : []),
  ];
}

const LACKS = {
  fuel: {
    held: { field: 'tank', why: 'fuel.no-held' },
    rate: { field: 'burn', why: 'fuel.no-rate' },
  },
  charge: {
    held: { field: 'battery', why: 'charge.no-held' },
    rate: { field: 'draw', why: 'charge.no-rate' },
  },
} as const;
const toDrive = (boat: Boat, field: 'tank' | 'burn' | 'battery' | 'draw'): Mend => ({
  label: phrase('fuel.mend'),
  ...goTo.boat(boat.id, `/propulsion/0/${field}`),
});

const DRINK = PASSAGE.limit('drink-hour') / HOUR,
  LONGER = PASSAGE.limit('longer-share'),
  LEAST = PASSAGE.limit('longer-least');

/** Is there enough to drink, for longer than planned? Only what was entered in litres is counted. */
export function drinkFindings({ trip, boat, people, speed }: Storing, schedule: Schedule): Finding[] {
  const { leave, home } = schedule;
  if (home === undefined || people.length === 0) return [];
  const planned = (home - leave) / MS.second;
  const longer = planned + Math.max(LEAST, planned * LONGER);
  const need = people.length * planned * DRINK,
    full = people.length * longer * DRINK;
  const drinks = trip.load.filter(({ liquid }) => liquid === 'drink');
  const has = drinks.reduce((sum, { volume = 0, mass = 0 }) => sum + (volume || mass / WATER_MASS), 0);
  const values = { n: people.length, planned, longer, need, full, has };
  const mend = { label: phrase('drink.mend'), ...goTo.trip(trip.id, '/load') };
  const as = drinks.length === 0 ? 'unknown' : has < need ? 'short' : has < full ? 'no-longer' : 'enough';
  const found = PASSAGE.finding('day/water', as, trip.id, {
    title: phrase(`drink.${as}.title`),
    because: [phrase(`drink.${as}`, values), phrase('drink.food', { longer })],
    assumed: [phrase('drink.rule'), ...((trip.company ?? []).length > 0 ? [phrase('drink.others')] : [])],
    ...(as === 'enough' ? {} : { mend }),
  });
  if (as !== 'enough') return [found];
  const guess = drinks.some((item) => guessed(trip, `/load/${trip.load.indexOf(item)}/volume`));
  return [
    guess
      ? leaning(found, phrase('rate.guess'), mend)
      : leanOnPace({ trip, ...(speed ? { speed } : {}), ...(boat ? { boat } : {}) }, found),
  ];
}
/** Kilograms of a cubic metre. */
const WATER_MASS = 1000;
