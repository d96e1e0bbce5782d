import { afloat, drives, hullOf, placed } from '../boat';
import type { Boat, Person, Trip } from '../model';
import { guessed } from '../verdict';
import { PASSAGE } from './limits';

/** How deep she reaches under the water, metres. */
export interface Draught {
  value: number;
  /** Stated or measured; reckoned from her hull and what lies in her; or not even that. */
  known: 'said' | 'reckoned' | 'taken';
}

/** What hangs below her hull where nobody said it. */
const DOWN = { drive: PASSAGE.limit('drive-down'), paddle: PASSAGE.limit('paddle-down') };

/** Who and what a trip puts into her. */
type Laden = Pick<Trip, 'crew' | 'load' | 'comingHome'>;

/** Her draught, laden and with what she has let down. @param density of the water, kg/m³ */
export function draughtOf(boat: Boat, trip: Laden, people: readonly Person[], density: number): Draught {
  if (boat.draught !== undefined && !guessed(boat, '/draught')) return { value: boat.draught, known: 'said' };
  const moves = drives(boat);
  const below = moves.motor || moves.sail ? DOWN.drive : DOWN.paddle;
  if (boat.draught !== undefined) return { value: boat.draught, known: 'taken' };
  const hull = hullOf(boat);
  const outcome = hull && afloat(boat, hull, placed(trip, people, hull), density).outcome;
  if (!hull || outcome?.state !== 'floats') return { value: below + DOWN.drive, known: 'taken' };
  const { h, t } = outcome.at.plane;
  return { value: Math.max(h, h + t * hull.length) + below, known: 'reckoned' };
}
