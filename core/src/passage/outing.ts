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
  /** The wind and the gusts at which it stops, m/s, where that is more than the limits of the trip say. */
  blowsOver?: { wind?: number | undefined; gust?: number | undefined };
  forecast?: SortedForecast;
  /** The zone of the water; without a water no wall time is an instant. */
  zone?: string;
  /** Epoch ms. */
  now: number;
}
