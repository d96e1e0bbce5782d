import { ageRange, civilDate, skyAt, sunAfter } from '../earth';
import { REASONS, SOONER, stepsOf, type Sooner } from '../floatplan';
import type { Schedule } from '../model';
import { MS } from '../units';
import { worstWithin } from '../water';
import type { Context } from './context';

/** Does a reason hold for coming home at this hour? What is not known is no reason; what may be so is one. */
const HOLDS: Record<Sooner, (context: Context, leave: number, home: number) => boolean> = {
  child: ({ crewed, people, zone }, leave) =>
    [...people, ...crewed.flatMap((boat) => boat.people)].some(
      ({ born }) =>
        born !== undefined && ageRange(born, civilDate(leave, zone ?? 'UTC'))[0] < SOONER.child.under,
    ),
  cold: ({ forecast }, leave, home) => {
    // Weather that was made up for show moves no hour that somebody ashore is told.
    const told = forecast?.invented ? undefined : forecast;
    const water = told && worstWithin(told, leave, home)?.coldest?.water;
    return water !== undefined && water < SOONER.cold.under;
  },
  dusk: ({ back, launch }, _leave, home) => {
    const position = (back ?? launch)?.position;
    if (!position) return false;
    if (skyAt(position, home) !== 'day') return true;
    const sunset = sunAfter(position, home, 'sunset');
    return sunset !== undefined && sunset - home < SOONER.dusk.under * MS.minute;
  },
};

/** Why those ashore should hear of it sooner than is usual. */
export function soonerFor(context: Context, { leave, home }: Schedule): Sooner[] {
  return home === undefined ? [] : REASONS.filter((reason) => HOLDS[reason](context, leave, home));
}

/** The schedule with the hours at which those ashore are told, and asked to ring. */
export function withSteps(context: Context, schedule: Schedule): Schedule {
  const { home } = schedule;
  if (home === undefined) return schedule;
  const sooner = soonerFor(context, schedule);
  const { told, alarm } = stepsOf(context.trip, sooner);
  return { ...schedule, overdue: home + told * MS.minute, alarm: home + alarm * MS.minute, sooner };
}
