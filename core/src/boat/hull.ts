import hulls from '../../data/boat/hulls.json';
import type { Boat, HullForm, HullForms } from '../model';

export type { HullForm, HullForms };
/** The forms of the ten kinds. `model/data.test` holds the file against its schema, as all that ships. */
export const HULLS = hulls as unknown as HullForms;

/** One strip of the hull across: closed outlines in y (to port) and z (up from the lowest point), flat lists of pairs. */
export interface Strip {
  x: number;
  width: number;
  rings: Float64Array[];
}

/** A hull in metres: x forward from the stern, y to port, z up. */
export interface Hull {
  length: number;
  beam: number;
  depth: number;
  strips: Strip[];
  /** Points of the edge over which water comes in, both sides and across the stern. */
  edge: { x: number; y: number; z: number }[];
  form: HullForm;
  /** JSON pointers of the boat's fields that were guessed here. */
  guessed: string[];
}

/** Strips along the length: a box's trim moment is 0.11 % off with so many (1/n²). */
const STRIPS = 30;
/** Points from the keel to the bilge. */
const ROUND = 5;

/**
 * Half breadth at a share of the length, 0 at the stern.
 * @returns share of the greatest half breadth, 0 to 1
 */
export function breadthAt({ plan }: Pick<HullForm, 'plan'>, u: number): number {
  const ahead = u > plan.fullest;
  const away = ahead ? (u - plan.fullest) / (1 - plan.fullest) : (plan.fullest - u) / plan.fullest;
  const [end, power] = ahead ? [plan.bowEnd, plan.bow] : [plan.sternEnd, plan.stern];
  return 1 - (1 - end) * away ** power;
}

/** Waterplane coefficient of the whole outline: area over length × beam. */
export function planCoefficient(form: Pick<HullForm, 'plan'>, n = 400): number {
  let sum = 0;
  for (let i = 0; i < n; i += 1) sum += breadthAt(form, (i + 0.5) / n);
  return sum / n;
}

const endRise = (u: number, { bow, stern }: { bow: number; stern: number }) =>
  u > 0.5 ? bow * ((u - 0.5) / 0.5) ** 2 : stern * ((0.5 - u) / 0.5) ** 2;
export const sheerAt = (form: Pick<HullForm, 'sheer'>, depth: number, u: number) =>
  depth * (1 + endRise(u, form.sheer));
export const keelAt = (form: Pick<HullForm, 'rocker'>, depth: number, u: number) =>
  depth * endRise(u, form.rocker);

/** Outline of one section from starboard sheer by the keel to port sheer, shifted across by `middle`. */
function ringAt(
  { section }: HullForm,
  half: number,
  keel: number,
  sheer: number,
  middle: number,
): Float64Array {
  const high = sheer - keel,
    bilge = half * (1 - section.flare);
  const ring = new Float64Array(2 * (2 * ROUND + 3));
  const last = ring.length - 2;
  const put = (i: number, y: number, z: number) => {
    [ring[2 * i], ring[2 * i + 1]] = [middle - y, z];
    [ring[last - 2 * i], ring[last - 2 * i + 1]] = [middle + y, z];
  };
  put(0, half, sheer);
  for (let j = ROUND; j >= 1; j -= 1)
    put(ROUND + 1 - j, bilge * (j / ROUND) ** section.power, keel + high * section.bilge * (j / ROUND));
  put(ROUND + 1, 0, keel);
  return ring;
}

export interface Measures {
  length: number;
  beam: number;
  depth: number;
}

/** A hull from its measures (metres) and form. */
export function hullFrom({ length, beam, depth }: Measures, form: HullForm, guessed: string[] = []): Hull {
  const share = form.hulls?.share ?? 1;
  const middles = form.hulls ? [(beam * (1 - share)) / 2, (-beam * (1 - share)) / 2] : [0];
  const width = length / STRIPS;
  const strips: Strip[] = [],
    edge: Hull['edge'] = [];
  for (let i = 0; i < STRIPS; i += 1) {
    const u = (i + 0.5) / STRIPS;
    const half = (breadthAt(form, u) * beam * share) / 2,
      sheer = sheerAt(form, depth, u),
      keel = keelAt(form, depth, u);
    strips.push({
      x: u * length,
      width,
      rings: middles.map((middle) => ringAt(form, half, keel, sheer, middle)),
    });
    for (const side of [1, -1])
      edge.push({
        x: u * length,
        y: side * ((form.hulls ? (beam * (1 - share)) / 2 : 0) + half),
        z: sheer * form.rim,
      });
  }
  const stern = sheerAt(form, depth, 0) * form.rim,
    bow = sheerAt(form, depth, 1) * form.rim;
  edge.push({ x: 0, y: 0, z: stern }, { x: length, y: 0, z: bow });
  return { length, beam, depth, strips, edge, form, guessed };
}

/** Hulls by boat: a document is never changed in place, so a hull is drawn once for each. */
const drawn = new WeakMap<object, Hull>();

/** The hull of a boat, or undefined while length or beam are missing; a missing depth is guessed and said. */
export function hullOf(
  boat: Pick<Boat, 'kind' | 'length' | 'beam' | 'depth' | 'basis'>,
  forms: HullForms = HULLS,
): Hull | undefined {
  const { kind, length, beam, basis } = boat;
  if (length === undefined || beam === undefined) return undefined;
  const known = drawn.get(boat);
  if (known) return known;
  const form = forms[kind];
  const guessed = ['/length', '/beam', '/depth'].filter((pointer) => basis?.[pointer] === 'guessed');
  if (boat.depth === undefined) guessed.push('/depth');
  const hull = hullFrom({ length, beam, depth: boat.depth ?? beam * form.guess.depth }, form, [
    ...new Set(guessed),
  ]);
  drawn.set(boat, hull);
  return hull;
}
