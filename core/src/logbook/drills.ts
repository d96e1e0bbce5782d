import file from '../../data/logbook/drills.json';
import { plusMonths } from '../earth';
import { guessed } from '../verdict';
import type { Boat, Craft, Drill, DrillKind, DrillRow, Person } from '../model';

// Drills in the real world, and how they age. A drill counts for who did it; where the boat matters, for her kind alone. One that did
// not work is remembered as that: nobody can what failed the last time.

export const DRILL_ROWS = file.rows as unknown as DrillRow[];
/** Deep enough, warm enough and calm enough to practise in: m, °C, m/s. */
export const { deep: DEEP, warm: WARM, calm: CALM } = file;
export const rowOf = (kind: DrillKind): DrillRow => DRILL_ROWS.find(({ id }) => id === kind)!;

/** What is noted of drills, and the boats that they name. */
export interface Noted {
  drills: readonly Drill[];
  boats: readonly Pick<Boat, 'id' | 'kind'>[];
}

/** How one person stands with one drill on a day. */
export interface Practised {
  state: 'fresh' | 'stale' | 'failed' | 'never';
  last?: Drill;
  /** From this day on it is stale. */
  until?: string;
}

/** What a drill counts by: a guess at any of it settles nothing. */
const COUNTS_BY = ['/kind', '/on', '/who', '/boat', '/went'];

/**
 * The drills that were really done: up to a day, and with nothing guessed of what they count by.
 * @param today civil date; what is dated after it was not done yet
 */
export const doneBy = (drills: readonly Drill[], today: string): Drill[] =>
  drills.filter((drill) => drill.on <= today && !COUNTS_BY.some((pointer) => guessed(drill, pointer)));

const isFor = (row: DrillRow, drill: Drill, craft: Craft | undefined, boats: Noted['boats']): boolean =>
  drill.kind === row.id &&
  (!row.inHer || craft === undefined || boats.find(({ id }) => id === drill.boat)?.kind === craft);

/**
 * How somebody stands with a drill on a day, by the last time up to it.
 * @param on civil date; drills after it are not counted
 * @param craft in which it is asked; left out: in any
 */
export function practised(
  row: DrillRow,
  person: string,
  on: string,
  { drills, boats }: Noted,
  craft?: Craft,
): Practised {
  const mine = drills.filter(
    (drill) => drill.who.includes(person) && drill.on <= on && isFor(row, drill, craft, boats),
  );
  const last = mine.reduce<Drill | undefined>(
    (best, each) => (best && best.on > each.on ? best : each),
    undefined,
  );
  if (!last) return { state: 'never' };
  const until = plusMonths(last.on, row.months);
  if (last.went === 'failed') return { state: 'failed', last, until };
  return { state: on < until ? 'fresh' : 'stale', last, until };
}

/** The drills that a trip in such a boat asks for. */
export const askedOf = (craft: Craft, people: number): DrillRow[] =>
  DRILL_ROWS.filter(
    ({ asks, craft: only, others }) =>
      asks === true && (only === undefined || only.includes(craft)) && (others !== true || people > 1),
  );

const RECOVERIES: readonly DrillKind[] = ['reenter', 'right'];
/**
 * The day, up to another, on which somebody last practised a recovery in such a craft: as they said it of themselves, or by a drill
 * that worked, whichever is later.
 * @param said their own word
 */
export function lastRecovery(
  said: string | undefined,
  person: string,
  craft: Craft | undefined,
  on: string,
  noted: Noted,
): string | undefined {
  if (craft === undefined) return said;
  const days = RECOVERIES.flatMap((kind) => {
    const { state, last } = practised(rowOf(kind), person, on, noted, craft);
    return last && state !== 'failed' ? [last.on] : [];
  });
  return [...days, ...(said === undefined ? [] : [said])].sort().at(-1);
}

/** Who here can what: a column for each thing that somebody must be able to do. */
export interface Matrix {
  columns: DrillRow[];
  rows: { person: Pick<Person, 'id' | 'name'>; cells: Practised[] }[];
  /** The one column that nobody fills, or the fewest: and who is nearest to filling it. */
  gap?: { row: DrillRow; can: number; nearest?: Pick<Person, 'id' | 'name'> };
}

const RANK = { fresh: 3, stale: 2, failed: 1, never: 0 } as const;

/**
 * Who of these people can do what in such a boat, on a day; and the one gap to close: the column that the fewest can, the first of
 * several, with whoever comes nearest.
 * @param craft left out: whichever boat it was done in
 */
export function whoCan(
  people: readonly Pick<Person, 'id' | 'name'>[],
  on: string,
  noted: Noted,
  craft?: Craft,
): Matrix {
  const columns = DRILL_ROWS.filter(
    ({ can, craft: only }) =>
      can !== undefined && (craft === undefined || only === undefined || only.includes(craft)),
  );
  const rows = people.map((person) => ({
    person,
    cells: columns.map((row) => practised(row, person.id, on, noted, craft)),
  }));
  const counts = columns.map((_, i) => rows.filter(({ cells }) => cells[i].state === 'fresh').length);
  const least = Math.min(...counts);
  const i = counts.indexOf(least);
  if (people.length === 0 || i < 0 || least === people.length) return { columns, rows };
  const nearest = rows
    .filter(({ cells }) => cells[i].state !== 'fresh')
    .sort(
      (a, b) =>
        RANK[b.cells[i].state] - RANK[a.cells[i].state] ||
        (b.cells[i].last?.on ?? '').localeCompare(a.cells[i].last?.on ?? ''),
    )
    .at(0)?.person;
  return { columns, rows, gap: { row: columns[i], can: least, ...(nearest ? { nearest } : {}) } };
}
