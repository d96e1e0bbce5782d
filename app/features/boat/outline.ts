import { breadthAt, keelAt, sheerAt, type Hull } from '@escale/core/boat';

/** Shares of the length at which outlines are drawn. */
const ALONG = Array.from({ length: 41 }, (_, i) => i / 40);
const path = (points: [number, number][], closed = true) =>
  `M${points.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;

/** Metres to picture: bow to the right, port up. */
export interface Scale {
  x: (metres: number) => number;
  y: (metres: number) => number;
}

/** Seen from above: one outline a hull, from the boat's own measures. */
export function plans(hull: Hull, { x, y }: Scale): string[] {
  const { form, length, beam } = hull;
  const share = form.hulls?.share ?? 1;
  const middles = form.hulls ? [(beam * (1 - share)) / 2, (-beam * (1 - share)) / 2] : [0];
  return middles.map((middle) => {
    const half = (u: number) => (breadthAt(form, u) * beam * share) / 2;
    return path([
      ...ALONG.map((u): [number, number] => [x(u * length), y(middle + half(u))]),
      ...[...ALONG].reverse().map((u): [number, number] => [x(u * length), y(middle - half(u))]),
    ]);
  });
}

/** The same outline drawn in by some metres: where the tubes or the deck end. */
export function inner(hull: Hull, { x, y }: Scale, by: number): string {
  const { form, length, beam } = hull;
  const within = ALONG.filter(
    (u) => u * length > by && (1 - u) * length > by && (breadthAt(form, u) * beam) / 2 > by,
  );
  const half = (u: number) => (breadthAt(form, u) * beam) / 2 - by;
  return within.length === 0
    ? ''
    : path([
        ...within.map((u): [number, number] => [x(u * length), y(half(u))]),
        ...[...within].reverse().map((u): [number, number] => [x(u * length), y(-half(u))]),
      ]);
}

/** Seen from the side, port side to us: keel and sheer, z up. */
export function profile(hull: Hull, x: (m: number) => number, z: (m: number) => number): string {
  const { form, length, depth } = hull;
  return path([
    ...ALONG.map((u): [number, number] => [x(u * length), z(sheerAt(form, depth, u))]),
    ...[...ALONG].reverse().map((u): [number, number] => [x(u * length), z(keelAt(form, depth, u))]),
  ]);
}

/** Seen from astern: the section of her fullest strip. */
export function section(hull: Hull, y: (m: number) => number, z: (m: number) => number): string[] {
  const strip = hull.strips[Math.round(hull.form.plan.fullest * (hull.strips.length - 1))];
  return strip.rings.map((ring) =>
    path(
      Array.from({ length: ring.length / 2 }, (_, i): [number, number] => [
        y(ring[2 * i]),
        z(ring[2 * i + 1]),
      ]),
    ),
  );
}
