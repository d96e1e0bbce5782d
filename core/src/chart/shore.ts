import Flatbush from 'flatbush';
import { distance, type LatLon } from '../earth';
import type { Chart, ShorePiece } from '../model';
import { pointsOf } from './line';
import { metresAt, positionOf, spotOf, type Spot } from './mercator';

/** What lies at a position, as far as the rings of the chart tell. */
export type Ground = 'land' | 'water';

/** A stretch of a straight way, as shares of it from 0 to 1. */
export interface Stretch {
  from: number;
  until: number;
}

export interface Nearest {
  at: LatLon;
  metres: number;
  /** Degrees true. */
  bearing: number;
}

/** The shore of a water, ready to be asked many times. */
export interface Shore {
  /** How many straight pieces it has. */
  pieces: number;
  /** What lies there; undefined where no ring says it. */
  groundAt(position: LatLon): Ground | undefined;
  /** Where a straight way meets the shore, as shares of it in order. */
  meets(from: LatLon, to: LatLon): number[];
  /** Stretches of a straight way that lie on land. An open line of shore that is crossed is a stretch of no length. */
  overLand(from: LatLon, to: LatLon): Stretch[];
  /** Metres on one course until the shore, degrees true; undefined: none within `most` metres. */
  reach(from: LatLon, bearing: number, most: number): number | undefined;
  nearest(position: LatLon): Nearest | undefined;
}

/** Shores by chart: a document is never changed in place. */
const shores = new WeakMap<Chart, Shore>();

/** @returns undefined for a chart without any shore */
export function shoreOf(chart: Chart | undefined): Shore | undefined {
  if (!chart || chart.shore.length === 0) return undefined;
  let shore = shores.get(chart);
  if (!shore) {
    const made = madeOf(chart.shore);
    if (!made) return undefined;
    shores.set(chart, (shore = made));
  }
  return shore;
}

/** A ring, or an open line, on the plane. */
interface Drawn {
  spots: Spot[];
  inside: ShorePiece['inside'];
  /** Rings of one piece count together: a hole takes away. */
  piece: number;
}

function madeOf(pieces: ShorePiece[]): Shore | undefined {
  const lines = pieces.flatMap(({ inside, rings }, piece) =>
    rings
      .map((ring) => ({ inside, piece, points: pointsOf(ring) }))
      .filter(({ points }) => points.length > 1),
  );
  if (lines.length === 0) return undefined;
  const origin = lines[0].points[0].lon;
  const drawn: Drawn[] = lines.map(({ points, ...line }) => ({
    ...line,
    spots: closed(
      points.map((p) => spotOf(p, origin)),
      line.inside !== undefined,
    ),
  }));
  return asked(drawn, origin);
}

/** A ring ends where it begins. */
function closed(spots: Spot[], ring: boolean): Spot[] {
  const [first] = spots,
    last = spots[spots.length - 1];
  return ring && (first.x !== last.x || first.y !== last.y) ? [...spots, first] : spots;
}

/** x0, y0, x1, y1 of each straight piece, one behind the other, with a tree over their boxes. */
interface Segments {
  ends: Float64Array;
  tree: Flatbush;
  owner: Int32Array;
}

function segmentsOf(drawn: Drawn[]): Segments {
  const count = drawn.reduce((sum, { spots }) => sum + spots.length - 1, 0);
  const ends = new Float64Array(count * 4),
    owner = new Int32Array(count);
  const tree = new Flatbush(count);
  let n = 0;
  drawn.forEach(({ spots }, line) => {
    for (let i = 1; i < spots.length; i += 1, n += 1) {
      const a = spots[i - 1],
        b = spots[i];
      ends.set([a.x, a.y, b.x, b.y], n * 4);
      owner[n] = line;
      tree.add(Math.min(a.x, b.x), Math.min(a.y, b.y), Math.max(a.x, b.x), Math.max(a.y, b.y));
    }
  });
  tree.finish();
  return { ends, owner, tree };
}

function asked(drawn: Drawn[], origin: number): Shore {
  const { ends, owner, tree } = segmentsOf(drawn);
  const spot = (p: LatLon) => spotOf(p, origin);
  const bySide = new Set(drawn.map(({ inside }) => inside));
  const edges = { east: Math.max(...drawn.map(({ spots }) => eastOf(spots))) };

  /** Shares of the way from a to b at which it meets a piece of the shore, in order. */
  const meetings = (a: Spot, b: Spot): { share: number; line: number }[] =>
    tree
      .search(Math.min(a.x, b.x), Math.min(a.y, b.y), Math.max(a.x, b.x), Math.max(a.y, b.y))
      .flatMap((n) => {
        const share = shareAt(a, b, ends, n * 4);
        return share === undefined ? [] : [{ share, line: owner[n] }];
      })
      .sort((m, n) => m.share - n.share);

  /** The first meeting alone: looked for piece by piece of the way, each twice as long, so that a near shore hides what lies behind it. */
  const firstMeeting = (a: Spot, b: Spot, step: number): number | undefined => {
    for (let from = 0, until = step; from < 1; [from, until] = [until, 2 * until]) {
      const [p, q] = [between(a, b, from), between(a, b, Math.min(1, until))];
      let first = Infinity;
      for (const n of tree.search(
        Math.min(p.x, q.x),
        Math.min(p.y, q.y),
        Math.max(p.x, q.x),
        Math.max(p.y, q.y),
      )) {
        const share = shareAt(a, b, ends, n * 4);
        if (share !== undefined && share < first) first = share;
      }
      // What is met further on lies behind something that was not looked at yet.
      if (first <= until) return first;
    }
    return undefined;
  };

  const groundAt = (at: Spot): Ground | undefined => {
    // Even and odd: of each piece, how often a line to the east of everything meets its rings.
    const met = new Map<number, number>();
    for (const n of tree.search(at.x, at.y, edges.east, at.y)) {
      const { piece, inside } = drawn[owner[n]];
      if (inside !== undefined && isLeftOf(at, ends, n * 4)) met.set(piece, (met.get(piece) ?? 0) + 1);
    }
    const within = (side: Ground) =>
      drawn.some(({ piece, inside }) => inside === side && (met.get(piece) ?? 0) % 2 === 1);
    if (within('land')) return 'land';
    if (within('water')) return 'water';
    // Outside of all: the other of what the rings hold, unless some hold the one and some the other.
    if (bySide.has('land')) return bySide.has('water') ? undefined : 'water';
    return bySide.has('water') ? 'land' : undefined;
  };

  return {
    pieces: owner.length,
    groundAt: (p) => groundAt(spot(p)),
    meets: (from, to) => meetings(spot(from), spot(to)).map(({ share }) => share),
    overLand(from, to) {
      const a = spot(from),
        b = spot(to);
      const met = meetings(a, b);
      const open = met
        .filter(({ line }) => drawn[line].inside === undefined)
        .map(({ share }) => ({ from: share, until: share }));
      const shares = [0, ...met.map(({ share }) => share), 1];
      const land = shares
        .slice(1)
        .map((until, i) => ({ from: shares[i], until }))
        .filter(
          ({ from: start, until }) =>
            until > start && groundAt(between(a, b, (start + until) / 2)) === 'land',
        );
      return [...joined(land), ...open].sort((x, y) => x.from - y.from);
    },
    reach(from, bearing, most) {
      const a = spot(from),
        turned = (bearing * Math.PI) / 180;
      // Long enough at the latitude of its end, where the plane is stretched most.
      const length = most / metresAt(Math.min(Math.abs(from.lat) + most / DEGREE, 89));
      const b = { x: a.x + length * Math.sin(turned), y: a.y + length * Math.cos(turned) };
      const share = firstMeeting(a, b, FIRST / most);
      if (share === undefined) return undefined;
      const { metres } = distance(from, positionOf(between(a, b, share)));
      return metres > most ? undefined : metres;
    },
    nearest(position) {
      const at = spot(position);
      let best: Spot | undefined,
        least = Infinity;
      for (let o = 0; o < ends.length; o += 4) {
        const foot = footOn(at, ends, o);
        const far = Math.hypot(foot.x - at.x, foot.y - at.y);
        if (far < least) [best, least] = [foot, far];
      }
      if (!best) return undefined;
      const there = positionOf(best);
      return { at: there, ...distance(position, there) };
    },
  };
}
/** The first piece of a ray, m. */
const FIRST = 500;
/** A degree of latitude is no shorter, m. */
const DEGREE = 110_000;

const eastOf = (spots: Spot[]) => spots.reduce((most, { x }) => Math.max(most, x), -Infinity);
const between = (a: Spot, b: Spot, share: number): Spot => ({
  x: a.x + share * (b.x - a.x),
  y: a.y + share * (b.y - a.y),
});

/** Share of a–b at which it meets the piece at `o`; undefined where it does not. Lines side by side don’t meet. */
function shareAt(a: Spot, b: Spot, ends: Float64Array, o: number): number | undefined {
  const rx = b.x - a.x,
    ry = b.y - a.y,
    sx = ends[o + 2] - ends[o],
    sy = ends[o + 3] - ends[o + 1];
  const cross = rx * sy - ry * sx;
  if (cross === 0) return undefined;
  const qx = ends[o] - a.x,
    qy = ends[o + 1] - a.y;
  const share = (qx * sy - qy * sx) / cross,
    along = (qx * ry - qy * rx) / cross;
  return share >= 0 && share <= 1 && along >= 0 && along <= 1 ? share : undefined;
}

/** Does the piece at `o` cross the level of a spot to the east of it? Its lower end counts, its upper one does not. */
function isLeftOf({ x, y }: Spot, ends: Float64Array, o: number): boolean {
  const [x0, y0, x1, y1] = [ends[o], ends[o + 1], ends[o + 2], ends[o + 3]];
  return y0 > y !== y1 > y && x < x0 + ((y - y0) / (y1 - y0)) * (x1 - x0);
}

function footOn({ x, y }: Spot, ends: Float64Array, o: number): Spot {
  const dx = ends[o + 2] - ends[o],
    dy = ends[o + 3] - ends[o + 1];
  const long = dx * dx + dy * dy;
  const share = long === 0 ? 0 : ((x - ends[o]) * dx + (y - ends[o + 1]) * dy) / long;
  const part = Math.max(0, Math.min(1, share));
  return { x: ends[o] + part * dx, y: ends[o + 1] + part * dy };
}

/** Stretches that touch become one. */
function joined(stretches: Stretch[]): Stretch[] {
  const all: Stretch[] = [];
  for (const one of stretches) {
    const last = all.at(-1);
    if (last && one.from <= last.until) last.until = Math.max(last.until, one.until);
    else all.push({ ...one });
  }
  return all;
}
