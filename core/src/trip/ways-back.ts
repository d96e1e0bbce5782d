import { distance, type LatLon } from '../earth';
import type { Place, Schedule } from '../model';
import { overLand, reachesOf } from '../passage';
import type { AssessInput } from './context';

/** Ids of its own, which no thing of a household has. */
export const HERE = '00000000-0000-7000-8000-000000000000';

/** Where one is, as a place of the trip’s water. */
export const hereOf = ({ trip }: Pick<AssessInput, 'trip'>, position: LatLon): Place => ({
  id: HERE,
  name: 'Here',
  kind: 'waypoint',
  position,
  ...(trip.water ? { water: trip.water } : {}),
});

/** A way back to where one lands, from where one is. */
export interface WayBack {
  back: Place;
  /** By way of these, where the straight way leads over land. */
  by: Place[];
  stops: Place[];
  metres: number;
  /** Every way that is known leads over land. */
  overLand: boolean;
}

/**
 * Straight home where no land is between; else by the halts one came by, or on by those still to come, whichever is shorter and
 * keeps off the land.
 * @returns undefined where nobody said where one comes back to
 */
export function wayBack(
  input: Pick<AssessInput, 'trip' | 'shed' | 'now'>,
  from: Place,
  schedule: Schedule | undefined,
): WayBack | undefined {
  const { trip, shed, now } = input;
  const back = shed.places.find(({ id }) => id === (trip.return ?? trip.launch));
  if (!back) return undefined;
  const halts = trip.halts.flatMap(({ place }) => shed.places.find(({ id }) => id === place) ?? []);
  const gone = schedule?.halts.filter(({ from: at }) => at <= now).length ?? 0;
  const ways = [[], halts.slice(0, gone).toReversed(), halts.slice(gone)].map((by) => {
    const stops = [from, ...by, back];
    return { back, by, stops, metres: long(stops) };
  });
  const water = shed.waters.find(({ id }) => id === trip.water);
  const clear = ways.filter(({ stops }) => overLand(water, reachesOf(stops)).length === 0);
  const straight = clear.find(({ by }) => by.length === 0);
  const shortest = straight ?? clear.sort((a, b) => a.metres - b.metres)[0];
  return shortest ? { ...shortest, overLand: false } : { ...ways[0], overLand: true };
}

const long = (stops: Place[]): number =>
  stops.slice(1).reduce((sum, to, i) => sum + distance(stops[i].position, to.position).metres, 0);
