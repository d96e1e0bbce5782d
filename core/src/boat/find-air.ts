import type { Boat, Finding } from '../model';
import { phrase } from '../say';
import { goTo, sure } from '../verdict';
import { airTestAge, airLossOf } from './air-loss';
import { BOAT } from './limits';
import { blownUp } from './parts';

const FRESH = BOAT.limit('leak-fresh');

/** Was she left blown up overnight before this trip, and did she hold? */
export function airFindings(boat: Boat | undefined, on: string | undefined): Finding[] {
  if (!boat || !blownUp(boat)) return [];
  const test = sure(boat).airTest;
  const names = { boat: boat.name };
  const made = (as: 'none' | 'old' | 'holds' | 'leaks' | 'open', because: Finding['because']): Finding[] => [
    BOAT.finding('boat/leak', as, boat.id, {
      title: phrase(as === 'leaks' ? 'leak.leaks.title' : 'leak.title', names),
      because,
      ...(as === 'holds' ? {} : { mend: { label: phrase('leak.mend'), ...goTo.boat(boat.id, '/airTest') } }),
    }),
  ];
  if (!test) return made('none', [phrase('leak.none')]);
  const age = on === undefined ? undefined : airTestAge(test, on);
  const { answer, why, lost, tight } = airLossOf(test);
  const told =
    lost && tight
      ? [
          phrase('leak.told', {
            gauge: test.second?.gauge ?? 0,
            low: Math.max(0, tight.low),
            high: tight.high,
          }),
        ]
      : [];
  if (answer === 'cant-tell')
    return made('open', [...told, phrase(`leak.cant.${why ?? 'between'}`), phrase('leak.again')]);
  // What leaked once leaks until she is tested again.
  if (answer === 'leaks') return made('leaks', [...told, phrase('leak.leaks')]);
  if (age !== undefined && (age < 0 || age > FRESH)) return made('old', [phrase('leak.old', { days: age })]);
  return age === undefined ? made('old', told) : made('holds', [...told, phrase('leak.holds')]);
}
