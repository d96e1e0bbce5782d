import type { Boat, Place, Trip } from '../model';
import type { Pace } from '../verdict';
import type { SortedForecast } from '../water';
import type { Route } from './route';

/** A trip as its hours see it. */
export interface Outing {
  trip: Trip;
  boat?: Boat;
  launch?: Place;
  back?: Place;
  route?: Route;
  speed?: Pace;
  forecast?: SortedForecast;
  /** The zone of the water; without a water no wall time is an instant. */
  zone?: string;
  /** Epoch ms. */
  now: number;
}
