import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/**
 * Chance out of a seed: each call gives the next number, from 0 up to but not 1. The same seed gives the same numbers, so that what
 * was played with it can be played again.
 * @param seed an integer
 */
export function chance(seed: number): () => number {
  const from = xoroshiro128plus(seed);
  return () => uniformFloat64(from);
}

/** The same things in another order, each order as likely as any (Fisher and Yates, in Durstenfeld’s form of 1964). */
export function shuffled<T>(things: readonly T[], draw: () => number): T[] {
  const all = [...things];
  for (let i = all.length - 1; i > 0; i -= 1) {
    const j = Math.floor(draw() * (i + 1));
    [all[i], all[j]] = [all[j], all[i]];
  }
  return all;
}
