import Papa from 'papaparse';
import { HOUR, KNOT, MINUTE, NAUTICAL_MILE } from '../units';
import type { Entry } from './entries';

/** A number, not its text: below zero that would be taken for a formula. */
const figure = (value: number | undefined, per: number, digits: number) =>
  value === undefined ? '' : Number((value / per).toFixed(digits));
const whether = (value: boolean | undefined) => (value === undefined ? '' : value ? 'yes' : 'no');
const instant = (at: number | undefined) => (at === undefined ? '' : new Date(at).toISOString());

/** The logbook as a table, a row a trip, each column with its unit. A cell that a sheet would take for a formula is quoted as text. */
export const logbookTable = (entries: readonly Entry[]): string =>
  Papa.unparse(
    entries.map((e) => ({
      date: e.on,
      trip: e.title ?? '',
      boat: e.boat ?? '',
      people: e.who.join('; '),
      water: e.water ?? '',
      'left (UTC)': instant(e.left),
      'ashore (UTC)': instant(e.home),
      'out (h)': figure(e.out, HOUR, 2),
      'way (nm)': figure(e.metres, NAUTICAL_MILE, 2),
      'under way (min)': figure(e.moving, MINUTE, 0),
      'speed (kn)': figure(e.speed, KNOT, 2),
      'wind (kn)': figure(e.wind, KNOT, 1),
      'waves (m)': figure(e.waves, 1, 1),
      'water (°C)': figure(e.cold, 1, 1),
      'off a landing (nm)': figure(e.off, NAUTICAL_MILE, 2),
      dark: whether(e.dark),
      company: whether(e.company),
      'fuel (L)': figure(e.fuel, 0.001, 1),
      caught: String(e.caught),
      kept: String(e.kept),
      forgotten: e.forgotten.join('; '),
      'near miss': e.miss ? 'yes' : 'no',
      told: e.untold ? 'no' : 'yes',
    })),
    { escapeFormulae: true },
  );
