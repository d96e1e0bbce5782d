import type { Shore } from '../chart';
import type { LatLon } from '../earth';
import { WATER } from './limits';

/** Rays on either side of the wind, and how far apart, degrees: the mean of nine over 24° (SPM 1984, source `spm-1984`). */
const RAYS = 4,
  APART = 3;
/** A wind’s direction is told to so many degrees: one fetch serves all within it. */
const STEP = 10;
/** No shore is looked for further off, m. */
const MOST = WATER.limit('fetch-most');

/** The fetch at a position: how far the water lies open to where the wind comes from. */
export interface Fetch {
  metres: number;
  /** Rays that met no shore as far as the chart goes: then it is longer, nobody knows by how much. */
  open: boolean;
}

/** Fetches by position, a direction reckoned when it is first asked for. */
export function fetchesAt(shore: Shore, position: LatLon): (from: number) => Fetch {
  const known = new Map<number, Fetch>();
  return (from) => {
    const sector = (Math.round(from / STEP) * STEP) % 360;
    let fetch = known.get(sector);
    if (!fetch) known.set(sector, (fetch = fetchOf(shore, position, sector)));
    return fetch;
  };
}

/** @param from where the wind comes from, degrees true */
export function fetchOf(shore: Shore, position: LatLon, from: number): Fetch {
  let sum = 0,
    open = false;
  for (let ray = -RAYS; ray <= RAYS; ray += 1) {
    const reached = shore.reach(position, (from + ray * APART + 360) % 360, MOST);
    sum += reached ?? MOST;
    open ||= reached === undefined;
  }
  return { metres: sum / (2 * RAYS + 1), open };
}
