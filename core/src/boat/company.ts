import type { Boat, Trip } from '../model';
import type { Pace } from '../verdict';
import { windAtHeight } from '../water';
import { PADDLER, towingSpeed } from './energy';
import { BOAT } from './limits';
import { drives, isMotor } from './load';

/** One boat of a trip in company, the trip's own first. */
export interface Fellow {
  boat: Boat;
  people: string[];
  /** Who was said to wear a jacket; in the trip's own boat the crew says it. */
  wears?: string[];
  /** m/s */
  speed?: number;
  /** The boat that she stays with, by id. */
  with?: string;
}

/** All boats of a trip with who is in them. Boats that are no longer in the shed are left out; a finding says so. */
export function fellows(trip: Trip, boats: Boat[], own?: { boat: Boat; speed?: Pace }): Fellow[] {
  const others = (trip.company ?? []).flatMap(({ boat: id, people, wears, with: mate }): Fellow[] => {
    const boat = boats.find((b) => b.id === id);
    if (!boat) return [];
    const cruise = boat.propulsion[0]?.cruise;
    return [
      {
        boat,
        people,
        ...(wears ? { wears } : {}),
        ...(cruise === undefined ? {} : { speed: cruise }),
        ...(mate ? { with: mate } : {}),
      },
    ];
  });
  if (!own) return others;
  const people = trip.crew.map((c) => c.person);
  return [{ boat: own.boat, people, ...(own.speed ? { speed: own.speed.value } : {}) }, ...others];
}

/** Height at which the wind meets who sits in a small boat, m. */
export const SEATED = BOAT.limit('seated');

/**
 * Speed at which one boat tows another of about her size into a forecast wind, m/s.
 * @param wind m/s at 10 m
 * @returns undefined where nobody said how she moves, 0 where she makes no way
 */
export function towing(by: Boat, wind: number): number | undefined {
  const moves = drives(by);
  if (moves.motor) return by.propulsion.find((p) => isMotor(p.kind))?.slow;
  return moves.human ? towingSpeed(PADDLER, windAtHeight(wind, SEATED), 2) : undefined;
}
