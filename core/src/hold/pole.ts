import table from '../../data/hold/poles.json';
import type { GearItem, PoleData, PoleKind } from '../model';
import type { Band } from '../numeric';
import { guessed } from '../verdict';
import type { Seabed } from './stay';

export const POLE = table as unknown as PoleData;

/** A pole, as far as it was stated or measured: metres. */
export interface Pole {
  kind?: PoleKind;
  long?: number;
  thick?: number;
}
export function poleOf(item: GearItem): Pole {
  const said = <T>(value: T | undefined, pointer: string) => (guessed(item, pointer) ? undefined : value);
  const [kind, long, thick] = [
    said(item.poleOf, '/poleOf'),
    said(item.long, '/long'),
    said(item.thick, '/thick'),
  ];
  return {
    ...(kind === undefined ? {} : { kind }),
    ...(long === undefined ? {} : { long }),
    ...(thick === undefined ? {} : { thick }),
  };
}

const band = ([low, high]: readonly [number, number]): Band => ({ low, high });
const KILO = 1000,
  MEGA = 1e6,
  RAD = Math.PI / 180;

/**
 * Level force that a short pole in soft ground resists, pulled at a height over it: nine times the shear strength on either side of
 * the depth about which it turns (Broms 1964, without the soft crust): x² + 2ax − ae − e²/2 = 0, H = 9·c·d·(2x − e).
 * @param shear of the ground, N/m² @param thick of the pole, m @param depth in the ground, m @param height over it, m
 */
export function inSoft(shear: number, thick: number, depth: number, height: number): number {
  const turns = -height + Math.sqrt(height * height + height * depth + (depth * depth) / 2);
  return Math.max(0, 9 * shear * thick * (2 * turns - depth));
}

/**
 * The same in loose ground: half of three times the passive pressure over its depth, about its foot (Broms 1964):
 * H = ½·γ·d·e³·Kp/(a + e), Kp = tan²(45° + φ/2).
 * @param weight of the ground under water, N/m³ @param friction its angle, radians
 */
export function inLoose(
  weight: number,
  friction: number,
  thick: number,
  depth: number,
  height: number,
): number {
  const passive = Math.tan(Math.PI / 4 + friction / 2) ** 2;
  return (weight * thick * depth ** 3 * passive) / (2 * (height + depth));
}

/** What the ground holds of a pole, newtons level at a height over it. */
function inGround(bottom: Exclude<Seabed, 'mixed'>, thick: number, depth: Band, height: number): Band {
  const soft = POLE.soft[bottom],
    loose = POLE.loose[bottom];
  if (soft) {
    const [low, high] = soft;
    return {
      low: inSoft(low * KILO, thick, depth.low, height),
      high: inSoft(high * KILO, thick, depth.high, height),
    };
  }
  if (!loose) return { low: 0, high: 0 };
  const { weight, friction } = loose;
  return {
    low: inLoose(weight[0] * KILO, friction[0] * RAD, thick, depth.low, height),
    high: inLoose(weight[1] * KILO, friction[1] * RAD, thick, depth.high, height),
  };
}

/** Second moment of area, m⁴, of a round rod, or of a tube whose wall is a share of its thickness. */
const second = (thick: number, wall = 0.5) =>
  (Math.PI / 64) * (thick ** 4 - Math.max(0, thick * (1 - 2 * wall)) ** 4);

/** How a pole is held and bends at a depth of water. */
export interface Staked {
  /** What ground and pole hold of a level pull at the line, newtons. */
  hold: Band;
  /** Of that, by the pole’s own strength: where it would break before the ground gives. */
  breaks: Band;
  /** Bend at the line under a pull of one newton, metres. */
  bend: Band;
  /** In the ground, and over it up to the line, metres. */
  depth: Band;
  height: number;
}

const BOTTOMS = Object.keys(POLE.goesIn) as Exclude<Seabed, 'mixed'>[];

/**
 * A pole in the ground with a line made fast a hand over the water: the ground by formulas of short piles, the pole as a beam held at the
 * ground (sources `short-pile`, `beam`). All of it wide, as nobody tests ground from a boat.
 * @param depth of the water, m
 * @returns undefined where length, thickness or material are not known, or it is too short to stand
 */
export function stakedAt(
  { kind, long, thick }: Pole,
  seabed: Seabed | undefined,
  depth: number,
): Staked | undefined {
  if (kind === undefined || long === undefined || thick === undefined || depth < 0) return undefined;
  const left = long - depth - POLE.over.metres;
  if (left <= 0) return undefined;
  const bottoms = seabed === undefined || seabed === 'mixed' ? BOTTOMS : [seabed];
  const height = depth + POLE.over.metres;
  const all = bottoms.map((bottom) => {
    const [low, high] = POLE.goesIn[bottom];
    const goes = { low: Math.min(low, left), high: Math.min(high, left) };
    return { goes, ground: inGround(bottom, thick, goes, height) };
  });
  const goes = {
    low: Math.min(...all.map((each) => each.goes.low)),
    high: Math.max(...all.map((each) => each.goes.high)),
  };
  const { stiff, strong, solid } = POLE.materials[kind];
  const walls = solid ? [0.5, 0.5] : POLE.tube.wall;
  const [thin, full] = walls.map((wall) => second(thick, wall));
  // The most it is bent lies a little under the ground: a third of what is in it.
  const arm = { low: height + goes.low / 3, high: height + goes.high / 3 };
  const breaks = {
    low: (strong[0] * MEGA * thin) / (thick / 2) / arm.high,
    high: (strong[1] * MEGA * full) / (thick / 2) / arm.low,
  };
  const ground = {
    low: Math.min(...all.map((each) => each.ground.low)),
    high: Math.max(...all.map((each) => each.ground.high)),
  };
  return {
    hold: { low: Math.min(ground.low, breaks.low), high: Math.min(ground.high, breaks.high) },
    breaks,
    bend: {
      low: arm.low ** 3 / (3 * stiff[1] * MEGA * full),
      high: arm.high ** 3 / (3 * stiff[0] * MEGA * thin),
    },
    depth: goes,
    height,
  };
}

/**
 * Line for a pole: from amidships to past either end, and slack to ride the waves.
 * @param length of the boat, m @param wave height, m; unknown is none
 * @example a boat of 3.9 m in flat water: 2.55 to 2.85 m
 */
export const poleLine = (length: number, wave = 0): Band => {
  const { low, high } = band(POLE.school.past);
  return { low: length / 2 + low + wave, high: length / 2 + high + wave };
};
