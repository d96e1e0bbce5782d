import type { LatLon } from '../earth';
import type { Place, Schedule } from '../model';
import { MS } from '../units';
import { ARRIVED, landingsFrom, plannedPosition, type Landing, type Seeking } from './haven';
import { PASSAGE } from './limits';

/** A row of the card: where the plan has one at an instant, and where one would land from there. */
export interface CardRow {
  /** Epoch ms. */
  at: number;
  position: LatLon;
  /** Nearest landing at each speed that is known; absent where no landing is. */
  usual?: Landing;
  tired?: Landing;
  flooded?: Landing;
}

/** What she still makes, m/s. */
export interface Speeds {
  usual: number;
  /** Where nobody said it, it is not told. */
  tired?: number | undefined;
}

const EVERY = PASSAGE.limit('card-every') * MS.second,
  FLOODED = PASSAGE.limit('flooded-share');

/** A hull full of water: our own estimate. */
export const floodedSpeed = ({ usual, tired }: Speeds) => Math.min(usual * FLOODED, tired ?? Infinity);

/**
 * Where to go from each half hour of a trip, at her usual, her tired and her flooded speed: a landing that is dry when one gets
 * there is none, so that a slower boat may have another.
 */
export function havenCard(
  schedule: Schedule,
  launch: string,
  places: Place[],
  speeds: Speeds,
  seeking: Pick<Seeking, 'water' | 'own' | 'tideAt'>,
): CardRow[] {
  const { leave, home } = schedule;
  if (home === undefined) return [];
  const rows: CardRow[] = [];
  for (let at = leave; at <= home; at += EVERY) {
    const position = plannedPosition(schedule, launch, places, at);
    if (!position) continue;
    const nearest = (speed: number | undefined): Landing | undefined =>
      speed === undefined ? undefined : landingsFrom(position, places, { ...seeking, speed, now: at })[0];
    const [usual, tired, flooded] = [speeds.usual, speeds.tired, floodedSpeed(speeds)].map(nearest);
    rows.push({
      at,
      position,
      ...(usual ? { usual } : {}),
      ...(tired ? { tired } : {}),
      ...(flooded ? { flooded } : {}),
    });
  }
  return rows;
}

/** Rows in which one stays at one landing, side by side, as one with its last hour. */
export function stays(rows: readonly CardRow[]): (CardRow & { until: number })[] {
  const there = ({ usual }: CardRow) => (usual && usual.metres < ARRIVED ? usual.place.id : undefined);
  return rows.reduce<(CardRow & { until: number })[]>((all, row) => {
    const last = all.at(-1);
    const same = last !== undefined && there(last) !== undefined && there(last) === there(row);
    return same ? [...all.slice(0, -1), { ...last, until: row.at }] : [...all, { ...row, until: row.at }];
  }, []);
}
