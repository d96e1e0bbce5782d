import { useEffect, useState } from 'react';
import type { LatLon } from '@escale/core/earth';
import { plainly } from '../../data/settings';
import { COMPASS } from './words';

type Model = typeof import('@escale/core/earth/variation');
let model: Model | undefined;

/** The model of the earth’s field comes when bearings are first shown: a trip is told without it. */
function useModel(): Model | undefined {
  const [loaded, setLoaded] = useState(model);
  useEffect(() => {
    if (loaded) return;
    let there = true;
    import('@escale/core/earth/variation').then(
      (came) => {
        model = came;
        if (there) setLoaded(came);
      },
      () => undefined, // Without it bearings stay true, as they say themselves.
    );
    return () => {
      there = false;
    };
  }, [loaded]);
  return loaded;
}

/** What a compass shows there for a true bearing, in words; nothing where no model holds for that day, or none is here yet. */
export function useCompass(): (bearing: number, position: LatLon, at: number) => string {
  const known = useModel();
  return (bearing, position, at) => {
    const east = known?.variation(position, at);
    return known === undefined || east === undefined
      ? ''
      : plainly(COMPASS.shows, { bearing: Math.round(known.byCompass(bearing, east)) % 360 });
  };
}

/** How far a compass is off there, for a page of bearings. */
export function useVariation(): (position: LatLon, at: number) => string {
  const known = useModel();
  return (position, at) => {
    if (!known) return '';
    const east = known.variation(position, at);
    if (east === undefined) return COMPASS.unknown;
    const by = Math.round(Math.abs(east) * 10) / 10;
    return plainly(east < 0 ? COMPASS.west : COMPASS.east, { by });
  };
}
