import type { Schedule } from '../model';
import { CLEAR, COMES_AT, IN_WATER, MAST, SEATED, seenByDay, seenByNight, type Seen } from '../signals';
import { guessed } from '../verdict';
import { worstWithin } from '../water';
import { contextOf, type AssessInput } from './context';

/** What of this trip a boat that comes may see. */
export interface SeenToday {
  seen: { what: 'seated' | 'mast' | 'head'; height: number; day: Seen; night: Seen }[];
  /** The least visibility of the hours, metres; absent where nobody told it for all of them: clear air is taken then. */
  visibility?: number;
  /** The highest waves of the hours, metres, where they were told. */
  wave?: number;
  /** The weather was made up for show. */
  invented: boolean;
}

/**
 * How long before it is here a boat at the speed of fast ones sees who sits in her, a light and flag on a short mast, and a head in
 * the water, in the worst air of the hours.
 */
export function seenToday(input: AssessInput, schedule: Schedule | undefined): SeenToday {
  const { forecast, boat } = contextOf(input);
  const worst =
    forecast && schedule?.home !== undefined
      ? worstWithin(forecast, schedule.leave, schedule.home)
      : undefined;
  const visibility = worst?.whole.visibility ? worst.dimmest?.visibility : undefined;
  const wave = worst?.highest?.waves;
  const air = Math.min(CLEAR, visibility ?? CLEAR);
  const edge = boat && !guessed(boat, '/freeboard') ? (boat.freeboard ?? 0) : 0;
  const of = (what: 'seated' | 'mast' | 'head', height: number) => ({
    what,
    height,
    day: seenByDay(height, air, COMES_AT),
    night: seenByNight(height, air, COMES_AT),
  });
  return {
    seen: [of('seated', edge + SEATED), of('mast', edge + MAST), of('head', IN_WATER)],
    invented: worst !== undefined && forecast?.invented === true,
    ...(visibility === undefined ? {} : { visibility }),
    ...(wave === undefined ? {} : { wave }),
  };
}
