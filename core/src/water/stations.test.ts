import { expect } from '@jest/globals';
import { check } from '../../test/check';
import rows from './stations.check.json';
import { tideOf } from '.';

const HOUR = 3_600_000;
type Part = [name: string, amplitude: number, phase: number];
const CONSTITUENTS = rows.constituents as Record<string, number[]>;

/** h(t) = Z0 + Σ f·A·cos(speed·hours since 1 January + (V0+u) − G), by hand from published rows. */
function byHand(z0: number, parts: Part[], at: number): number {
  const year = new Date(at).getUTCFullYear();
  const hours = (at - Date.UTC(year, 0, 1)) / HOUR;
  const column = 1 + 2 * rows.years.indexOf(year);
  return parts.reduce((sum, [name, amplitude, phase]) => {
    const [speed] = CONSTITUENTS[name];
    const [v0u, f] = CONSTITUENTS[name].slice(column);
    return sum + f * amplitude * Math.cos(((speed * hours + v0u - phase) * Math.PI) / 180);
  }, z0);
}

for (const { name, z0, parts } of rows.stations as { name: string; z0: number; parts: Part[] }[]) {
  check('run here', { title: 'xtide-data 20191229 of Debian' }, `${name}, two summers, hour by hour`, () => {
    const constituents = parts.map(([part, amplitude, phase]) => ({ name: part, amplitude, phase }));
    const tide = tideOf({ kind: 'constants', name, datum: 'station', z0, constituents });
    let squares = 0,
      worst = 0,
      n = 0;
    for (const year of rows.years)
      for (let at = Date.UTC(year, 5, 1); at < Date.UTC(year, 7, 1); at += HOUR, n += 1) {
        const off = Math.abs((tide.heightAt(at) ?? NaN) - byHand(z0, parts, at));
        squares += off * off;
        worst = Math.max(worst, off);
      }
    // The rows hold f and u for the middle of the year; the library moves them daily. Shares of the sum of the amplitudes.
    const reach = parts.reduce((sum, [, amplitude]) => sum + amplitude, 0);
    expect(Math.sqrt(squares / n)).toBeLessThan(0.015 * reach);
    expect(worst).toBeLessThan(0.035 * reach);
  });
}
