import type { Boat, LoadItem } from '../model';
import type { Craft } from '../model/lists';
import type { SourceId } from '../sources';

/**
 * The shape that stands in for a kind of craft, as fractions of its own length, beam and depth (`core/data/hulls.json`).
 * Ours, not a published hull: the waterplane coefficients it gives are held against the ranges of handbooks.
 */
export interface HullForm {
  /** Half breadth along the length: full at `fullest` (0 stern, 1 bow), falling to `sternEnd` and `bowEnd` of it by a power. */
  plan: { fullest: number; bow: number; stern: number; bowEnd: number; sternEnd: number };
  /** From the keel out to the turn of the bilge at `bilge` of the depth by a power; from there flaring by `flare` of the half breadth. */
  section: { bilge: number; power: number; flare: number };
  /** What the sheer rises and the keel lifts at the ends, as shares of the depth. */
  sheer: { bow: number; stern: number };
  rocker: { bow: number; stern: number };
  /** Two hulls, each this share of the whole beam. */
  hulls?: { share: number };
  /** Depth by the beam, mass by length × beam (kg/m²), and seats, where nobody said. */
  guess: { depth: number; mass: number; seats: number };
  /** Closed on top: what washes over runs off. Where it is not, water over the edge stays. */
  deck: 'closed' | 'open';
  /** Edge over which water comes aboard, as a share of the depth: a cockpit's rim stands lower or higher than the sheer. */
  rim: number;
  /** Freeboard that should be left at the lowest point, metres. */
  edge: { least: number; source: SourceId };
  /** Centre of the empty boat along the length and in height, as shares. */
  centre: { x: number; z: number };
  /** Where people sit: along, across (−1 starboard to 1 port), and height of the seat as a share of the depth. */
  seats: { name: string; x: number; y: number }[];
  /** Where somebody alone sits, if not on the first of the seats. */
  alone?: { name: string; x: number; y: number };
  seat: number;
  /** Metres from the seat, or from the board, up to the middle of a body. */
  body: number;
  /** Where things lie. */
  holds: { id: NonNullable<LoadItem['place']>; name: string; x: number; y: number; z: number }[];
}

/** One strip of the hull across: closed outlines in y (to port) and z (up from the lowest point), flat lists of pairs. */
export interface Strip { x: number; width: number; rings: Float64Array[] }

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

const endRise = (u: number, { bow, stern }: { bow: number; stern: number }) => (u > 0.5 ? bow * ((u - 0.5) / 0.5) ** 2 : stern * ((0.5 - u) / 0.5) ** 2);
export const sheerAt = (form: Pick<HullForm, 'sheer'>, depth: number, u: number) => depth * (1 + endRise(u, form.sheer));
export const keelAt = (form: Pick<HullForm, 'rocker'>, depth: number, u: number) => depth * endRise(u, form.rocker);

/** Outline of one section from starboard sheer by the keel to port sheer, shifted across by `middle`. */
function ringAt({ section }: HullForm, half: number, keel: number, sheer: number, middle: number): Float64Array {
  const high = sheer - keel, bilge = half * (1 - section.flare);
  const ring = new Float64Array(2 * (2 * ROUND + 3));
  const last = ring.length - 2;
  const put = (i: number, y: number, z: number) => {
    [ring[2 * i], ring[2 * i + 1]] = [middle - y, z];
    [ring[last - 2 * i], ring[last - 2 * i + 1]] = [middle + y, z];
  };
  put(0, half, sheer);
  for (let j = ROUND; j >= 1; j -= 1) put(ROUND + 1 - j, bilge * (j / ROUND) ** section.power, keel + high * section.bilge * (j / ROUND));
  put(ROUND + 1, 0, keel);
  return ring;
}

export interface Measures { length: number; beam: number; depth: number }

/** A hull from its measures (metres) and form. */
export function hullFrom({ length, beam, depth }: Measures, form: HullForm, guessed: string[] = []): Hull {
  const share = form.hulls?.share ?? 1;
  const middles = form.hulls ? [(beam * (1 - share)) / 2, (-beam * (1 - share)) / 2] : [0];
  const width = length / STRIPS;
  const strips: Strip[] = [], edge: Hull['edge'] = [];
  for (let i = 0; i < STRIPS; i += 1) {
    const u = (i + 0.5) / STRIPS;
    const half = (breadthAt(form, u) * beam * share) / 2, sheer = sheerAt(form, depth, u), keel = keelAt(form, depth, u);
    strips.push({ x: u * length, width, rings: middles.map((middle) => ringAt(form, half, keel, sheer, middle)) });
    for (const side of [1, -1]) edge.push({ x: u * length, y: side * ((form.hulls ? (beam * (1 - share)) / 2 : 0) + half), z: sheer * form.rim });
  }
  const stern = sheerAt(form, depth, 0) * form.rim, bow = sheerAt(form, depth, 1) * form.rim;
  edge.push({ x: 0, y: 0, z: stern }, { x: length, y: 0, z: bow });
  return { length, beam, depth, strips, edge, form, guessed };
}

export type HullForms = Record<Craft, HullForm>;

/** Hulls by boat: a document is never changed in place, so a hull is drawn once for each. */
const drawn = new WeakMap<object, Hull>();

/** The hull of a boat, or undefined while length or beam are missing; a missing depth is guessed and said. */
export function hullOf(boat: Pick<Boat, 'kind' | 'length' | 'beam' | 'depth' | 'basis'>, forms: HullForms): Hull | undefined {
  const { kind, length, beam, basis } = boat;
  if (length === undefined || beam === undefined) return undefined;
  const known = drawn.get(boat);
  if (known) return known;
  const form = forms[kind];
  const guessed = ['/length', '/beam', '/depth'].filter((pointer) => basis?.[pointer] === 'guessed');
  if (boat.depth === undefined) guessed.push('/depth');
  const hull = hullFrom({ length, beam, depth: boat.depth ?? beam * form.guess.depth }, form, [...new Set(guessed)]);
  drawn.set(boat, hull);
  return hull;
}
