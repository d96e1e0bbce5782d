import { G } from '../units';

/**
 * Waves that a wind raises over a fetch, where no forecast names them. Published formulas of the kind are a quarter apart: what
 * is given is their band, never one figure. U is the wind at 10 m (m/s), F the fetch (m), d the depth (m); all above 0.
 * Steady wind for long enough; a wind that has just begun raises less.
 */
export interface Sea {
  /** Significant height, m. */
  height: number;
  /** s */
  period: number;
}

/** Adjusted wind of the Shore Protection Manual, 1984: U_A = 0.71·U^1.23. */
export const adjusted = (wind: number) => 0.71 * wind ** 1.23;

/** SPM 1984, deep water: gH/U_A² = 0.0016·(gF/U_A²)^½ ≤ 0.2433, gT/U_A = 0.2857·(gF/U_A²)^⅓ ≤ 8.134. Source `spm-1984`. */
export function spm(wind: number, fetch: number): Sea {
  const u = adjusted(wind),
    f = (G * fetch) / u ** 2;
  return {
    height: (Math.min(0.0016 * Math.sqrt(f), 0.2433) * u ** 2) / G,
    period: (Math.min(0.2857 * Math.cbrt(f), 8.134) * u) / G,
  };
}

/** How long the wind must blow for `spm` to hold, s: gt/U_A = 68.8·(gF/U_A²)^⅔ ≤ 71 500. */
export function spmDuration(wind: number, fetch: number): number {
  const u = adjusted(wind);
  return (Math.min(68.8 * Math.cbrt(((G * fetch) / u ** 2) ** 2), 71_500) * u) / G;
}

/**
 * SPM 1984 over a bottom: gH/U_A² = 0.283·tanh A·tanh(0.00565·f^½ / tanh A) with A = 0.53·(gd/U_A²)^¾, and
 * gT/U_A = 7.54·tanh B·tanh(0.0379·f^⅓ / tanh B) with B = 0.833·(gd/U_A²)^⅜.
 */
export function spmShallow(wind: number, fetch: number, depth: number): Sea {
  const u = adjusted(wind),
    f = (G * fetch) / u ** 2,
    d = (G * depth) / u ** 2;
  const a = Math.tanh(0.53 * d ** 0.75),
    b = Math.tanh(0.833 * d ** 0.375);
  return {
    height: (0.283 * a * Math.tanh((0.00565 * Math.sqrt(f)) / a) * u ** 2) / G,
    period: (7.54 * b * Math.tanh((0.0379 * Math.cbrt(f)) / b) * u) / G,
  };
}

/** Coastal Engineering Manual, 2002 (EM 1110-2-1100, II-2): by the friction velocity u* = U·√(0.001·(1.1 + 0.035·U)). */
export function cem(wind: number, fetch: number): Sea {
  const u = wind * Math.sqrt(0.001 * (1.1 + 0.035 * wind)),
    f = (G * fetch) / u ** 2;
  return {
    height: (Math.min(0.0413 * Math.sqrt(f), 211.5) * u ** 2) / G,
    period: (Math.min(0.651 * Math.cbrt(f), 239.8) * u) / G,
  };
}

/** Wilson 1965, in the form of Goda 2003. */
export function wilson(wind: number, fetch: number): Sea {
  const f = (G * fetch) / wind ** 2;
  return {
    height: (0.3 * (1 - (1 + 0.004 * Math.sqrt(f)) ** -2) * wind ** 2) / G,
    period: (2 * Math.PI * 1.37 * (1 - (1 + 0.008 * Math.cbrt(f)) ** -5) * wind) / G,
  };
}

/** Sverdrup and Munk, revised by Bretschneider. */
export function smb(wind: number, fetch: number): Sea {
  const f = (G * fetch) / wind ** 2;
  return {
    height: (0.283 * Math.tanh(0.0125 * f ** 0.42) * wind ** 2) / G,
    period: (2 * Math.PI * 1.2 * Math.tanh(0.077 * f ** 0.25) * wind) / G,
  };
}

/** JONSWAP, Hasselmann and others 1973. */
export function jonswap(wind: number, fetch: number): Sea {
  const f = (G * fetch) / wind ** 2;
  return {
    height: (0.0016 * Math.sqrt(f) * wind ** 2) / G,
    period: wind / G / (3.5 * f ** -0.33),
  };
}

const METHODS = [spm, cem, wilson, smb, jonswap];

/** From the least to the most that the formulas give. */
export interface SeaBand {
  height: [number, number];
  period: [number, number];
}

/** A wave stands no higher than this share of the depth before it breaks (0.6 to 0.78; McCowan 1894 for the upper). */
const BREAKS_AT = [0.6, 0.78] as const;

/**
 * The band of waves for a wind over a fetch: from the least to the most of the formulas. Where the depth is known the Manual’s
 * own formula over a bottom is among them, and nothing stands higher than the depth lets it stand.
 */
export function seaOf(wind: number, fetch: number, depth?: number): SeaBand {
  if (wind <= 0 || fetch <= 0) return { height: [0, 0], period: [0, 0] };
  const seas = METHODS.map((method) => method(wind, fetch));
  if (depth !== undefined) seas.push(spmShallow(wind, fetch, depth));
  const heights = seas.map(({ height }) => height),
    periods = seas.map(({ period }) => period);
  const cap = (share: number) => (depth === undefined ? Infinity : Math.max(0, depth) * share);
  return {
    height: [Math.min(...heights, cap(BREAKS_AT[0])), Math.min(Math.max(...heights), cap(BREAKS_AT[1]))],
    period: [Math.min(...periods), Math.max(...periods)],
  };
}

/** Speed of a wave in deep water, m/s: g·T/2π. */
export const celerity = (period: number) => (G * period) / (2 * Math.PI);

/** What a stream does to waves. */
export interface OnStream {
  /** Times as high, as long, as steep. */
  height: number;
  length: number;
  steepness: number;
}

/**
 * Deep-water waves that run into a stream, or with it (Longuet-Higgins and Stewart 1961): with c0 = gT/2π and the stream U along
 * them, c/c0 = ½·(1 + √(1 + 4U/c0)), L/L0 = (c/c0)², H/H0 = √(c0² / (c·(c + 2U))). It gives too much near the stream that
 * stops them.
 * @param stream m/s along the waves; against them negative
 * @returns undefined where the stream stops them: U ≤ −c0/4; there they break
 * @example onStream(4, -1).steepness // 2.52
 */
export function onStream(period: number, stream: number): OnStream | undefined {
  const c0 = celerity(period),
    root = 1 + (4 * stream) / c0;
  if (root <= 0) return undefined;
  const c = (c0 / 2) * (1 + Math.sqrt(root));
  const height = Math.sqrt(c0 ** 2 / (c * (c + 2 * stream))),
    length = (c / c0) ** 2;
  return { height, length, steepness: height / length };
}

/** Height over length; in deep water a wave breaks at 0.142 (Miche). Length g·T²/2π. */
export const steepness = (height: number, period: number) => height / (celerity(period) * period);
