import { useMemo } from 'react';
import type { Place } from '@escale/core/model';
import { clock } from '@escale/core/say';
import { plainly } from '../../data/settings';
import type { TripView } from '../trip/use-trip';
import type { Wanted } from './names';
import { SKETCH } from './words';

/** A place at which the way stops, and what stands beside it on the chart. */
export interface Stop {
  place: Place;
  said?: string;
  /** Epoch ms. */
  at?: number;
  /** Which halt of the trip it is; that of the launch is before all, that of the return behind all. */
  halt: number;
}

/** The way of a trip in order; places that are gone are passed over. */
export function useStops({ trip, shed, assessment, reader }: TripView): Stop[] {
  return useMemo(() => {
    const find = (id: string | undefined) => shed.places.find((place) => place.id === id);
    const { schedule } = assessment;
    const at = (ms: number | undefined) => (ms === undefined ? {} : { at: ms, said: clock(ms, reader) });
    const ids = [trip.launch, ...trip.halts.map(({ place }) => place)];
    const stops = ids.flatMap((id, i): Stop[] => {
      const place = find(id);
      const when = i === 0 ? schedule?.leave : schedule?.legs[i - 1]?.arrives;
      return place ? [{ place, halt: i - 1, ...at(when) }] : [];
    });
    const back = find(trip.return ?? trip.launch);
    const home = trip.halts.length;
    return home > 0 && back ? [...stops, { place: back, halt: home, ...at(schedule?.home) }] : stops;
  }, [trip, shed, assessment, reader]);
}

/** The hours at which one is at each stop: a launch that one comes back to has two. */
function hoursAt(stops: readonly Stop[]): Map<string, string[]> {
  const hours = new Map<string, string[]>();
  for (const { place, said } of stops)
    // Who stays where they put in is there at one hour, told once.
    hours.set(place.id, [...new Set([...(hours.get(place.id) ?? []), ...(said ? [said] : [])])]);
  return hours;
}

/** The name of every place with its hours, where it stands: those of the way first, then what one must know. */
export function wordsOf(
  stops: readonly Stop[],
  places: readonly Place[],
  at: (place: Place) => { x: number; y: number },
): Wanted[] {
  const hours = hoursAt(stops);
  const rank = ({ id, kind }: Place) => (hours.has(id) ? 0 : (RANK[kind] ?? LAST));
  return [...places]
    .sort((a, b) => rank(a) - rank(b))
    .map((place) => {
      const { x, y } = at(place);
      const said = hours.get(place.id)?.join(', ');
      const both = said ? plainly(SKETCH.beside, { name: place.name, said }) : place.name;
      return { id: place.id, text: both, x, y, ...(said ? { short: said } : {}) };
    });
}
const RANK: Partial<Record<Place['kind'], number>> = { hazard: 1, haven: 2, launch: 3 };
const LAST = 4;
