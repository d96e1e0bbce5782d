import { metresAt, spotOf } from '../chart';
import type { Place, Schedule, Water } from '../model';
import { asPrinted } from '../units';
import { landsAt } from './haven';
import type { Reach } from './way';

/** Where on a way the nearest landing is farthest, and when. */
export interface FarOff {
  reach: Reach;
  landing: Place;
  metres: number;
  /** How far along the leg, from 0 to 1. */
  share: number;
  /** Epoch ms. */
  at: number;
  /** No other place lies nearer at which one may be able to land. */
  sure: boolean;
}

/** A leg is looked at in so many places, its ends among them. */
const LOOKS = 9;

/**
 * How far from a landing the way leads: what of it the hour does not change is reckoned once. Distances are those of the chart, right
 * to a part in ten thousand over twenty miles.
 * @param heightAt of the tide at a place, for landings that fall dry
 * @returns for a schedule; `unknown` where no sure landing is in reach at some part of it
 */
export function farOff(
  reaches: Reach[],
  places: Place[],
  water: Pick<Water, 'id'> | undefined,
  heightAt: (at: number, place: Place) => number | undefined,
): (schedule: Schedule) => FarOff | 'unknown' | undefined {
  const landings = places.flatMap((place) => {
    const lands = landsAt(place, water?.id);
    return lands === false ? [] : [{ place, surely: lands === true }];
  });
  const looks = reaches.flatMap((reach, leg) => {
    const origin = reach.from.position.lon;
    const [from, to] = [reach.from, reach.to].map(({ position }) => spotOf(position, origin));
    const spots = landings.map(({ place, surely }) => ({
      place,
      surely,
      spot: spotOf(place.position, origin),
    }));
    return Array.from({ length: LOOKS }, (_, i) => {
      const share = i / (LOOKS - 1);
      const here = { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) };
      const lat = reach.from.position.lat + share * (reach.to.position.lat - reach.from.position.lat);
      const sorted = spots
        .map(({ place, surely, spot }) => ({
          place,
          surely,
          metres: Math.hypot(spot.x - here.x, spot.y - here.y) * metresAt((lat + place.position.lat) / 2),
        }))
        .sort((a, b) => a.metres - b.metres);
      return { reach, leg, share, sorted };
    });
  });
  if (looks.length === 0) return () => undefined;
  /** Undefined where the tide there is not known at that hour. */
  const dry = (place: Place, at: number): boolean | undefined => {
    if (place.works === undefined) return false;
    const height = heightAt(at, place);
    return height === undefined ? undefined : asPrinted(height, 'height') < asPrinted(place.works, 'height');
  };
  return (schedule) => {
    const legs = schedule.legs.filter(({ metres }) => metres > 0);
    let far: FarOff | undefined;
    for (const { reach, leg, share, sorted } of looks) {
      const gone = legs[leg];
      if (!gone) return 'unknown';
      const at = gone.departs + share * (gone.arrives - gone.departs);
      const first = sorted.findIndex(({ place, surely }) => surely && dry(place, at) === false);
      const nearest = sorted[first];
      if (!nearest) return 'unknown';
      if (far && nearest.metres <= far.metres) continue;
      const sure = sorted.slice(0, first).every(({ place }) => dry(place, at) === true);
      far = { reach, landing: nearest.place, metres: nearest.metres, share, at, sure };
    }
    return far;
  };
}
