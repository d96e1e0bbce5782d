import windage from '../../data/passage/windage.json';
import { drives, isMotor, SEATED } from '../boat';
import type { Boat } from '../model';
import { brent } from '../numeric';
import { AIR, windAtHeight } from '../water';
import { PASSAGE } from './limits';

/** Watts that reach the water, and what the wind has to push on, m². */
export interface Effort {
  power: number;
  area: number;
}

/** Somebody who paddles, rows or pedals: neither power nor windage is measured of anybody, so that two ends of a band stand for them. */
export interface Arms {
  /** Through still water in a calm, m/s. */
  still: number;
  weak: Effort;
  strong: Effort;
}

const LOW = PASSAGE.limit('arms-weak'),
  HIGH = PASSAGE.limit('arms-strong');
/**
 * The arms that move a boat; undefined for one that a motor or the wind moves.
 * @param still her speed in a calm, m/s
 * @param people how many are in her
 */
export function armsOf(boat: Boat, people: number, still: number): Arms | undefined {
  const [first] = boat.propulsion;
  if (!first || isMotor(first.kind) || drives(boat).human !== true) return undefined;
  const [least, most] = windage.metres2[boat.kind];
  // One rows; of those who paddle, one may rest or be a child.
  const hands = first.kind === 'oars' ? 1 : Math.max(1, people);
  return { still, weak: { power: LOW, area: most }, strong: { power: HIGH * hands, area: least } };
}

/** Nothing is paddled faster, m/s. */
const FASTEST = PASSAGE.limit('arms-fastest');
/** Of what she pushes in a calm the air holds no more than this. */
const AIR_SHARE = PASSAGE.limit('air-share');

/**
 * Speed through the water of who paddles in a wind: P = v·(a·v² + b·|r|·r_along), where r is the wind felt aboard, b half the
 * density of air times the drag area, and a follows from her speed in a calm. Our own model (source `own-estimate`).
 * @param still m/s, above 0
 * @param wind m/s, at the height of who sits in her
 * @param off from where it blows, degrees off her course: 0 ahead, 180 from astern
 * @returns m/s, above 0
 */
export function inWind(still: number, { power, area }: Effort, wind: number, off: number): number {
  const all = power / still ** 3;
  const air = Math.min((AIR / 2) * area, AIR_SHARE * all);
  const water = all - air;
  const ahead = wind * Math.cos((off * Math.PI) / 180),
    across = wind * Math.sin((off * Math.PI) / 180);
  const lacks = (v: number) =>
    v * (water * v * v + air * Math.hypot(v + ahead, across) * (v + ahead)) - power;
  return lacks(FASTEST) <= 0 ? FASTEST : brent(lacks, 0, FASTEST, WITHIN);
}
const WITHIN = 1e-4;

/**
 * The same at the end of the band that a plan is made by, and at the other. The weak end meets the wind as it is forecast and takes
 * nothing from one behind; the strong end meets what of it is left near the water.
 */
export const slowed = ({ still, weak }: Arms, wind: number, off: number): number =>
  Math.min(still, inWind(still, weak, wind, off));
export const hardly = ({ still, strong }: Arms, wind: number, off: number): number =>
  inWind(still, strong, windAtHeight(wind, SEATED), off);
