import type { LatLon } from '../earth';
import type { Phrase } from '../model';
import { gapsOf, isGap, sayGap, type SaidGap } from './gaps';
import type { Cell, Column } from './glance';
import { worstMoments } from './glance';
import type { Incident } from './incidents';
import { momentOf, plannedMoment, type Moment } from './moment';
import { reckon } from './reckon';
import type { Standing } from './standing';
import { timelineOf } from './timeline';
import type { Told } from './told';

/** What follows of an incident at a moment: everything a screen tells, and nothing that reckons any more. */
export interface Answer {
  incident: Incident;
  at: number;
  here: LatLon;
  told: Told[];
  /** The worst first. */
  gaps: SaidGap[];
  /** Ways that she, or they, may drift: the middle one first. */
  tracks: LatLon[][];
}

/** Where one is at an instant: there, or where the plan has them; undefined where nothing tells. */
export const momentAt = (standing: Standing, at: number, here?: LatLon): Moment | undefined =>
  here ? momentOf(standing, at, here) : plannedMoment(standing, at);

/** @returns undefined where nobody knows where they are at that instant */
export function ask(
  standing: Standing,
  { at, here, incident }: { at: number; here?: LatLon; incident: Incident },
): Answer | undefined {
  const moment = momentAt(standing, at, here);
  if (!moment) return undefined;
  const reckoned = reckon(standing, moment, incident);
  const told = timelineOf(standing, reckoned);
  const drift = told.some(({ id }) => id === 'drift') ? moment.drift(reckoned.as) : undefined;
  return {
    incident,
    at,
    here: moment.here,
    told,
    gaps: gapsOf(reckoned).map((gap) => ({ ...gap, says: sayGap(gap) })),
    tracks: drift
      ? [drift.middle, ...drift.sides].map(({ points }) => points.map(({ position }) => position))
      : [],
  };
}

/** One of the worst moments of the day, reckoned anew and in full. */
export interface Worst extends Pick<Column, 'at' | 'here' | 'off'>, Cell {
  says: Phrase;
}

export const worstInFull = (standing: Standing, columns: readonly Column[]): Worst[] =>
  worstMoments(columns).flatMap((cell): Worst[] => {
    const answer = ask(standing, { ...cell, incident: { id: cell.incident } });
    const worst = answer?.gaps[0];
    return worst && isGap(worst)
      ? [
          {
            ...cell,
            grade: worst.grade,
            high: worst.gap.high,
            open: worst.leans.length > 0,
            says: worst.says,
          },
        ]
      : [];
  });
