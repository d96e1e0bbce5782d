import { distance, type LatLon } from '../earth';
import type { Place, Trip } from '../model';
import { WATER } from './limits';

const APART = WATER.limit('points-apart'),
  MOST = 12;

/**
 * Places of a way that lie far enough from the point of its forecast, and from each other, to have hours of their own; as many as a
 * forecast may have.
 */
export function forecastPlaces(
  trip: Pick<Trip, 'launch' | 'halts' | 'return'>,
  places: readonly Place[],
  at: LatLon,
): Place[] {
  return [trip.launch, ...trip.halts.map(({ place }) => place), trip.return]
    .flatMap((id) => places.find((place) => place.id === id) ?? [])
    .reduce<Place[]>((far, place) => {
      const others = [at, ...far.map(({ position }) => position)];
      return others.every((other) => distance(other, place.position).metres > APART) ? [...far, place] : far;
    }, [])
    .slice(0, MOST);
}
