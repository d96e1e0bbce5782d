import type { Place, Trip, Water } from '../model';
import type { Pace } from '../verdict';
import type { Stream } from './stream';
import type { Tide } from './tide';
import type { SortedForecast } from './weather';

/** What a trip says of its water and its weather. */
export interface OnWater {
  trip: Trip;
  water?: Water;
  launch?: Place;
  back?: Place;
  tide?: Tide;
  stream?: Stream;
  forecast?: SortedForecast;
  speed?: Pace;
  /** Epoch ms. */
  now: number;
}
