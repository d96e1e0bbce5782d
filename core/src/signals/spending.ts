import file from '../../data/signals/spending.json';
import { KNOT, NAUTICAL_MILE } from '../units';
import { geographicRange, luminousRange } from './ranges';

// When to spend the few flares one has. Each who passes notices a light that is in sight by a chance a second, greater ahead of them
// than abeam or astern; that at least one has seen it after all is 1 − e^−(sum of those chances). The sum of several flares is the sum
// of each, so the best moments can be looked for exactly, and a run is measured by them. Metres, seconds, degrees true.

export type SpendScene = (typeof file.scenes)[number];
export type Passes = SpendScene['who'][number];
export const SPEND_SCENES: readonly SpendScene[] = file.scenes;
const { flare: FLARE, lux: LUX, notices: NOTICES } = file;
export const BURNS = FLARE.seconds;
const RAD = Math.PI / 180,
  MINUTE = 60;

/** Where somebody who passes is: from the one who waits, and which way they head. */
export interface Where {
  /** Towards them, degrees true. */
  bearing: number;
  distance: number;
  course: number;
}

/** They run straight on, and are closest at their minute. */
export function whereAt({ closest, bearing, course, speed, at }: Passes, seconds: number): Where {
  const past = (seconds - at * MINUTE) * speed * KNOT;
  const near = closest * NAUTICAL_MILE;
  const x = near * Math.sin(bearing * RAD) + past * Math.sin(course * RAD);
  const y = near * Math.cos(bearing * RAD) + past * Math.cos(course * RAD);
  return { bearing: (Math.atan2(x, y) / RAD + 360) % 360, distance: Math.hypot(x, y), course };
}

/** How far off their bow the one who waits is, 0 ahead to 180 astern; to starboard above 0. */
export const offBow = ({ bearing, course }: Where): number => {
  const back = bearing + 180 - course;
  return (((back % 360) + 540) % 360) - 180;
};

/** Light at the eye from which a light is noticed, lux: by day, by night, and between sunset and dark evenly by its logarithm. */
export function threshold({ sunset, dark }: Pick<SpendScene, 'sunset' | 'dark'>, seconds: number): number {
  const share = Math.min(1, Math.max(0, (seconds / MINUTE - sunset) / (dark - sunset)));
  return LUX.day * (LUX.night / LUX.day) ** share;
}

/**
 * Share of the time in which a light so high over the water stands above the crests: in a swell of height H that goes up and down as
 * a sine it is over them while h + H/2·sin ≥ H/2.
 * @example overSwell(2, 5) // 0.44: arcsin of 1 − 2·2/5
 */
export function overSwell(height: number, swell: number): number {
  if (swell <= height) return 1;
  return 0.5 - Math.asin(1 - (2 * height) / swell) / Math.PI;
}

/** The chance a second that one of them notices a flare that burns now. */
export function noticed(scene: SpendScene, who: Passes, seconds: number): number {
  const where = whereAt(who, seconds);
  const light = luminousRange(FLARE.candela, scene.visibility * NAUTICAL_MILE, threshold(scene, seconds));
  if (where.distance > Math.min(light, geographicRange(FLARE.height, who.eye))) return 0;
  const off = Math.abs(offBow(where));
  const looks =
    off <= NOTICES.within ? NOTICES.ahead : off <= NOTICES.behind ? NOTICES.abeam : NOTICES.astern;
  // From above one looks into the troughs.
  return looks * (who.what === 'helicopter' ? 1 : overSwell(FLARE.height, scene.swell));
}

const allNoticed = (scene: SpendScene, seconds: number) =>
  scene.who.reduce((sum, who) => sum + noticed(scene, who, seconds), 0);

/** How a run stands. `sum` is all chances so far; each of those who pass has their own share of it. */
export interface Spending {
  seconds: number;
  left: number;
  /** How long the one in the hand still burns, s. */
  burns: number;
  sum: number;
  by: readonly number[];
  lit: readonly number[];
  state: 'waiting' | 'over';
}

export const waiting = (scene: SpendScene): Spending => ({
  seconds: 0,
  left: scene.flares,
  burns: 0,
  sum: 0,
  by: scene.who.map(() => 0),
  lit: [],
  state: 'waiting',
});

/** What the hand does: lights one, where none burns and one is left; how much faster time goes by. */
export interface Lights {
  light: boolean;
  pace: number;
}

/** A moment later. @param dt s, before the pace; with it no longer than a second or two */
export function spend(scene: SpendScene, now: Spending, { light, pace }: Lights, dt: number): Spending {
  if (now.state === 'over') return now;
  const time = dt * pace;
  const lights = light && now.burns <= 0 && now.left > 0;
  const burns = lights ? BURNS : now.burns;
  const lasts = Math.min(burns, time);
  const chances = scene.who.map((who) => (lasts > 0 ? noticed(scene, who, now.seconds) * lasts : 0));
  const seconds = now.seconds + time;
  return {
    seconds,
    left: now.left - (lights ? 1 : 0),
    burns: Math.max(0, burns - time),
    sum: now.sum + chances.reduce((all, each) => all + each, 0),
    by: now.by.map((sum, i) => sum + chances[i]),
    lit: lights ? [...now.lit, now.seconds] : now.lit,
    state: seconds >= scene.minutes * MINUTE ? 'over' : 'waiting',
  };
}

/** The chance of having been seen by at least one, from a sum of chances. */
export const seenBy = (sum: number): number => 1 - Math.exp(-sum);

/** A best moment is looked for at every so many seconds. */
const GRAIN = 5;

/**
 * When all flares are best spent: of all ways to place them so that none burns while another does the one with the greatest sum
 * (by the best of the first n places, place by place; exact on its grain).
 */
export function bestSpent(scene: SpendScene): { lit: number[]; sum: number } {
  const count = Math.floor((scene.minutes * MINUTE - BURNS) / GRAIN) + 1;
  const each = Array.from({ length: count }, (_, i) => {
    let sum = 0;
    for (let s = 0; s < BURNS; s += GRAIN) sum += allNoticed(scene, i * GRAIN + s) * GRAIN;
    return sum;
  });
  const apart = BURNS / GRAIN;
  let best: { lit: number[]; sum: number }[] = Array.from({ length: count + 1 }, () => ({ lit: [], sum: 0 }));
  for (let n = 0; n < scene.flares; n += 1) {
    const next: typeof best = [{ lit: [], sum: 0 }];
    for (let i = 0; i < count; i += 1) {
      const before = best[Math.max(0, i - apart + 1)];
      const taken = { lit: [...before.lit, i * GRAIN], sum: before.sum + each[i] };
      next.push(taken.sum > next[i].sum ? taken : next[i]);
    }
    best = next;
  }
  return best[count];
}

/** A run out of a hundred: its chance of being seen beside the best one there was. */
export function spendScore(scene: SpendScene, run: Spending) {
  const best = bestSpent(scene);
  const [mine, most] = [seenBy(run.sum), seenBy(best.sum)];
  return {
    points: most > 0 ? Math.min(100, Math.round((100 * mine) / most)) : 0,
    mine,
    most,
    best: best.lit,
  };
}

/** What of somebody who passes is seen by the one who waits: how near, and which of their lights; nothing where they are too far. */
export function seesOf(who: Passes, seconds: number) {
  const where = whereAt(who, seconds);
  const miles = where.distance / NAUTICAL_MILE;
  if (miles > who.shows)
    return { where, miles, sees: false as const, hears: who.what === 'helicopter' && miles <= file.heard };
  const off = offBow(where);
  const side = Math.abs(off);
  const lights = side <= BOTH ? 'both' : side > STERN ? 'stern' : off > 0 ? 'green' : 'red';
  return { where, miles, sees: true as const, lights: lights as 'both' | 'stern' | 'green' | 'red' };
}
/** Within so many degrees of their bow both side lights are seen; beyond 112.5 the stern light. */
const BOTH = 6,
  STERN = 112.5;
