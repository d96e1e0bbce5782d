import file from '../../data/boat/parts.json';
import { daysBetween, plusMonths } from '../earth';
import type { Boat, Level, Part, Trip } from '../model';
import type { PartNeed, PartRow, PartsData } from '../model/shipped-parts';
import { TRAILED } from '../model/lists';
import { HOUR } from '../units';
import { drives } from './load';
import { BOAT } from './limits';

const DATA = file as unknown as PartsData;
export const PART_ROWS: readonly PartRow[] = DATA.parts;

/** A part of one boat or of her trailer, with what is on record of it. */
export interface HerPart {
  /** By which it is kept: of the shipped list, of an opening by her name, or the owner’s own. */
  key: string;
  title: string;
  /** So many alike, where they are one on the list: each of them is tested. */
  count: number;
  of: PartRow['of'] | 'own';
  each: PartRow['each'];
  weight: Level;
  /** The row behind it; absent for an owner's own. */
  row?: string;
  /** Seconds that the motor has run since it was last passed, where both hours are known. */
  ran?: number;
  record?: Part;
}

/** Does air hold her up? */
export const blownUp = ({ kind, material }: Pick<Boat, 'kind' | 'material'>): boolean =>
  DATA.blownUp.always.includes(kind) || (DATA.blownUp.ofFabric.includes(kind) && material === 'fabric');

/** Which openings a row of the list stands for. */
const OPENINGS: Partial<Record<PartNeed, readonly Boat['openings'][number]['kind'][]>> = {
  plug: ['plug', 'bung'],
  hatch: ['hatch'],
  scupper: ['scupper'],
};

/** What she has, as far as it is known; what nobody said of her steering, cord or rudder she may have, and it is on the list. */
function hasOf(boat: Boat): ReadonlySet<PartNeed> {
  const { motor, combustion, sail } = drives(boat);
  const driven = (...kinds: string[]) => boat.propulsion.some((p) => kinds.includes(p.kind));
  const { steering, cord } = boat.controls ?? {};
  const steers = boat.rudder?.kind;
  const has: Record<PartNeed, boolean> = {
    plug: boat.openings.some((o) => OPENINGS.plug?.includes(o.kind)),
    hatch: boat.openings.some((o) => o.kind === 'hatch'),
    scupper: boat.openings.some((o) => o.kind === 'scupper'),
    'dry-ends': boat.flotation === 'air-bags' || boat.flotation === 'bulkheads',
    wheel: motor === true && (steering === undefined || steering === 'wheel'),
    rudder: steers === undefined ? driven('pedals', 'sail') : steers !== 'none',
    pedals: driven('pedals'),
    combustion: combustion === true,
    corded: cord === 'lanyard' || (combustion === true && cord !== 'none'),
    hung: driven('outboard', 'electric'),
    screw: motor === true,
    electric: driven('electric'),
    tubes: blownUp(boat),
    sail: sail === true,
    trailer: boat.trailer !== undefined || TRAILED.has(boat.kind),
  };
  return new Set((Object.keys(has) as PartNeed[]).filter((need) => has[need]));
}

/** A name as a key: small letters, figures and dashes; what has none of them by the numbers of its characters. */
export function keyOf(name: string): string {
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return (plain || [...name].map((c) => c.codePointAt(0)?.toString(36) ?? '').join('-')).slice(0, MOST_KEY);
}
const MOST_KEY = 60;

/**
 * The parts of a boat that are tested: those of the list that suit her, each of her openings by its name, and whatever is on record
 * besides. What failed once stays, even where she is said to have it no longer.
 */
export function partsOf(boat: Boat): HerPart[] {
  const has = hasOf(boat);
  const suits = PART_ROWS.filter(
    ({ needs = [], craft }) => needs.every((need) => has.has(need)) && (craft?.includes(boat.kind) ?? true),
  );
  const records = boat.parts ?? {};
  const listed = suits.flatMap((row) => (row.of === 'openings' ? openingsOf(row, boat) : [plain(row)]));
  const keys = new Set(listed.map((part) => part.key));
  const besides = Object.keys(records)
    .filter((key) => !keys.has(key))
    .sort()
    .map((key): HerPart => {
      const row = PART_ROWS.find((r) => key === r.id || (r.of === 'openings' && key.startsWith(`${r.id}-`)));
      if (row) return { ...plain(row), key, title: key === row.id ? row.title : key };
      return { key, title: key, count: 1, of: 'own', each: { months: YEARLY }, weight: OWN_WEIGHT };
    });
  return [...listed, ...besides].map((part) => withRecord(part, records[part.key], boat.meter));
}
/** An owner's own part is tested yearly where nobody said how often, and one that failed is mended like any other. */
const YEARLY = BOAT.limit('part-own');
const OWN_WEIGHT: Level = 'fix';

const plain = ({ id, title, of, each, weight }: PartRow): HerPart => ({
  key: id,
  row: id,
  title,
  count: 1,
  of,
  each,
  weight,
});

function openingsOf(row: PartRow, boat: Boat): HerPart[] {
  const kinds = row.needs?.flatMap((need) => OPENINGS[need] ?? []) ?? [];
  const byKey = new Map<string, HerPart>();
  for (const { kind, name } of boat.openings) {
    if (!kinds.includes(kind)) continue;
    const key = `${row.id}-${keyOf(name)}`;
    const known = byKey.get(key);
    byKey.set(key, known ? { ...known, count: known.count + 1 } : { ...plain(row), key, title: name });
  }
  return [...byKey.values()];
}

function withRecord(part: HerPart, record: Part | undefined, meter: number | undefined): HerPart {
  if (!record) return part;
  const then = record.tests?.findLast(({ passed }) => passed)?.meter;
  const ran = meter === undefined || then === undefined ? {} : { ran: meter - then };
  const hours = typeof part.each === 'string' ? undefined : part.each.hours;
  return {
    ...part,
    title: record.name ?? part.title,
    each:
      record.everyMonths === undefined
        ? part.each
        : { months: record.everyMonths, ...(hours === undefined ? {} : { hours }) },
    ...ran,
    record,
  };
}

/** How a part stands on a day: what is `over` was tested once, what is `before` waits for the day itself. */
export type PartIs = 'fine' | 'never' | 'over' | 'before' | 'failed' | 'none';
export interface PartStands {
  is: PartIs;
  /** The day from which it is, or will be, due again. */
  due?: string;
}

/** A test before a trip holds for so many days. */
export const FRESH = BOAT.limit('part-fresh');

/**
 * @param on the civil day on which it has to be in order; a test of a later day says nothing of it
 * @param out the last day on which she was out, where that is known: what is done after each trip is due from then on
 */
export function partStands({ each, record, ran = 0 }: HerPart, on: string, out?: string): PartStands {
  if (record?.state === 'none' || record?.state === 'failed') return { is: record.state };
  const tested = record?.inspected;
  if (record?.state !== 'ready' || tested === undefined || tested > on) return { is: 'never' };
  if (each === 'after') return out !== undefined && tested < out ? { is: 'over', due: out } : { is: 'fine' };
  if (typeof each === 'string') return { is: daysBetween(tested, on) <= FRESH ? 'fine' : 'before' };
  if (each.hours !== undefined && ran >= each.hours * HOUR) return { is: 'over', due: on };
  const due = plusMonths(tested, each.months);
  return { is: due <= on ? 'over' : 'fine', due };
}

/** The last day on which each boat was out, by id, of the trips that are over. */
export function lastOut(trips: readonly Trip[]): ReadonlyMap<string, string> {
  const out = new Map<string, string>();
  for (const { boat, status, leave } of trips) {
    if (boat === undefined || status !== 'done') continue;
    const known = out.get(boat);
    if (known === undefined || known < leave.date) out.set(boat, leave.date);
  }
  return out;
}
