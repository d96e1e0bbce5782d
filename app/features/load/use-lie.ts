import { useMemo } from 'react';
import { afloat, hullOf, placed, type Afloat, type Hull, type Placed, type Way } from '@escale/core/boat';
import type { Spot, Trip } from '@escale/core/model';
import { densityOf } from '@escale/core/water';
import { useTrip, type TripView } from '../trip/use-trip';

export interface Lie {
  hull: Hull;
  spots: Placed[];
  lie: Afloat;
  density: number;
}

/** A spot that is being dragged and not yet let go. */
export interface Draft {
  id: string;
  spot: Spot;
}

/** The trip with somebody or something put at a spot. */
export function withSpot(trip: Trip, { id, spot }: Draft): Trip {
  const [list, n] = id.split('/');
  if (list === 'crew')
    return { ...trip, crew: trip.crew.map((c, i) => (i === Number(n) ? { ...c, seat: spot } : c)) };
  return list === 'load'
    ? { ...trip, load: trip.load.map((item, i) => (i === Number(n) ? { ...item, spot } : item)) }
    : trip;
}

/** What of a trip's crew is in the shed, in the crew's own order. */
export const aboardOf = ({ trip, shed }: Pick<TripView, 'trip' | 'shed'>) =>
  trip.crew.flatMap((c) => shed.people.find((p) => p.id === c.person) ?? []);

/** How she lies with the load as it stands, or as it is being dragged: one balance, about half a millisecond. */
export function useLie(way: Way, draft?: Draft): Lie | undefined {
  const { trip, shed } = useTrip();
  const boat = shed.boats.find((b) => b.id === trip.boat);
  const water = shed.waters.find((w) => w.id === trip.water);
  const hull = useMemo(() => boat && hullOf(boat), [boat]);
  return useMemo(() => {
    if (!boat || !hull) return undefined;
    const density = densityOf(water);
    const spots = placed(draft ? withSpot(trip, draft) : trip, aboardOf({ trip, shed }), hull, way);
    return { hull, spots, lie: afloat(boat, hull, spots, density), density };
  }, [boat, hull, water, trip, shed, way, draft]);
}
