import type { LatLon } from '../earth';
import type { Forecast, Phrase } from '../model';
import { phrase } from '../say';
import { MS } from '../units';
import { WATER } from './limits';

export interface Weather {
  wind: number;
  gust: number;
  from: number;
  air?: number;
  water?: number;
  visibility?: number;
  thunder?: boolean;
  /** Significant height, metres. */
  waves?: number;
}

type Hour = Forecast['hours'][number] & { ms: number };

/** A forecast sorted once, so that it can be asked for many instants. */
export interface SortedForecast {
  issuedAt: number;
  from: number;
  until: number;
  hours: Hour[];
  /** Invented by a stand-in, for show. */
  invented: boolean;
  /** Spans over which each quantity is told, no two hours of it further apart than may be. */
  told: Record<Told, { from: number; until: number }[]>;
  /** The point it stands for, and others along the way; the name is that of such another. */
  position?: LatLon;
  name?: string;
  points: SortedForecast[];
}
export type Told = 'wind' | 'water' | 'visibility' | 'thunder' | 'waves';

/** Hours of a forecast further apart than this leave what lies between them open, ms. */
export const MOST_APART = WATER.limit('hours-apart') * MS.second;

/** A sentence that leans on a forecast: where that was invented for show, it says so. */
export const leansOnForecast = (forecast: SortedForecast | undefined, said: Phrase): Phrase =>
  forecast?.invented ? phrase('weather.invented', { said }) : said;

/** Forecasts by document: sorted once for each. */
const sorted = new WeakMap<Forecast, { at: LatLon | undefined; found: SortedForecast | undefined }>();

/**
 * A forecast ready to be asked; undefined for one without hours.
 * @param at the point it stands for, where it does not say so itself: that of its water
 */
export function sortForecast(forecast: Forecast, at?: LatLon): SortedForecast | undefined {
  const known = sorted.get(forecast);
  if (known && known.at?.lat === at?.lat && known.at?.lon === at?.lon) return known.found;
  const found = sort(forecast, at);
  sorted.set(forecast, { at, found });
  return found;
}

function sort(forecast: Forecast, at?: LatLon): SortedForecast | undefined {
  const hours = forecast.hours.map((h) => ({ ...h, ms: Date.parse(h.at) })).sort((a, b) => a.ms - b.ms);
  const first = hours[0],
    last = hours.at(-1);
  if (!first || !last) return undefined;
  const invented = forecast.invented === true;
  const position = forecast.position ?? at;
  return {
    issuedAt: Date.parse(forecast.issuedAt),
    from: first.ms,
    until: last.ms,
    hours,
    invented,
    told: {
      wind: spansOf(hours),
      water: spansOf(hours.filter((h) => h.water !== undefined)),
      visibility: spansOf(hours.filter((h) => h.visibility !== undefined)),
      thunder: spansOf(hours.filter((h) => h.thunder !== undefined)),
      waves: spansOf(hours.filter((h) => h.waves !== undefined)),
    },
    ...(position ? { position } : {}),
    points: (forecast.points ?? []).flatMap(({ name, position: there, hours: told }) => {
      const { points: _, ...head } = forecast;
      const point = sort({ ...head, position: there, hours: told });
      return point ? [{ ...point, name }] : [];
    }),
  };
}

function spansOf(hours: readonly Hour[]): { from: number; until: number }[] {
  const spans: { from: number; until: number }[] = [];
  for (const { ms } of hours) {
    const last = spans.at(-1);
    if (last && ms - last.until <= MOST_APART) last.until = ms;
    else spans.push({ from: ms, until: ms });
  }
  return spans;
}

/**
 * Weather at an instant (epoch ms), between the two hours around it: m/s, °C, metres; wind direction by its components so
 * that 350° and 10° meet at north. Undefined outside the forecast and in its gaps.
 * @param position where one is: of several points the nearest stands for it
 */
export function weatherAt(forecast: SortedForecast, at: number, position?: LatLon): Weather | undefined {
  const nearest = nearestOf(forecast, position);
  if (nearest === forecast) return atPoint(forecast, at);
  // What a point does not tell, that of the water does.
  const [there, whole] = [atPoint(nearest, at), atPoint(forecast, at)];
  if (!there) return whole;
  const { air, water, visibility, thunder, waves } = there;
  return {
    ...there,
    air: air ?? whole?.air,
    water: water ?? whole?.water,
    visibility: visibility ?? whole?.visibility,
    thunder: thunder ?? whole?.thunder,
    waves: waves ?? whole?.waves,
  };
}

function atPoint(forecast: SortedForecast, at: number): Weather | undefined {
  if (at < forecast.from || at > forecast.until) return undefined;
  const next = forecast.hours.findIndex((h) => h.ms >= at);
  const b = forecast.hours[next],
    a = b.ms === at ? b : forecast.hours[Math.max(0, next - 1)];
  if (b.ms - a.ms > MOST_APART) return undefined;
  const part = b.ms === a.ms ? 0 : (at - a.ms) / (b.ms - a.ms);
  const mix = (x: number | undefined, y: number | undefined) =>
    x === undefined || y === undefined ? undefined : x + part * (y - x);
  return {
    wind: a.wind + part * (b.wind - a.wind),
    gust: a.gust + part * (b.gust - a.gust),
    from: part < 0.5 ? turnTowards(a.from, b.from, part) : turnTowards(b.from, a.from, 1 - part),
    air: mix(a.air, b.air),
    water: mix(a.water, b.water),
    visibility: mix(a.visibility, b.visibility),
    waves: mix(a.waves, b.waves),
    thunder:
      a.thunder || b.thunder || (a.thunder === undefined || b.thunder === undefined ? undefined : false),
  };
}

/** Of the points of a forecast the one that lies nearest to a position. */
export function nearestOf(forecast: SortedForecast, position: LatLon | undefined): SortedForecast {
  if (!position || forecast.points.length === 0) return forecast;
  const east = Math.cos((position.lat * Math.PI) / 180);
  // Only which is nearer is asked: a plane is enough, and where it is far off all of them are.
  const far = ({ position: there }: SortedForecast) =>
    there ? (there.lat - position.lat) ** 2 + (wrapped(there.lon - position.lon) * east) ** 2 : Infinity;
  return seriesOf(forecast).reduce((near, each) => (far(each) < far(near) ? each : near));
}
const wrapped = (degrees: number) => ((degrees + 540) % 360) - 180;

/** A forecast and the same at its other points. */
export const seriesOf = (forecast: SortedForecast): SortedForecast[] => [forecast, ...forecast.points];

/** A part of the shorter turn from one bearing to another, degrees. */
function turnTowards(from: number, to: number, part: number): number {
  const turn = ((to - from + 540) % 360) - 180;
  return (from + part * turn + 360) % 360;
}

export type AtHour = Weather & {
  ms: number;
  /** The point along the way, where it is another than the water’s. */ point?: string;
};

/** What of a span is forecast at all. A quantity that is missing for part of it is not known over it. */
export interface Worst {
  wind: AtHour;
  gust: AtHour;
  coldest?: AtHour;
  warmestAir?: AtHour;
  dimmest?: AtHour;
  thunder?: AtHour;
  highest?: AtHour;
  /** Which quantities are forecast over the whole span, from its first instant to its last. */
  whole: Record<Told, boolean>;
}

/** The span that was last asked of a forecast: several rooms ask for the same. */
const asked = new WeakMap<SortedForecast, { from: number; until: number; worst: Worst | undefined }>();

/**
 * Worst of what is forecast within a span (epoch ms): the strongest hour of wind and of gust, the coldest water, the least
 * visibility, the first thunder, the highest waves. What is forecast for part of the span only counts where it is bad, never where
 * it is good.
 */
export function worstWithin(forecast: SortedForecast, from: number, until: number): Worst | undefined {
  const last = asked.get(forecast);
  if (last && last.from === from && last.until === until) return last.worst;
  const worst = worstOver(forecast, from, until);
  asked.set(forecast, { from, until, worst });
  return worst;
}

function worstOver(forecast: SortedForecast, from: number, until: number): Worst | undefined {
  const series = seriesOf(forecast);
  const hours = series.flatMap((each) => hoursWithin(each, from, until));
  // A point that says nothing of a quantity leaves it to the others.
  const told = (name: Told) => {
    const says = series.filter((each) => each.told[name].length > 0);
    return (
      says.length > 0 &&
      says.every((each) => each.told[name].some((span) => span.from <= from && until <= span.until))
    );
  };
  if (hours.length === 0) return undefined;
  const by = (value: (h: AtHour) => number | undefined) =>
    hours.reduce<AtHour | undefined>((best, h) => {
      const v = value(h);
      return v !== undefined && (!best || v > (value(best) ?? -Infinity)) ? h : best;
    }, undefined);
  const minus = (value: number | undefined) => (value === undefined ? undefined : -value);
  const thunder = hours.filter((h) => h.thunder).sort((a, b) => a.ms - b.ms)[0];
  const coldest = by((h) => minus(h.water)),
    warmestAir = by((h) => h.air),
    dimmest = by((h) => minus(h.visibility)),
    highest = by((h) => h.waves);
  return {
    wind: by((h) => h.wind)!,
    gust: by((h) => h.gust)!,
    ...(coldest ? { coldest } : {}),
    ...(warmestAir ? { warmestAir } : {}),
    ...(dimmest ? { dimmest } : {}),
    ...(thunder ? { thunder } : {}),
    ...(highest ? { highest } : {}),
    whole: {
      wind: told('wind'),
      water: told('water'),
      visibility: told('visibility'),
      thunder: told('thunder'),
      waves: told('waves'),
    },
  };
}

/** Hours of one point within a span, with those of its ends. */
function hoursWithin(forecast: SortedForecast, from: number, until: number): AtHour[] {
  const { name } = forecast;
  const edges = [from, until].flatMap((ms): AtHour[] => {
    const w = atPoint(forecast, ms);
    return w ? [{ ...w, ms }] : [];
  });
  const hours: AtHour[] = [...forecast.hours.filter((h) => h.ms > from && h.ms < until), ...edges];
  return name === undefined ? hours : hours.map((hour) => ({ ...hour, point: name }));
}
