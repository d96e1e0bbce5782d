import WORDS from '../../data/water/forecast-words.json';
import type { Forecast } from '../model';
import { KNOT, MS } from '../units';
import { WATER } from './limits';

type Hour = Forecast['hours'][number];

/** Wind of a force that need not be whole, m/s: v = 0.836·B^1.5, source `beaufort`. */
export const windOf = (force: number) => 0.836 * force ** 1.5;
/** The force of a wind, m/s: the inverse. @example forceOf(8) // 4.5 */
export const forceOf = (wind: number) => (wind / 0.836) ** (2 / 3);

/** How much worse and how much earlier one looks at. */
const MORE = WATER.limit('worse-force'),
  EARLIER = WATER.limit('worse-earlier') * MS.second;

/**
 * The same forecast a force more and two hours earlier: gusts grow with the wind, waves with its square. Its last two hours stay as
 * long as it reaches.
 */
export function oneWorse(forecast: Forecast): Forecast {
  const hours = [...forecast.hours].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const last = hours.at(-1);
  if (!last) return forecast;
  const moved = hours.map((hour) => ({ ...stronger(hour), at: shifted(hour.at, -EARLIER) }));
  return {
    ...forecast,
    hours: [...moved, { ...stronger(last), at: last.at }],
    ...withPoints(forecast, (hours) => oneWorse({ ...forecast, points: undefined, hours }).hours),
  };
}

/** Its other points, each with its hours changed; none where it has none. */
const withPoints = (
  { points }: Pick<Forecast, 'points'>,
  changed: (hours: Hour[]) => Hour[],
): Pick<Forecast, 'points'> =>
  points ? { points: points.map((point) => ({ ...point, hours: changed(point.hours) })) } : {};

function stronger(hour: Hour): Hour {
  const wind = windOf(forceOf(hour.wind) + MORE);
  // In a calm there is nothing to grow by: the gusts are then as many m/s more as the wind.
  const times = hour.wind > 0 ? wind / hour.wind : undefined;
  const gust = times === undefined ? hour.gust + wind : hour.gust * times;
  return {
    ...hour,
    wind: Math.min(wind, TOP.wind),
    gust: Math.min(Math.max(gust, wind), TOP.gust),
    ...(hour.waves === undefined
      ? {}
      : { waves: Math.min(hour.waves * Math.max(1, times ?? 1) ** 2, TOP.waves) }),
  };
}
/** What a forecast may say at all. */
const TOP = { wind: 100, gust: 150, waves: 30 };

const shifted = (at: string, by: number) => new Date(Date.parse(at) + by).toISOString();

const GUSTS = WATER.limit('heard-gusts'),
  HOLDS = WATER.limit('heard-holds') * MS.second;

/** What was heard on the radio: a force, and from when. */
export interface Heard {
  /** Beaufort, 0 to 12. */
  force: number;
  /** Epoch ms. */
  from: number;
  /** Where it comes from, degrees true; without it as was known before. */
  direction?: number | undefined;
}

/** The forces that can be heard. */
export const FORCES = WORDS.force.upTo.length;

/**
 * A forecast as it stands after something was heard: until then as before, from then on the upper end of the force for as long as
 * that is taken to hold.
 * @param before what was known; without it a direction is wanted
 * @param source what is said of where it comes from
 * @returns undefined where nobody knows from where it blows
 */
export function afterHeard(
  before: Forecast | undefined,
  { force, from, direction }: Heard,
  now: number,
  source: string,
): Forecast | undefined {
  const known = [...(before?.hours ?? [])].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const near = known.findLast(({ at }) => Date.parse(at) <= from) ?? known[0];
  const comes = direction ?? near?.from;
  const knots = WORDS.force.upTo[force];
  if (comes === undefined || knots === undefined) return undefined;
  const wind = knots * KNOT;
  const kept = known.filter(({ at }) => Date.parse(at) < from);
  const told: Hour[] = [];
  for (let at = from; at <= from + HOLDS; at += MS.hour) {
    // What else was forecast for that hour stands; waves of another wind do not.
    const same = known.find((hour) => Math.abs(Date.parse(hour.at) - at) <= MS.hour / 2);
    const { waves: _waves, ...rest } = same ?? {};
    told.push({ ...rest, at: new Date(at).toISOString(), wind, gust: wind * GUSTS, from: comes });
  }
  // Where hours of before still lie ahead it is as old as they are.
  const issued = before && from > now ? Math.min(Date.parse(before.issuedAt), now) : now;
  return {
    issuedAt: new Date(issued).toISOString(),
    source,
    ...(before?.position ? { position: before.position } : {}),
    hours: [...kept, ...told],
    // What is heard is heard for all of the water.
    ...withPoints(before ?? {}, (hours) => [
      ...hours.filter(({ at }) => Date.parse(at) < from),
      ...told.map((hour) => ({ ...hour })),
    ]),
  };
}
