import { dayLight, skySpans, type Sky } from '../earth';
import type { Assessment } from '../model';
import { MS } from '../units';
import {
  conditionsAt,
  conditionsFor,
  sortForecast,
  spansAbove,
  streamOf,
  tideOf,
  type TideExtreme,
} from '../water';
import type { AssessInput } from './context';

/** Everything the day strip draws, on one axis. Instants epoch ms, heights metres, speeds m/s. */
export interface Strip {
  from: number;
  until: number;
  sky: { sky: Sky; from: number; until: number }[];
  tide: { at: number; height: number }[];
  /** High and low waters within the axis. */
  turns: TideExtreme[];
  works: { from: number; until: number }[];
  wind: { at: number; wind: number; gust: number; from: number }[];
  /** Where it is known: m/s and degrees true towards which it goes. */
  stream: { at: number; speed: number; direction: number }[];
  /** Significant heights that are forecast, m. */
  waves: { at: number; height: number }[];
}

const TIDE_STEP = 15 * MS.minute;
const WIND_STEP = MS.hour;
const LEAST_SPAN = 12 * MS.hour;

/**
 * The axis: from an hour before first light (or leaving) to an hour past overdue, at least twelve hours. It
 * stands still while the departure is dragged.
 */
export function stripAxis(
  { trip, shed }: Pick<AssessInput, 'trip' | 'shed'>,
  assessment: Pick<Assessment, 'leave' | 'schedule'>,
): { from: number; until: number } | undefined {
  const launch = shed.places.find((p) => p.id === trip.launch);
  const leave = assessment.schedule?.leave ?? assessment.leave;
  if (leave === undefined) return undefined;
  const dawn = launch && dayLight(launch.position, leave).dawn;
  const from = Math.floor(Math.min(leave - MS.hour, (dawn ?? leave) - MS.hour) / MS.hour) * MS.hour;
  const until =
    Math.ceil(Math.max((assessment.schedule?.overdue ?? leave) + MS.hour, from + LEAST_SPAN) / MS.hour) *
    MS.hour;
  return { from, until };
}

/** What the strip draws over its axis, at the launch. */
export function stripOf(
  { trip, shed, conditions }: Pick<AssessInput, 'trip' | 'shed' | 'conditions'>,
  axis: { from: number; until: number },
): Strip {
  const launch = shed.places.find((p) => p.id === trip.launch);
  const water = shed.waters.find((w) => w.id === trip.water);
  const tide = water?.tide && tideOf(water.tide);
  const told = conditionsFor(trip, conditions).forecast;
  const forecast = told && sortForecast(told, water?.forecastAt ?? launch?.position);
  const stream = streamOf(water, tide);
  const at = conditionsAt({ ...(water ? { water } : {}), ...(forecast ? { forecast } : {}) });
  // Wind and tide are drawn where no launch is chosen yet, too: both stand for the whole water.
  const where = launch?.position ?? water?.forecastAt ?? NOWHERE;
  const steps = (step: number) =>
    Array.from({ length: Math.floor((axis.until - axis.from) / step) + 1 }, (_, i) => axis.from + i * step);
  const known = steps(WIND_STEP).map((instant) => ({ instant, ...at(where, instant) }));
  return {
    ...axis,
    sky: launch ? skySpans(launch.position, axis.from, axis.until) : [],
    tide: steps(TIDE_STEP).flatMap((instant) => {
      const height = tide?.heightAt(instant);
      return height === undefined ? [] : [{ at: instant, height }];
    }),
    turns: (tide?.extremes(axis.from, axis.until) ?? []).filter(
      ({ at: t }) => t >= axis.from && t <= axis.until,
    ),
    works: tide && launch?.works !== undefined ? spansAbove(tide, launch.works, axis.from, axis.until) : [],
    wind: known.flatMap(({ instant, wind }) =>
      wind
        ? [{ at: instant, wind: wind.value.speed, gust: wind.value.gust, from: wind.value.direction }]
        : [],
    ),
    stream: steps(WIND_STEP).flatMap((instant) => {
      const flow = stream?.at(instant);
      return flow ? [{ at: instant, ...flow }] : [];
    }),
    waves: known.flatMap(({ instant, wave }) => (wave ? [{ at: instant, height: wave.value }] : [])),
  };
}
const NOWHERE = { lat: 0, lon: 0 };
