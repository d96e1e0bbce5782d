import type { Boat, LoadItem, Person, Spot, Trip } from '../model';
import { LIQUIDS } from '../model/lists';
import { RESERVE } from './energy';
import { equilibrium, freeboards, together, type Freeboards, type Outcome, type Weight } from './float';
import { breadthAt, hullFrom, hullOf, sheerAt, type Hull, type HullForms } from './hull';
import { BOAT } from './limits';
import { massOf } from './load';

/** Somebody or something at a spot of the boat, with its height. */
export interface Placed extends Weight {
  /** `crew/n` or `load/n`: its place in the trip. */
  id: string;
  name: string;
  is: 'person' | 'thing';
  spot: Spot;
}

export type Way = 'out' | 'home';

/** Breadth over which a spot's −1 to 1 goes, metres: the whole beam where there are two hulls. */
export const breadthFor = (hull: Hull, x: number) =>
  (hull.form.hulls ? 1 : breadthAt(hull.form, x)) * hull.beam;
const metres = (hull: Hull, { x, y }: Spot) => ({ x: x * hull.length, y: (y * breadthFor(hull, x)) / 2 });

/** Height of the middle of a seated body over the keel. */
const bodyAt = (hull: Hull) => hull.depth * hull.form.seat + hull.form.body;
/** Things laid down by hand lie on the floor. */
const FLOOR = BOAT.limit('floor');

/** Where everyone sits who was given no seat: the seats of her kind in turn, and then behind each other. */
export function seatOf(hull: Hull, n: number, aboard = 2): Spot {
  const { seats, alone } = hull.form;
  if (aboard === 1 && alone) return { x: alone.x, y: alone.y };
  const { x, y } = seats[n % seats.length];
  return { x: Math.max(0.05, x - 0.06 * Math.floor(n / seats.length)), y };
}

/**
 * People and things of a trip at their spots. Who has no weight is left out: the sum says so elsewhere. On
 * the way home fuel and water are used and the catch is aboard.
 */
export function placed(
  trip: Pick<Trip, 'crew' | 'load' | 'comingHome'>,
  people: readonly Person[],
  hull: Hull,
  way: Way = 'out',
): Placed[] {
  const aboard = trip.crew.flatMap((member, n): Placed[] => {
    const person = people.find((p) => p.id === member.person);
    if (person?.mass === undefined) return [];
    const spot = member.seat ?? seatOf(hull, n, trip.crew.length);
    return [
      {
        id: `crew/${n}`,
        name: person.name,
        is: 'person',
        mass: person.mass,
        spot,
        ...metres(hull, spot),
        z: bodyAt(hull),
      },
    ];
  });
  const things = trip.load.map((item, n): Placed => {
    const hold = holdOf(hull, item);
    const spot = item.spot ?? { x: hold.x, y: hold.y };
    return {
      id: `load/${n}`,
      name: item.name,
      is: 'thing',
      mass: massOf(item) * leftOf(item, trip, way),
      spot,
      ...metres(hull, spot),
      z: hull.depth * (item.spot ? FLOOR : hold.z),
    };
  });
  const fish = way === 'home' ? trip.comingHome?.catch : undefined;
  const hold = holdOf(hull, { place: 'middle' });
  return [
    ...aboard,
    ...things.filter((t) => t.mass > 0),
    ...(fish
      ? [
          {
            id: 'catch',
            name: 'Catch',
            is: 'thing' as const,
            mass: fish,
            spot: hold,
            ...metres(hull, hold),
            z: hull.depth * hold.z,
          },
        ]
      : []),
  ];
}

export function holdOf(hull: Hull, { place = 'middle' }: Pick<LoadItem, 'place'>) {
  return hull.form.holds.find((h) => h.id === place) ?? hull.form.holds[0];
}

/** What is left of a thing on the way home; a third of the fuel where nobody said. */
function leftOf(item: LoadItem, { comingHome }: Pick<Trip, 'comingHome'>, way: Way): number {
  if (way === 'out' || item.liquid === undefined || !LIQUIDS[item.liquid].used) return 1;
  return item.liquid === 'drink' ? 0 : (comingHome?.fuelLeft ?? RESERVE);
}

export interface Afloat {
  hull: Hull;
  weight: Weight;
  outcome: Outcome;
  /** Absent where she does not float upright. */
  free?: Freeboards;
}

/** The empty boat's weight at its centre; a mass that nobody entered is guessed from her measures. */
export function emptyWeight(boat: Pick<Boat, 'mass'>, hull: Hull): Weight {
  const { centre, guess } = hull.form;
  return {
    mass: boat.mass ?? guess.mass * hull.length * hull.beam,
    x: centre.x * hull.length,
    y: 0,
    z: centre.z * hull.depth,
  };
}

/** How she lies with these weights in her. */
export function afloat(
  boat: Pick<Boat, 'mass'>,
  hull: Hull,
  weights: readonly Weight[],
  density: number,
): Afloat {
  const weight = together([emptyWeight(boat, hull), ...weights]);
  const outcome = equilibrium({
    bodies: [{ strips: hull.strips, share: 1 }],
    weight,
    density,
    length: hull.length,
    beam: hull.beam,
  });
  return {
    hull,
    weight,
    outcome,
    ...(outcome.state === 'floats' ? { free: freeboards(hull, outcome.at.plane) } : {}),
  };
}

/** How far over the edge the middle of a leaning body comes, and how high over it: head and arms are out, hips in. */
const LEAN = { out: 0, over: BOAT.limit('lean-over') } as const;

/** The same with the n heaviest people at one gunwale, leaning over it. */
export function leaning(hull: Hull, aboard: readonly Placed[], n: number): Placed[] {
  const who = new Set(
    aboard
      .filter((p) => p.is === 'person')
      .sort((a, b) => b.mass - a.mass)
      .slice(0, n)
      .map((p) => p.id),
  );
  return aboard.map((p) =>
    who.has(p.id)
      ? {
          ...p,
          y: breadthFor(hull, p.spot.x) / 2 + LEAN.out,
          z: sheerAt(hull.form, hull.depth, p.spot.x) + LEAN.over,
        }
      : p,
  );
}

/** A rescued stranger, kg: a large adult in wet clothes. Our own estimate. */
export const RESCUED = BOAT.limit('rescued');
/** A grown person of whom nobody said a weight, kg. A guess. */
export const GROWN = BOAT.limit('grown');
/** Lying low in the middle, where somebody out of the water belongs. */
export const rescued = (hull: Hull): Weight => ({
  mass: RESCUED,
  x: hull.length / 2,
  y: 0,
  z: hull.depth * FLOOR,
});

/** How far a value may be off, as a share, by how it came to be known. Our own estimate. */
export const OFF_BY = {
  guessed: BOAT.limit('off-guessed'),
  stated: BOAT.limit('off-stated'),
  measured: BOAT.limit('off-measured'),
};
const INPUTS = ['/length', '/beam', '/depth', '/mass'] as const;
type Input = (typeof INPUTS)[number];

export interface Band {
  /** Lowest freeboard, metres: likely between these. */
  low: number;
  high: number;
  /** What each measure adds to the spread, metres, the widest first. */
  by: { pointer: Input; spread: number }[];
}

/**
 * The range of the lowest freeboard from what is only guessed: each measure is moved by what it may be off, and the
 * spreads are added as independent ones are (root of the sum of squares). The first of `by` is the one worth measuring.
 * Two balances a measure: asked for when its section is open, never inside an assessment.
 */
export function freeboardBand(
  boat: Boat,
  forms: HullForms,
  trip: Pick<Trip, 'crew' | 'load' | 'comingHome'>,
  people: readonly Person[],
  density: number,
  way: Way = 'out',
): Band | undefined {
  const at = (changed: Partial<Boat>): number | undefined => {
    const hull = hullOf({ ...boat, ...changed }, forms);
    if (!hull) return undefined;
    const mass = changed.mass ?? emptyWeight(boat, hull).mass;
    return afloat({ mass }, hull, placed(trip, people, hull, way), density).free?.lowest;
  };
  const middle = at({});
  const hull = hullOf(boat, forms);
  if (middle === undefined || !hull) return undefined;
  const values: Record<Input, number> = {
    '/length': hull.length,
    '/beam': hull.beam,
    '/depth': hull.depth,
    '/mass': emptyWeight(boat, hull).mass,
  };
  const by = INPUTS.map((pointer) => {
    const field = pointer.slice(1) as 'length' | 'beam' | 'depth' | 'mass';
    const basis = boat[field] === undefined ? 'guessed' : (boat.basis?.[pointer] ?? 'stated');
    const off = values[pointer] * OFF_BY[basis];
    const [low, high] = [at({ [field]: values[pointer] - off }), at({ [field]: values[pointer] + off })];
    // A side on which she would not float upright is as bad as it gets: no freeboard.
    return { pointer, spread: Math.max(Math.abs((low ?? 0) - middle), Math.abs((high ?? 0) - middle)) };
  }).sort((a, b) => b.spread - a.spread);
  const spread = Math.hypot(...by.map((b) => b.spread));
  return { low: middle - spread, high: middle + spread, by };
}

export interface LieBand {
  /** Lowest freeboard and metacentric height, metres: likely between these. */
  free: [number, number];
  gm: [number, number];
}

/**
 * Between what values a narrow boat's freeboard and stability lie, for what her beam and depth may be off: their effect goes
 * with the third power of the beam, so one figure would promise too much. Three balances; undefined ends are counted as none.
 */
export function lieBand(
  boat: Pick<Boat, 'mass' | 'depth' | 'basis'>,
  hull: Hull,
  weights: readonly Weight[],
  density: number,
): LieBand {
  const off = (pointer: '/beam' | '/depth') =>
    OFF_BY[
      pointer === '/depth' && boat.depth === undefined ? 'guessed' : (boat.basis?.[pointer] ?? 'stated')
    ];
  const at = (sign: -1 | 0 | 1) => {
    const beam = hull.beam * (1 + sign * off('/beam'));
    const depth = hull.depth * (1 + sign * off('/depth'));
    const as = sign === 0 ? hull : hullFrom({ length: hull.length, beam, depth }, hull.form);
    const { outcome, free } = afloat(boat, as, weights, density);
    return outcome.state === 'floats' && free ? { free: free.lowest, gm: outcome.at.gm } : { free: 0, gm: 0 };
  };
  const ends = ([-1, 0, 1] as const).map(at);
  const span = (pick: (end: { free: number; gm: number }) => number): [number, number] => [
    Math.min(...ends.map(pick)),
    Math.max(...ends.map(pick)),
  ];
  return { free: span((e) => e.free), gm: span((e) => e.gm) };
}
