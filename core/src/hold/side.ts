import {
  breadthAt,
  equilibrium,
  sheerAt,
  freeboards,
  type Freeboards,
  type Hull,
  type Weight,
} from '../boat';
import { G } from '../units';
import type { Fastening } from './pull';

/** A place on her edge: along from the stern (0) to the bow (1), and across from starboard (−1) to port (1). */
export function onEdge(hull: Hull, along: number, across: -1 | 0 | 1): Fastening {
  const { form, depth, beam, length } = hull;
  const breadth = form.hulls ? beam : breadthAt(form, along) * beam;
  return { x: along * length, y: (across * breadth) / 2, z: sheerAt(form, depth, along) * form.rim };
}

/** What pulls her over. */
export interface SidePull {
  at: Fastening;
  /** Level pull across her, newtons; positive towards the side on which she is made fast. */
  across: number;
  /** How much of it comes of the wind, newtons: the rest of the water. */
  air: number;
  /** Heights of the centres of wind and water over the lowest point of the hull, metres. */
  airAt: number;
  waterAt: number;
  /** By which the line leads down from her, radians. */
  down: number;
}

export interface Heeled {
  /** Towards the side that is pulled, radians. */
  heel: number;
  free: Freeboards;
}

/**
 * How far a pull at her edge heels her: the same balance as that of her load. What the line pulls down is a weight where it is made
 * fast. What it pulls level, against wind and water at their centres, is a couple; a couple of level forces H at two points of the
 * boat turns her just as if her centre of weight were shifted, by H/mg times the distance of the two points turned by a right angle,
 * so that it goes on being right while she heels.
 * @param weight of all that is in her, with its centre
 * @returns undefined where she goes over
 */
export function heeledBy(hull: Hull, weight: Weight, density: number, pull: SidePull): Heeled | undefined {
  const { at, across, air, airAt, waterAt, down } = pull;
  const side = at.y < 0 ? -1 : 1;
  const hangs = (Math.abs(across) * Math.tan(down)) / G;
  const mass = weight.mass + hangs;
  const water = across - air;
  // Level pull at the edge towards `side`; wind and water push the other way at their own heights, in the middle of her.
  const arm = (across * at.z - air * airAt - water * waterAt) / (mass * G);
  const turned = (across * at.y) / (mass * G);
  const centre = (of: 'x' | 'y' | 'z') => (weight[of] * weight.mass + at[of] * hangs) / mass;
  const outcome = equilibrium({
    bodies: [{ strips: hull.strips, share: 1 }],
    weight: { mass, x: centre('x'), y: centre('y') + side * arm, z: centre('z') - side * turned },
    density,
    length: hull.length,
    beam: hull.beam,
  });
  if (outcome.state !== 'floats') return undefined;
  return { heel: side * outcome.at.heel, free: freeboards(hull, outcome.at.plane) };
}
