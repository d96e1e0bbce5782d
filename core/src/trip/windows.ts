import { civilDate } from '../earth';
import type { Level, Phrase } from '../model';
import { LEVELS } from '../model/lists';
import { MS } from '../units';
import { worstLevel } from '../verdict';
import { Alike, hangs, ofTheHour, type Standing } from './alike';
import { prepare, type Prepared } from './assess';
import type { AssessInput } from './context';
import type { Progress } from './sweep';

/** Hours of leaving that give the same, side by side. */
export interface LeavingWindow {
  /** First and last departure of it, epoch ms. */
  from: number;
  until: number;
  worst: Level;
  /** Something at that level is open: nobody has said or measured what would settle it. */
  open: boolean;
  /** What stands first within it; absent where nothing does that the hour changes. */
  limits?: Phrase;
  /** What is worse just before, and what just after; absent where nothing was looked at there. */
  opens?: Phrase;
  closes?: Phrase;
}

/** What came of many departures. */
export interface Week {
  windows: LeavingWindow[];
  /** What the hours bring to every one of them alike, the worst first: no window counts it. */
  always: Pick<Standing, 'level' | 'title'>[];
  /** Of the kit, what is wrong at every one of them. */
  kit: Pick<Standing, 'level'>[];
}

/** One departure as it was found. */
interface Row {
  leave: number;
  found: Standing[];
}

/** So many departures are reckoned before what came so far is told again. */
const BATCH = 36;
export const WINDOW_STEP = 10 * MS.minute;

/**
 * Every departure over [from, until], day by day: a wanted hour at home is that of the day one leaves on. What came so far is
 * told every now and then, as windows; at the end all of them.
 */
export function* windowSteps(
  input: AssessInput,
  from: number,
  until: number,
  step = WINDOW_STEP,
): Generator<Progress & { week?: Week }, Week> {
  const leaves = Array.from(
    { length: Math.max(0, Math.floor((until - from) / step) + 1) },
    (_, i) => from + i * step,
  );
  const days = new Map<string, Prepared>();
  const rows: Row[] = [];
  const alike = new Alike();
  for (const leave of leaves) {
    const prepared = preparedOn(input, leave, days);
    const found = ofTheHour(prepared.at(leave).findings);
    rows.push({ leave, found });
    alike.add(found);
    const at = { done: rows.length, of: leaves.length };
    yield rows.length % BATCH === 0 ? { ...at, week: weekOf(rows, alike, step) } : at;
  }
  return weekOf(rows, alike, step);
}

/** The trip as if it left on the day of an instant, by the water's calendar. */
function preparedOn(input: AssessInput, leave: number, days: Map<string, Prepared>): Prepared {
  const zone = input.shed.waters.find(({ id }) => id === input.trip.water)?.zone ?? 'UTC';
  const date = civilDate(leave, zone);
  let prepared = days.get(date);
  if (!prepared) {
    const { time } = input.trip.leave;
    prepared = prepare({ ...input, trip: { ...input.trip, leave: { date, time } } });
    days.set(date, prepared);
  }
  return prepared;
}

const rank = (level: Level) => LEVELS.indexOf(level);

/** What a departure comes to beside what stands at all of them. */
export interface Judged {
  leave: number;
  worst: Level;
  open: boolean;
  /** Findings at the worst level. */
  at: Row['found'];
}

function judged({ leave, found }: Row, without: ReadonlySet<string>): Judged {
  const counted = found.filter(({ id }) => !without.has(id));
  const worst = worstLevel(counted);
  const at = counted.filter(({ level }) => level === worst);
  return { leave, worst, open: at.some(({ open }) => open === true), at };
}

/** What came so far, as windows, and what stands beside all of them. */
function weekOf(rows: readonly Row[], alike: Alike, step: number): Week {
  const without = new Set(alike.all.map(({ id }) => id));
  const told = alike.all.filter(hangs).map(({ level, title }) => ({ level, title }));
  return {
    windows: windowsOf(
      rows.map((row) => judged(row, without)),
      step,
    ),
    always: told.sort((a, b) => rank(a.level) - rank(b.level)),
    kit: alike.all.filter((found) => !hangs(found)).map(({ level }) => ({ level })),
  };
}

/** Departures side by side that give the same level, with what opens and what closes each. */
export function windowsOf(all: readonly Judged[], step: number): LeavingWindow[] {
  const windows: LeavingWindow[] = [];
  let first = 0;
  all.forEach((one, i) => {
    const next = all[i + 1];
    if (next && next.worst === one.worst && next.open === one.open && next.leave - one.leave <= step) return;
    const inside = all.slice(first, i + 1);
    // Of what is open it is told what is missing.
    const limit = one.open ? one.at.find(({ open }) => open) : one.at[0];
    windows.push({
      from: inside[0].leave,
      until: one.leave,
      worst: one.worst,
      open: one.open,
      ...(limit && one.worst !== worstLevel([]) ? { limits: limit.title } : {}),
      ...edge('opens', all[first - 1], one),
      ...edge('closes', next, one),
    });
    first = i + 1;
  });
  return windows;
}

/** What a neighbour has that is worse, or worse known. */
function edge(name: 'opens' | 'closes', beside: Judged | undefined, inside: Judged): Partial<LeavingWindow> {
  if (!beside || rank(beside.worst) > rank(inside.worst)) return {};
  const within = new Set(inside.at.map(({ id }) => id));
  const [other] = beside.at.filter(({ id, level }) => level !== inside.worst || !within.has(id));
  return other ? { [name]: other.title } : {};
}

/** The best first: the better level, then what needs no missing fact, then the longer, then the earlier. */
export const inWindowOrder = (a: LeavingWindow, b: LeavingWindow): number =>
  rank(b.worst) - rank(a.worst) ||
  Number(a.open) - Number(b.open) ||
  b.until - b.from - (a.until - a.from) ||
  a.from - b.from;

/** The windows of the best level there is, at most so many. Where nothing is better than a Stop there is none. */
export function bestWindows(windows: readonly LeavingWindow[], most: number): LeavingWindow[] {
  const sorted = [...windows].filter(({ worst }) => worst !== 'stop').sort(inWindowOrder);
  return sorted.slice(0, most);
}
