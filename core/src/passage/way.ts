import keepOff from '../../data/passage/keep-off.json';
import { depthsOf, nearestOn, shoreOf, type Shallow, type Stretch } from '../chart';
import { distance, type LatLon } from '../earth';
import type { Leg, Place, Schedule, Water } from '../model';
import { guessed } from '../verdict';
import { PASSAGE } from './limits';

/** A straight part of the way, from one place to the next. */
export interface Reach {
  from: Place;
  to: Place;
  metres: number;
}

/** Legs of a way that has all its places. */
export const reachesOf = (stops: Place[]): Reach[] =>
  stops
    .slice(1)
    .map((to, i) => ({ from: stops[i], to, metres: distance(stops[i].position, to.position).metres }))
    .filter(({ metres }) => metres > 0);

/** The n-th of these legs as it is gone: two that lead the same way are gone at two hours. */
export const legGone = ({ legs }: Schedule, n: number): Leg | undefined =>
  legs.filter(({ metres }) => metres > 0)[n];

/** A sketch of the shore is off by so much at the ends of a leg, m: the beach one leaves from may be drawn in the land. */
const SLACK = PASSAGE.limit('shore-slack');

export interface OverLand {
  reach: Reach;
  /** Metres over land, nought where an open line is crossed; and how far after its beginning. */
  metres: number;
  along: number;
}

/** Where legs go over land. */
export function overLand(water: Water | undefined, reaches: Reach[]): OverLand[] {
  const shore = shoreOf(water?.chart);
  if (!shore) return [];
  return reaches.flatMap((reach) =>
    shore
      .overLand(reach.from.position, reach.to.position)
      .filter((stretch) => !isBeach(stretch, reach.metres))
      .map(({ from, until }) => ({
        reach,
        metres: (until - from) * reach.metres,
        along: from * reach.metres,
      })),
  );
}

/** Land within the slack of an end of the leg. */
const isBeach = ({ from, until }: Stretch, metres: number) =>
  until * metres <= SLACK || (1 - from) * metres <= SLACK;

export interface Passed {
  reach: Reach;
  hazard: Place;
  metres: number;
  /** How far to keep off, and whether it was said. */
  off: number;
  said: boolean;
}

/** Hazards that the way passes nearer than one wants: each where it is passed closest. */
export function passed(hazards: Place[], reaches: Reach[]): Passed[] {
  return hazards.flatMap((hazard): Passed[] => {
    const said = hazard.reach !== undefined && !guessed(hazard, '/reach');
    const off = hazard.reach ?? keepOff.metres[hazard.hazard ?? 'other'];
    const [closest] = reaches
      .map((reach) => ({ reach, metres: metresTo(hazard.position, reach) }))
      .sort((a, b) => a.metres - b.metres);
    if (!closest || closest.metres >= off) return [];
    return [{ ...closest, hazard, off, said }];
  });
}

const metresTo = (position: LatLon, { from, to }: Reach) =>
  distance(position, nearestOn(from.position, to.position, position)).metres;

export interface OverShallow extends Shallow {
  /** Which leg. */
  leg: number;
  reach: Reach;
}

/** Where legs lead over depths of less than so many metres at chart datum. */
export function overShallows(water: Water | undefined, reaches: Reach[], than: number): OverShallow[] {
  const depths = depthsOf(water?.chart);
  if (!depths) return [];
  return reaches.flatMap((reach, leg) =>
    depths.under(reach.from.position, reach.to.position, than).map((stretch) => ({ ...stretch, leg, reach })),
  );
}
