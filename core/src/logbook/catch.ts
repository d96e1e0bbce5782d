import { plusMonths } from '../earth';
import type { Catch, CatchLimit, Phrase } from '../model';
import { MEASURED } from '../model/lists';
import { phrase } from '../say';
import { LOGBOOK } from './limits';

// Keep or release, by the limits that somebody entered for a water. What is not known is never “keep”.

export interface Verdict {
  say: 'keep' | 'release' | 'look-up';
  because: Phrase[];
}

type Fish = Omit<Catch, 'kept' | 'on'>;
/** A fish that was caught before on the same day. */
type Kept = Pick<Catch, 'species' | 'length' | 'kept' | 'by'>;

/** What a catch is held against. */
export interface OnCatch {
  /** Of the water at hand. */
  limits: readonly CatchLimit[];
  water: string;
  /** What was caught before it on the same day, by everybody and on whichever trip. */
  before: readonly Kept[];
  /** The name of who caught it. */
  who?: string | undefined;
  /** The day, a civil date. */
  on: string;
}

const STALE = LOGBOOK.limit('catch-stale');
/** Lengths are told apart to a tenth of a millimetre: what a number loses in inches and back is no difference. */
const exact = (metres: number) => Math.round(metres * 1e4);
const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

const lookUp = (...because: Phrase[]): Verdict => ({ say: 'look-up', because });
const release = (because: Phrase): Verdict => ({ say: 'release', because: [because] });

/**
 * Whether a fish may be kept. What its own length forbids is released, however old the limit; all else that nobody said, or read
 * long ago, is to be looked up first.
 */
export function keepOrRelease(fish: Fish, day: OnCatch): Verdict {
  const found = day.limits.filter(({ species }) => same(species, fish.species));
  const [limit] = found;
  if (!limit) return lookUp(phrase('catch.none', { water: day.water }));
  if (found.length > 1) return lookUp(phrase('catch.twice'));
  const long = byLength(fish, limit);
  if (long?.say === 'release') return long;
  const counted = byCount(fish, limit, day);
  if (counted?.say === 'release') return counted;
  const read = lacksOf(limit, day.on);
  const open = [...read, ...(long?.because ?? []), ...(counted?.because ?? [])];
  if (open.length > 0) return lookUp(...open);
  return {
    say: 'keep',
    because: [phrase('catch.within', { source: limit.source ?? '', on: limit.on ?? day.on })],
  };
}

/** What is to be looked up about the limit itself. */
function lacksOf({ on, source }: CatchLimit, today: string): Phrase[] {
  return [
    ...(source === undefined ? [phrase('catch.unsourced')] : []),
    ...(on === undefined
      ? [phrase('catch.undated')]
      : plusMonths(on, STALE) <= today
        ? [phrase('catch.stale', { on })]
        : []),
  ];
}

/** By its length, as the limit’s own text measures it. */
function byLength({ length, measured }: Fish, limit: CatchLimit): Verdict | undefined {
  const { least, most, over } = limit;
  if (least === undefined && most === undefined && over === undefined) return undefined;
  if (length === undefined) return lookUp(phrase('catch.unmeasured'));
  if (limit.measured === undefined) return lookUp(phrase('catch.how.unsaid'));
  if (measured !== limit.measured) return lookUp(phrase('catch.how', { how: MEASURED[limit.measured] }));
  for (const [end, beyond, say] of [
    [least, -1, 'catch.small'],
    [most, 1, 'catch.large'],
  ] as const) {
    if (end === undefined) continue;
    // Over a slot one may be kept all the same, where the text gives a number for those over a length.
    if (beyond > 0 && over !== undefined && exact(length) > exact(over)) continue;
    if ((exact(length) - exact(end)) * beyond > 0) return release(phrase(say, { length, limit: end }));
    if (exact(length) === exact(end) && limit.atLimit !== 'kept')
      return release(phrase('catch.exact', { limit: end }));
  }
  return undefined;
}

/** By how many the same person has kept: of those over a length, and of all. */
function byCount({ length, by }: Fish, limit: CatchLimit, day: OnCatch): Verdict | undefined {
  const { over, overBag, bag } = limit;
  const long = (of: number | undefined) => over !== undefined && of !== undefined && exact(of) > exact(over);
  const isOver = long(length);
  if (isOver && overBag === undefined) return lookUp(phrase('catch.overNone', { limit: over ?? 0 }));
  if (bag === undefined && !isOver) return undefined;
  if (by === undefined) return lookUp(phrase('catch.who'));
  const kept = day.before.filter((one) => one.kept && same(one.species, limit.species));
  const mine = kept.filter((one) => one.by === by);
  // Of whom, or how long, nobody said may be one of theirs.
  const anybodys = kept.filter((one) => one.by === undefined).length;
  const who = day.who ?? '';
  const had = mine.filter((one) => long(one.length)).length;
  const unmeasured = mine.filter((one) => one.length === undefined).length;
  if (isOver && overBag !== undefined && had >= overBag)
    return release(phrase('catch.over', { who, n: overBag, limit: over ?? 0, had }));
  if (bag !== undefined && mine.length >= bag)
    return release(phrase('catch.bag', { who, n: bag, had: mine.length }));
  const doubt =
    (bag !== undefined && mine.length + anybodys >= bag) ||
    (isOver && overBag !== undefined && had + unmeasured + anybodys >= overBag);
  return doubt ? lookUp(phrase('catch.before')) : undefined;
}
