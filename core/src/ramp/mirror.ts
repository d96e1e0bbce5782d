import file from '../../data/ramp/driving.json';
import type { Course, Point } from './course';
import type { Stand } from './hitch';

// What a driver sees in the two outer mirrors: a pinhole at the mirror that looks backwards, its picture turned round as glass does.
// Flat glass; a bowed one shows more and makes all of it look further away. Metres and radians; the picture in tangents, right and up.

export type Side = 'left' | 'right';
export interface Spot extends Point {
  /** Over the level ground, m. */
  z: number;
}
/** A place in the picture: 0 in its middle, right and up above 0. */
export interface Shown {
  right: number;
  up: number;
}

const { eye: EYE } = file.car;
/** Half of what a mirror shows across and up, as tangents, and how far out of the car’s line it looks. */
export const GLASS = { across: 0.42, up: 0.26, out: 0.26, down: 0.14 } as const;
/** Nothing nearer than this is drawn, m. */
const NEAR = 0.3;

interface Camera {
  at: Spot;
  /** Where it looks, level. */
  look: number;
}

/** Where the ground is: level, and falling beyond a crest. */
export const groundAt = ({ crest }: Pick<Course, 'crest'>, { y }: Point): number =>
  crest && y < crest.y ? (y - crest.y) * crest.slope : 0;

export function cameraOf(course: Pick<Course, 'crest'>, stand: Stand, side: Side): Camera {
  const left = side === 'left' ? 1 : -1;
  const [cos, sin] = [Math.cos(stand.heading), Math.sin(stand.heading)];
  const x = stand.x + EYE.ahead * cos - left * EYE.side * sin;
  const y = stand.y + EYE.ahead * sin + left * EYE.side * cos;
  return {
    at: { x, y, z: groundAt(course, { x, y }) + EYE.up },
    look: stand.heading + Math.PI - left * GLASS.out,
  };
}

/** Across, up and away from a camera. */
const seenFrom = ({ at, look }: Camera, { x, y, z }: Spot) => {
  const [dx, dy] = [x - at.x, y - at.y];
  const [cos, sin] = [Math.cos(look), Math.sin(look)];
  // To the right of who looks back; glass turns it round.
  return { right: -(dx * sin - dy * cos), up: z - at.z, away: dx * cos + dy * sin };
};

/**
 * An outline as the mirror shows it, cut off where it comes too near or goes behind.
 * @returns fewer than three corners where nothing of it is before the glass
 */
export function shown(camera: Camera, outline: readonly Spot[]): Shown[] {
  const spots = outline.map((spot) => seenFrom(camera, spot));
  return spots
    .flatMap((one, i) => {
      const next = spots[(i + 1) % spots.length];
      const cut = (NEAR - one.away) / (next.away - one.away);
      const crosses = one.away >= NEAR !== next.away >= NEAR;
      const edge = {
        right: one.right + cut * (next.right - one.right),
        up: one.up + cut * (next.up - one.up),
        away: NEAR,
      };
      return [...(one.away >= NEAR ? [one] : []), ...(crosses ? [edge] : [])];
    })
    .map(({ right, up, away }) => ({ right: right / away, up: up / away + GLASS.down }));
}

/** Is a spot in sight over the crest? The straight way to it must pass above the edge. */
export function overCrest({ crest }: Pick<Course, 'crest'>, { at }: Camera, spot: Spot): boolean {
  if (!crest || spot.y >= crest.y || at.y <= crest.y) return true;
  const share = (at.y - crest.y) / (at.y - spot.y);
  return at.z + share * (spot.z - at.z) > 0;
}
