import { depthsOf, shoreOf } from '../chart';
import type { LatLon } from '../earth';
import type { Place, Schedule, Trip, Water } from '../model';
import { TIDAL } from '../model/lists';
import { MS } from '../units';
import { guessed } from '../verdict';
import {
  fetchesAt,
  heightsAt,
  seaOf,
  weatherAt,
  type Flow,
  type SortedForecast,
  type Stream,
  type Tide,
} from '../water';
import { HOLD } from './limits';

type Halt = Trip['halts'][number];
export type Seabed = NonNullable<Place['seabed']>;

/** What is known of the waters around a halt. */
export interface Around {
  water?: Water;
  tide?: Tide;
  stream?: Stream;
  forecast?: SortedForecast;
}

/** A halt with its place and its hours, epoch ms. */
export interface Stay {
  place: Place;
  halt: Halt;
  /** Which halt of the trip it is, from 0. */
  n: number;
  from: number;
  until: number;
}

/** What comes to a place at an hour. What is absent is not known. */
export interface Hour {
  at: number;
  /** Of the water, metres; where a chart tells only a least depth it may be more. */
  depth?: number;
  wind?: Flow & { gust: number };
  stream?: Flow;
  /** Height of the waves, metres: as forecast, or the upper end of what the wind raises. */
  wave?: number;
}

/** The halts of a trip with their hours. */
export function staysOf(halts: readonly Halt[], places: readonly Place[], schedule: Schedule): Stay[] {
  return schedule.halts.flatMap(({ place: id, from, until }, i) => {
    const place = places.find((each) => each.id === id);
    const halt = halts[i];
    return place && halt && until > from ? [{ place, halt, n: i, from, until }] : [];
  });
}

/** Depth of a place below chart datum, as it was said, or at least so much by the chart. */
export interface Sounding {
  value: number;
  /** Nobody sounded here: it is the least of its area. */
  least: boolean;
}
export function soundingOf(place: Place, water: Water | undefined): Sounding | undefined {
  if (place.depth !== undefined && !guessed(place, '/depth')) return { value: place.depth, least: false };
  const value = depthsOf(water?.chart)?.at(place.position);
  return value === undefined ? undefined : { value, least: true };
}

/** Does the level stand still, as far as the kind of water says? */
export const isStill = (water: Water | undefined): boolean => water !== undefined && !TIDAL.has(water.class);

/** Water that stands: ponds and lakes have no stream worth the name. */
const NONE: Flow = { speed: 0, direction: 0 };
export const flowAt = (water: Water | undefined, stream: Stream | undefined, at: number): Flow | undefined =>
  stream?.at(at) ?? (isStill(water) && water?.class !== 'river' ? NONE : undefined);

/** Every hour, and so often for what turns in between. */
const STEP = MS.hour,
  FINE = HOLD.limit('looked') * MS.second;

/** Instants of a stay: its ends, every full hour between them, and the turns of the tide, at which it is deepest and shallowest. */
export function hoursIn({ from, until }: Pick<Stay, 'from' | 'until'>, tide: Tide | undefined): number[] {
  const full = Math.floor((until - from) / STEP);
  const turns = tide?.extremes(from, until).flatMap(({ at }) => (at > from && at < until ? [at] : [])) ?? [];
  const all = [...Array.from({ length: full + 1 }, (_, i) => from + i * STEP), ...turns, until];
  return [...new Set(all)].sort((a, b) => a - b);
}

/** What comes at any instant of a stay. */
export function comesAt({ water, tide, stream, forecast }: Around, place: Place): (at: number) => Hour {
  const sounding = soundingOf(place, water);
  const heightAt = heightsAt(tide);
  const wavesAt = raised(water, place.position);
  return (at) => {
    const height = isStill(water) ? 0 : heightAt(at, place);
    const weather = forecast && weatherAt(forecast, at, place.position);
    const flow = flowAt(water, stream, at);
    const hour: Hour = { at };
    if (sounding && height !== undefined) hour.depth = sounding.value + height;
    if (weather) hour.wind = { speed: weather.wind, gust: weather.gust, direction: weather.from };
    if (flow) hour.stream = flow;
    const wave = weather?.waves ?? (weather && wavesAt(weather.wind, weather.from, hour.depth));
    if (wave !== undefined) hour.wave = wave;
    return hour;
  };
}

/** Waves that the wind raises over its fetch, by their upper end; undefined where no shore closes it in. */
function raised(water: Water | undefined, position: LatLon) {
  const shore = shoreOf(water?.chart);
  const fetch = shore && fetchesAt(shore, position);
  return (wind: number, from: number, depth: number | undefined): number | undefined => {
    const over = fetch?.(from);
    if (!over || over.open) return undefined;
    return seaOf(wind, over.metres, depth !== undefined && depth > 0 ? depth : undefined).height[1];
  };
}

/** The strongest stream of a stay and when; undefined as soon as it is not known at an instant of it. */
export function strongest(
  { from, until }: Pick<Stay, 'from' | 'until'>,
  { water, stream }: Pick<Around, 'water' | 'stream'>,
) {
  let most: (Flow & { at: number }) | undefined;
  let whole = true;
  for (let at = from; ; at = Math.min(at + FINE, until)) {
    const flow = flowAt(water, stream, at);
    if (!flow) whole = false;
    else if (!most || flow.speed > most.speed) most = { ...flow, at };
    if (at >= until) return { ...(most ? { most } : {}), whole };
  }
}
