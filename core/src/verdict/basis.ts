import verdict from '../../data/limits/verdict.json';
import type { Finding, Level, Mend, Phrase, Trip } from '../model';
import { phrase } from '../say';
import { goTo } from './mends';

/** How sure we are of a value, by JSON pointer, beside the values. */
type Based = { basis?: Record<string, string> };

/** Is a field only guessed? */
export const guessed = (thing: Based | undefined, pointer: string) => thing?.basis?.[pointer] === 'guessed';

/** A thing without what is only guessed of it: for rules and kit a guess is no answer. */
export function sure<T extends Based>(thing: T): T {
  const guesses = Object.keys(thing.basis ?? {}).filter((pointer) => guessed(thing, pointer));
  if (guesses.length === 0) return thing;
  const left: Record<string, unknown> = { ...thing };
  for (const pointer of guesses) {
    const [, field, ...deeper] = pointer.split('/');
    if (deeper.length > 0) continue;
    if (field === 'state') left.state = 'unknown';
    else delete left[field];
  }
  return left as T;
}

/** The best that a finding can be which leans on a guess. */
const OPEN = verdict.kinds['verdict/leans'].cases.guess.level as Level;
const SETTLED = verdict.kinds['verdict/leans'].cases.sure.level as Level;

/** A finding that would be settled, and leans on what is only assumed: it is known, no more, and says what it leans on. */
export function leaning(found: Finding, assumed: Phrase, mend?: Mend): Finding {
  if (found.level !== SETTLED) return found;
  return {
    ...found,
    level: OPEN,
    open: true,
    assumed: [...found.assumed, assumed],
    ...(mend ? { mend } : {}),
  };
}

/** The worst that a finding can be which leans on an estimate of our own. */
const ESTIMATE = verdict.kinds['verdict/leans'].cases.estimate.level as Level;

/** A finding that would stop, and does so by an estimate of our own: it is to be mended, no more, and says what it leans on. */
export const estimated = (found: Finding, assumed: Phrase): Finding => ({
  ...found,
  level: ESTIMATE,
  open: true,
  assumed: [...found.assumed, assumed],
});

/** The speed of a plan, m/s, and whether somebody only guessed it. */
export interface Pace {
  value: number;
  guessed: boolean;
}

/** A finding about hours that follow from a speed: where the speed is a guess, nothing is settled. */
export function leanOnPace(
  { trip, speed }: { trip: Pick<Trip, 'id'>; speed?: Pace | undefined },
  found: Finding,
): Finding {
  if (!speed?.guessed) return found;
  const mend = { label: phrase('speed.none.mend'), ...goTo.trip(trip.id, '/speed') };
  return leaning(found, phrase('speed.guess', { speed: speed.value }), mend);
}
