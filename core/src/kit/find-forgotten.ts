import type { Debrief, Finding, Trip } from '../model';
import { phrase } from '../say';
import { goTo } from '../verdict';
import { KIT } from './limits';
import { forgottenBefore, forgottenKey } from './pack-list';

/** What was forgotten on earlier trips stays open until it is ticked on the packing list. */
export function forgottenFindings(
  trip: Pick<Trip, 'id' | 'boat'>,
  debriefs: Debrief[],
  ticks: ReadonlyMap<string, number> | undefined,
): Finding[] {
  const others = debriefs.filter((d) => d.trip !== trip.id);
  return forgottenBefore(others, trip.boat).map(({ what, on, times, here }) => {
    const key = forgottenKey(what);
    const held = ticks?.has(key) ?? false;
    return KIT.finding('own/forgotten', held ? 'held' : 'open', trip.id, {
      id: `own/${key}/${trip.id}`,
      title: phrase('forgot.title', { what }),
      because: held
        ? [phrase('forgot.set', { what })]
        : [phrase('forgot.why', { on }), ...(times > 1 ? [phrase('forgot.often', { n: times, here })] : [])],
      mend: held ? undefined : { label: phrase('forgot.mend'), ...goTo.section('pack/ready') },
    });
  });
}
