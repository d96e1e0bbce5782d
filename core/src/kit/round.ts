import texts from '../../data/boat/part-tests.json';
import { partStands, partsOf, type HerPart } from '../boat/parts';
import type { Boat, Catalogue, GearItem, Part, Patch, PartTestRow } from '../model';
import { dueBy, dueDates, kept, testPatch, type Reminder, type Tested } from './inspect';

const TESTS = new Map((texts as PartTestRow[]).map((row) => [row.id, row]));

/** One test of a round: of a thing of the locker, or of a part of a boat. */
export interface RoundTest {
  key: string;
  /** The thing that its result is written into. */
  of: { type: 'gear' | 'boat'; id: string };
  name: string;
  /** So many alike, each of them tested. */
  count: number;
  /** Whose part it is. */
  boat?: string;
  how: string;
  passes: string;
  why?: string;
  /** Since when it is due; absent when it was never tested. */
  on?: string;
  patch(result: Tested): Patch[];
}

export interface RoundAsked {
  shed: { gear: GearItem[]; boats: Boat[] };
  catalogue: Catalogue;
  /** Civil days: what falls due by then is in it; what is looked at before each trip is, where it was not on `today` or the day before. */
  by: string;
  today: string;
  /** Of this boat alone: her parts, those before each trip too, and what is fitted to her. */
  boat?: string | undefined;
  /** The last day on which each boat was out. */
  out?: ReadonlyMap<string, string>;
}

/**
 * What is to be tested, in the order in which it is walked: over the whole shed the oldest first, over one boat from end to end.
 * Over the shed only what has months of its own is asked; what is looked at before each trip belongs to the boat's own round.
 */
export function roundOf({ shed, catalogue, by, today, boat, out }: RoundAsked): RoundTest[] {
  const boats = shed.boats.filter(({ id }) => boat === undefined || id === boat);
  const gear = shed.gear.filter((item) => boat === undefined || item.fittedTo === boat);
  const parts = boats.flatMap((b) =>
    partsOf(b).flatMap((part) => {
      if (boat === undefined && (part.each === 'trip' || part.each === 'tow')) return [];
      const { is, due } = partStands(part, typeof part.each === 'string' ? today : by, out?.get(b.id));
      const waits = is === 'over' || is === 'before' || (is === 'never' && part.each !== 'after');
      return waits ? [partTest(b, part, due)] : [];
    }),
  );
  const things = dueBy(gear, catalogue, by).map(({ item, test, on }): RoundTest => ({
    key: item.id,
    of: { type: 'gear', id: item.id },
    name: item.name,
    count: item.count,
    how: test.how,
    passes: test.passes,
    ...(on === undefined ? {} : { on }),
    patch: (result) => testPatch(item, result),
  }));
  if (boat !== undefined) return [...parts, ...things];
  return [...things, ...parts].sort((a, b) => (a.on ?? '').localeCompare(b.on ?? ''));
}

/** How a part is tested; an owner's own by what its owner wrote. */
export function partText({ row, record }: HerPart): PartTestRow | undefined {
  const known = row === undefined ? undefined : TESTS.get(row);
  return known ?? (record?.how ? { id: 'own', how: record.how, passes: '', why: '' } : undefined);
}

function partTest(boat: Boat, part: HerPart, due: string | undefined): RoundTest {
  const text = partText(part);
  return {
    key: `${boat.id}.${part.key}`,
    of: { type: 'boat', id: boat.id },
    name: part.title,
    count: part.count,
    boat: boat.name,
    how: text?.how ?? '',
    passes: text?.passes ?? '',
    ...(text?.why ? { why: text.why } : {}),
    ...(due === undefined ? {} : { on: due }),
    patch: (result) => partPatch(part, boat, result),
  };
}

/** What a result writes into a boat: day, state and a line of the part's record, with the motor's hours where she has a meter. */
export function partPatch({ key, record }: HerPart, { meter }: Pick<Boat, 'meter'>, result: Tested): Patch[] {
  const at = `/parts/${key}`;
  const line = { ...result, ...(meter === undefined ? {} : { meter }) };
  return [
    ...(result.passed ? [{ op: 'set' as const, pointer: `${at}/inspected`, value: result.on }] : []),
    { op: 'set', pointer: `${at}/state`, value: result.passed ? 'ready' : 'failed' },
    { op: 'set', pointer: `${at}/tests`, value: kept(record?.tests, line) },
  ];
}

/** It was mended: what was done is written down, and the part waits for its test. */
export function mendedPatch(
  key: string,
  id: string,
  work: { on: string; what: string; by?: string; meter?: number },
): Patch[] {
  return [
    { op: 'set', pointer: `/works/${id}`, value: { ...work, part: key } },
    { op: 'unset', pointer: `/parts/${key}/state` },
  ];
}

/** What an owner says of a part besides a result: that she has none, how often, or a part of their own. */
export const saidOfPart = (key: string, said: Partial<Part>): Patch[] =>
  Object.entries(said).map(([field, value]) =>
    value === undefined
      ? { op: 'unset', pointer: `/parts/${key}/${field}` }
      : { op: 'set', pointer: `/parts/${key}/${field}`, value },
  );

/** Dates to put in a calendar: of the locker and of the parts of boats, within some months from a day. */
export function reminders(
  { gear, boats }: RoundAsked['shed'],
  catalogue: Catalogue,
  from: string,
  months: number,
): Reminder[] {
  const parts = boats.flatMap((boat) =>
    partsOf(boat).flatMap((part): Reminder[] => {
      const { due } = partStands(part, from);
      const text = partText(part);
      if (due === undefined || typeof part.each === 'string') return [];
      return [
        {
          id: `${boat.id}.${part.key}`,
          what: 'test',
          on: due,
          title: part.title,
          boat: boat.name,
          ...(text ? { how: text.how } : {}),
        },
      ];
    }),
  );
  return dueDates(gear, catalogue, parts, from, months);
}
