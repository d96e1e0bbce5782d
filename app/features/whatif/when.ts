import { MS } from '@escale/core/units';
import type { Told } from '@escale/core/whatif';
import type { TripView } from '../trip/use-trip';
import { WHEN } from './when-words';

/** Half a minute and less is none here. */
const NONE = 30;

/** After how long within limits, and from which hour on. */
export function whenOf(
  { low, high }: NonNullable<Told['after']>,
  at: number,
  says: TripView['says'],
): string {
  if (low === Infinity) return WHEN.never;
  if (low < NONE) return high < NONE ? WHEN.once : high === Infinity ? WHEN.any : says(WHEN.within, { high });
  const then = at + low * MS.second;
  const sameDay = says(WHEN.day, { at }) === says(WHEN.day, { at: then });
  const clock = says(sameDay ? WHEN.clock : WHEN.other, { at: then });
  const span =
    high === Infinity
      ? says(WHEN.from, { low })
      : high - low < NONE
        ? says(WHEN.after, { low })
        : says(WHEN.band, { low, high });
  return `${span} · ${clock}`;
}
