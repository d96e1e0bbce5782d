import type { Forecast } from '../model';

export interface Weather { wind: number; gust: number; from: number; air?: number; water?: number; visibility?: number; thunder?: boolean }

type Hour = Forecast['hours'][number] & { ms: number };

/** A forecast sorted once, so that it can be asked for many instants. */
export interface SortedForecast { issuedAt: number; from: number; until: number; hours: Hour[] }

export function sortForecast(forecast: Forecast): SortedForecast | undefined {
  const hours = forecast.hours.map((h) => ({ ...h, ms: Date.parse(h.at) })).sort((a, b) => a.ms - b.ms);
  const first = hours[0], last = hours.at(-1);
  if (!first || !last) return undefined;
  return { issuedAt: Date.parse(forecast.issuedAt), from: first.ms, until: last.ms, hours };
}

/** Weather at an instant, between the two hours around it; wind direction by its components so that 350° and 10° meet at north. */
export function weatherAt(forecast: SortedForecast, at: number): Weather | undefined {
  if (at < forecast.from || at > forecast.until) return undefined;
  const next = forecast.hours.findIndex((h) => h.ms >= at);
  const b = forecast.hours[next], a = forecast.hours[Math.max(0, next - 1)];
  const part = b.ms === a.ms ? 0 : (at - a.ms) / (b.ms - a.ms);
  const mix = (x: number | undefined, y: number | undefined) => (x === undefined || y === undefined ? undefined : x + part * (y - x));
  return {
    wind: a.wind + part * (b.wind - a.wind),
    gust: a.gust + part * (b.gust - a.gust),
    from: part < 0.5 ? turnTowards(a.from, b.from, part) : turnTowards(b.from, a.from, 1 - part),
    air: mix(a.air, b.air),
    water: mix(a.water, b.water),
    visibility: mix(a.visibility, b.visibility),
    thunder: a.thunder || b.thunder,
  };
}

/** A part of the shorter turn from one bearing to another, degrees. */
function turnTowards(from: number, to: number, part: number): number {
  const turn = ((to - from + 540) % 360) - 180;
  return (from + part * turn + 360) % 360;
}

/** Worst of what is forecast within a span: the strongest hour of wind and of gust, the coldest water, the least visibility. */
export function worstWithin(forecast: SortedForecast, from: number, until: number) {
  const edges = [weatherAt(forecast, from), weatherAt(forecast, until)].map((w, i) => w && { ...w, ms: i ? until : from });
  const hours: (Weather & { ms: number })[] = [...forecast.hours.filter((h) => h.ms > from && h.ms < until)];
  for (const edge of edges) if (edge) hours.push(edge);
  if (hours.length === 0) return undefined;
  const by = (value: (h: Weather & { ms: number }) => number | undefined) =>
    hours.reduce<(Weather & { ms: number }) | undefined>((best, h) => (value(h) !== undefined && (!best || value(h)! > value(best)!) ? h : best), undefined);
  return { wind: by((h) => h.wind)!, gust: by((h) => h.gust)!, coldest: by((h) => (h.water === undefined ? undefined : -h.water)), warmestAir: by((h) => h.air), dimmest: by((h) => (h.visibility === undefined ? undefined : -h.visibility)), thunder: hours.filter((h) => h.thunder).sort((a, b) => a.ms - b.ms)[0] };
}
