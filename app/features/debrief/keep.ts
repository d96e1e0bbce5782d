import { civilDate } from '@escale/core/earth';
import type { Patch } from '@escale/core/model';
import { change } from '../../data/outbox';
import type { Held } from '../../data/things';
import { DEBRIEF } from './words';

/** What every part of the debrief gets. */
export interface OfDebrief {
  held: Held<'debrief'>;
}

/** Only what was touched is changed: two that are quick after each other both count. */
export const keep = (held: Held<'debrief'>, ...patch: Patch[]) => void change(held, patch, DEBRIEF.said);

export const set = (pointer: string, value: unknown): Patch =>
  value === undefined ? { op: 'unset', pointer } : { op: 'set', pointer, value };

/** When they left; the day it is about is that of leaving, on the clock there. */
export const leftAt = (at: number, zone: string): Patch[] => [
  set('/left', new Date(at).toISOString()),
  set('/on', civilDate(at, zone)),
];
