import { distance, type LatLon } from '../earth';
import type { Phrase, Water } from '../model';
import { phrase } from '../say';
import type { SourceId } from '../sources';
import type { Stream } from './stream';
import type { Tide } from './tide';
import { nearestOf, weatherAt, type SortedForecast } from './weather';

/** A quantity as far as it is known, with where it comes from and what was taken for granted. */
export interface Known<T> {
  value: T;
  source: SourceId;
  assumed: Phrase[];
}

/** m/s and degrees true: where wind comes from, where a stream goes to. */
export interface Flow {
  speed: number;
  direction: number;
}

/** What one looks at at one place and one time. What is absent is not known there; `lacks` says it in words. */
export interface At {
  wind?: Known<Flow & { gust: number }>;
  stream?: Known<Flow>;
  /** Significant height, metres. */
  wave?: Known<number>;
  /** Of the water there and then, metres. */
  depth?: Known<number>;
  /** Height of tide over the station's datum, metres. */
  tide?: Known<number>;
  /** °C */
  air?: Known<number>;
  water?: Known<number>;
  /** Metres. */
  visibility?: Known<number>;
  thunder?: Known<boolean>;
  lacks: Phrase[];
}

/** What the conditions of a water are known from. */
export interface Knowledge {
  water?: Pick<Water, 'forecastAt'>;
  tide?: Tide;
  stream?: Stream;
  forecast?: SortedForecast;
}

/**
 * Conditions at a position and an instant (epoch ms), as far as anything is known of them. One forecast stands for a whole
 * water: how far off its point lies is told beside every value of it, and one stream likewise. Depths are in no source yet, and
 * are said to be lacking, never nought; waves are known where a forecast names them.
 */
export function conditionsAt({
  water,
  tide,
  stream,
  forecast,
}: Knowledge): (position: LatLon, at: number) => At {
  return (position, at) => {
    const weather = forecast && weatherAt(forecast, at, position);
    const height = tide?.heightAt(at);
    const flow = stream?.at(at);
    const point = (forecast && nearestOf(forecast, position).position) ?? water?.forecastAt;
    const away = point
      ? phrase('at.forecast.away', { metres: distance(position, point).metres })
      : phrase('at.forecast.nowhere');
    const assumed = [away, ...(forecast?.invented ? [phrase('weather.show')] : [])];
    const known = <T>(name: keyof At, value: T | undefined): Partial<At> =>
      value === undefined ? {} : { [name]: { value, source: 'practice', assumed } };
    const found: Omit<At, 'lacks'> = {
      ...(weather ? known('wind', { speed: weather.wind, gust: weather.gust, direction: weather.from }) : {}),
      ...known('wave', weather?.waves),
      ...known('air', weather?.air),
      ...known('water', weather?.water),
      ...known('visibility', weather?.visibility),
      ...known('thunder', weather?.thunder),
      ...(stream && flow
        ? { stream: { value: flow, source: stream.source, assumed: [phrase('at.stream.one')] } }
        : {}),
      ...(tide && height !== undefined
        ? {
            tide: {
              value: height,
              source: tide.source,
              assumed: [phrase('at.tide', { datum: tide.datum })],
            },
          }
        : {}),
    };
    const lacks = LOOKED_AT.filter(([name]) => found[name] === undefined).map(([, words]) => words);
    return { ...found, lacks };
  };
}

/** What one looks at, in the words by which it is said to be lacking. */
const LOOKED_AT = [
  ['wind', phrase('at.wind')],
  ['stream', phrase('at.stream')],
  ['wave', phrase('at.wave')],
  ['depth', phrase('at.depth')],
  ['tide', phrase('at.tide-height')],
  ['air', phrase('at.air')],
  ['water', phrase('at.water')],
  ['visibility', phrase('forecast.lacks.visibility')],
  ['thunder', phrase('forecast.lacks.thunder')],
] as const;
