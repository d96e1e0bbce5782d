import type { Flow } from '../water';

/**
 * Speed over the ground on a course, and what is to be steered for it: the triangle of speeds (closed form, source `triangle`).
 * sin a = −u·sin(set − course) / v; over the ground v·cos a + u·cos(set − course).
 * @param speed through the water, m/s, above 0
 * @param course over the ground, degrees true
 * @returns undefined where the stream sets her off faster than she goes, or back as fast
 * @example ground(3, 90, {speed: 1, direction: 180}) // { speed: 2.83, steer: 70.5 }
 */
export function ground(
  speed: number,
  course: number,
  flow: Flow,
): { speed: number; steer: number } | undefined {
  const set = ((flow.direction - course) * Math.PI) / 180;
  const across = -flow.speed * Math.sin(set);
  if (Math.abs(across) >= speed) return undefined;
  const made = Math.sqrt(speed ** 2 - across ** 2) + flow.speed * Math.cos(set);
  if (made <= 0) return undefined;
  return { speed: made, steer: (course + (Math.asin(across / speed) * 180) / Math.PI + 360) % 360 };
}
