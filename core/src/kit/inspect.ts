import { monthsBetween, plusMonths } from '../earth';
import { MOST_TESTS } from '../model/lists';
import type { Catalogue, GearItem, GearKind, Patch } from '../model';

/** A test that is due, with when it fell or falls due. */
export interface Due {
  item: GearItem;
  kind: GearKind;
  test: NonNullable<GearKind['test']>;
  /** Civil date; absent when it was never tested. */ on?: string;
}

/** Tests oftener than monthly are done on the day itself, not on a round of months ahead. */
const MONTHLY = 1;

/** Every so many months: as its kind says, or oftener where its owner wants that. */
export const monthsOf = ({ everyMonths }: Pick<GearItem, 'everyMonths'>, test: { everyMonths: number }) =>
  Math.min(everyMonths ?? Infinity, test.everyMonths);

/** The day on which a thing's test falls due: its interval after the last, or at once when there was none or it is marked due. */
export function dueOn(item: GearItem, test: NonNullable<GearKind['test']>): string | undefined {
  if (item.inspected === undefined || item.state === 'due') return undefined;
  const months = monthsOf(item, test);
  return months < MONTHLY ? item.inspected : plusMonths(item.inspected, Math.round(months));
}

/** There is some of it, and nobody else has it. */
const isHere = ({ count, lentTo }: GearItem) => count > 0 && lentTo === undefined;

/**
 * What has to be tested by a civil date: the oldest first, never tested before all. Things that failed or are used up
 * wait for mending, not for a test.
 */
export function dueBy(gear: GearItem[], catalogue: Catalogue, by: string): Due[] {
  const kinds = new Map(catalogue.kinds.map((k) => [k.id, k]));
  return gear
    .flatMap((item): Due[] => {
      const kind = kinds.get(item.kind);
      if (!kind?.test || !isHere(item) || item.state === 'failed' || item.state === 'used-up') return [];
      const on = dueOn(item, kind.test);
      return on === undefined
        ? [{ item, kind, test: kind.test }]
        : on <= by
          ? [{ item, kind, test: kind.test, on }]
          : [];
    })
    .sort((a, b) => (a.on ?? '').localeCompare(b.on ?? '') || (a.item.id < b.item.id ? -1 : 1));
}

/** How a test went. */
export interface Tested {
  on: string;
  passed: boolean;
  by?: string;
  note?: string;
}

/** A record with one line more; the oldest go. */
export const kept = <T>(tests: readonly T[] | undefined, line: T): T[] =>
  [...(tests ?? []), line].slice(-MOST_TESTS);

/** What a result writes: the day, the state, and a line in the item's own record. A failed thing drops out of matching at once. */
export function testPatch(item: GearItem, result: Tested): Patch[] {
  return [
    ...(result.passed ? [{ op: 'set' as const, pointer: '/inspected', value: result.on }] : []),
    { op: 'set', pointer: '/state', value: result.passed ? 'ready' : 'failed' },
    { op: 'set', pointer: '/tests', value: kept(item.tests, result) },
  ];
}

export interface Reminder {
  /** Of the thing or part, so that a calendar knows it again. */
  id: string;
  what: 'test' | 'ends' | 'back';
  on: string;
  title: string;
  /** Whose part it is. */
  boat?: string;
  how?: string;
}

/** Dates for a calendar: tests that fall due, things that end or come back, within some months from a day; others come in with them. */
export function dueDates(
  gear: GearItem[],
  catalogue: Catalogue,
  besides: Reminder[],
  from: string,
  months: number,
): Reminder[] {
  const kinds = new Map(catalogue.kinds.map((k) => [k.id, k]));
  const soon = (on: string | undefined): on is string =>
    on !== undefined && on >= from && monthsBetween(from, on) < months;
  const dates = gear.flatMap((item): Reminder[] => {
    const kind = kinds.get(item.kind);
    if (!kind || item.count === 0) return [];
    const due = kind.test ? dueOn(item, kind.test) : undefined;
    const ends =
      item.expires ??
      (kind.lastsMonths !== undefined && item.made !== undefined
        ? plusMonths(item.made, kind.lastsMonths)
        : undefined);
    return [
      ...(soon(due)
        ? [
            {
              id: item.id,
              what: 'test' as const,
              on: due,
              title: item.name,
              ...(kind.test ? { how: kind.test.how } : {}),
            },
          ]
        : []),
      ...(item.lentTo !== undefined && soon(item.backBy)
        ? [{ id: item.id, what: 'back' as const, on: item.backBy, title: item.name, how: item.lentTo }]
        : []),
      ...(soon(ends) ? [{ id: item.id, what: 'ends' as const, on: ends, title: item.name }] : []),
    ];
  });
  return [...dates, ...besides.filter(({ on }) => soon(on))].sort(
    (a, b) => a.on.localeCompare(b.on) || (a.id < b.id ? -1 : 1),
  );
}

/** What nobody has looked at yet, or whose test is due again. */
export function toLookAt(gear: readonly GearItem[]): GearItem[] {
  return gear.filter((g) => isHere(g) && (g.state === 'unknown' || g.state === 'due'));
}

/** It was looked at and is in order: where its kind has a test, that test was passed on that day. */
export function lookPatch(item: GearItem, catalogue: Catalogue, on: string): Patch[] {
  const kind = catalogue.kinds.find((k) => k.id === item.kind);
  return kind?.test
    ? testPatch(item, { on, passed: true })
    : [{ op: 'set', pointer: '/state', value: 'ready' }];
}
