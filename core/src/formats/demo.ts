import demo from '../../data/formats/demo.json';
import { dayLight, plusDays, civilDate, wallTime } from '../earth';
import type { Bundle } from '../model';
import { MS } from '../units';

/** The demo's own zone and place: an invented coast where there is only open sea. */
const ZONE = 'Atlantic/Azores';
const THERE = { lat: 41.2, lon: -29.5 };

/**
 * The demo bundle, dated from `now` (epoch ms) so that it never goes stale: `{today+1}` is tomorrow there, `{year-10}` a
 * year of birth, `{sunrise-25}` a wall time 25 minutes before tomorrow's sunrise. `demo.test.ts` holds it against the schema.
 */
export function demoBundle(now: number): Bundle {
  const today = civilDate(now, ZONE);
  const sunrise = dayLight(THERE, now + MS.day).sunrise ?? now;
  const dated = JSON.stringify({ ...demo, _: undefined }).replace(
    /\{(today|year|sunrise)([+-]\d+)\}/g,
    (_all, what: string, by: string) => {
      if (what === 'today') return plusDays(today, Number(by));
      if (what === 'year') return String(Number(today.slice(0, 4)) + Number(by));
      const tenMinutes = 10 * MS.minute;
      return wallTime(Math.round((sunrise + Number(by) * MS.minute) / tenMinutes) * tenMinutes, ZONE);
    },
  );
  return { ...(JSON.parse(dated) as Bundle), asOf: new Date(now).toISOString() };
}
