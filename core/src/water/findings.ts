import type { Finding, Place, Schedule, Trip, Water } from '../model';
import type { Figures, Pace } from '../verdict';
import { tideFindings } from './find-tide';
import { weatherFindings } from './find-weather';
import type { Tide } from './tide';
import type { SortedForecast, Worst } from './weather';

/** What a trip says of its water and its weather. */
export interface OnWater {
  trip: Trip;
  water?: Water;
  launch?: Place;
  back?: Place;
  tide?: Tide;
  forecast?: SortedForecast;
  speed?: Pace;
  /** Epoch ms. */
  now: number;
}

/**
 * Tide at the launch, and wind, gusts, thunder and visibility over the hours of a trip, as far as they are forecast.
 * @param worst the worst of those hours; undefined where nothing of them is forecast
 */
export function waterFindings(
  on: OnWater,
  schedule: Schedule,
  worst: Worst | undefined,
  figures: Figures,
): Finding[] {
  return [...tideFindings(on, schedule, figures), ...weatherFindings(on, schedule, worst, figures)];
}
