import { asc, eq, gt, max } from 'drizzle-orm';
import { MS } from '@escale/core/units';
import { command, plan, planEvent } from '../db/schema';
import type { Db } from '../db/open';

/** It is looked for news so often while somebody waits for them. */
const EVERY = MS.second / 2;
/** What came in one transaction may be seen after what came later in another: so far back it is looked again. */
const BACK = 200;
/** So many are read at once, and remembered as told. */
const MOST = 1000,
  REMEMBERED = 4 * MOST;

/** Something of a household changed: a plan, or a thing. */
export interface News {
  /** In the order of both tables: `event.command`. */
  id: string;
  about: 'plans' | 'things';
}
type Heard = (news: News) => void;

export interface NewsDesk {
  /** Hears of a household until it is told not to. */
  listen(household: string, heard: Heard): () => void;
  /** Looks now. Resolves when all that was written before it is told. */
  look(): Promise<void>;
  /** Something was written here just now: who listens need not wait for the next look. */
  hurry(): void;
  stop(): void;
}

type Place = Record<News['about'], number>;

/**
 * Tells who listens that something changed, from the tables alone, so that it is the same for one process and for several: a row
 * that another process wrote is seen as soon as one of ours. Nobody listens, nothing is asked.
 */
export function newsDesk(db: Db, every = EVERY, said: (error: unknown) => void = () => undefined): NewsDesk {
  const listeners = new Map<string, Set<Heard>>();
  const told = new Set<string>();
  let place: Place | undefined;
  let timer: ReturnType<typeof setInterval> | undefined;
  let looking: Promise<void> = Promise.resolve();

  // One look at a time, in the order in which they were asked for.
  const look = () => (looking = looking.then(lookOnce));
  const lookOnce = async () => {
    try {
      // What lay there before anybody listened is no news.
      const silent = place === undefined;
      const from = place ?? (await placeNow(db));
      const rows = await rowsSince(db, from);
      for (const row of rows) if (isNew(row) && !silent) tell(row);
      place = placeAfter(from, rows);
    } catch (error) {
      // The database is away: it is looked again, and nothing is lost by it.
      said(error);
    }
  };
  const isNew = ({ about, seq }: Row) => {
    const key = `${about}${seq}`;
    if (told.has(key)) return false;
    told.add(key);
    const [oldest] = told;
    if (told.size > REMEMBERED) told.delete(oldest);
    return true;
  };
  const tell = ({ about, seq, household }: Row) => {
    const at = place ?? { plans: 0, things: 0 };
    const id = about === 'plans' ? `${seq}.${at.things}` : `${at.plans}.${seq}`;
    for (const heard of listeners.get(household) ?? []) heard({ id, about });
  };
  let hurried = false;
  return {
    look,
    hurry() {
      if (hurried || timer === undefined) return;
      hurried = true;
      looking = looking.then(() => {
        hurried = false;
        return lookOnce();
      });
    },
    listen(household, heard) {
      const of = listeners.get(household) ?? new Set<Heard>();
      listeners.set(household, of.add(heard));
      timer ??= setInterval(() => void look(), every);
      void look();
      return () => {
        of.delete(heard);
        if (of.size === 0) listeners.delete(household);
        if (listeners.size > 0) return;
        clearInterval(timer);
        timer = undefined;
        place = undefined;
      };
    },
    stop() {
      clearInterval(timer);
      timer = undefined;
      listeners.clear();
    },
  };
}

interface Row {
  about: News['about'];
  seq: number;
  household: string;
}

async function placeNow(db: Db): Promise<Place> {
  const [events] = await db.select({ at: max(planEvent.seq) }).from(planEvent);
  const [commands] = await db.select({ at: max(command.seq) }).from(command);
  return { plans: events.at ?? 0, things: commands.at ?? 0 };
}

async function rowsSince(db: Db, { plans, things }: Place): Promise<Row[]> {
  const happened = await db
    .select({ seq: planEvent.seq, household: plan.household })
    .from(planEvent)
    .innerJoin(plan, eq(plan.id, planEvent.plan))
    .where(gt(planEvent.seq, plans - BACK))
    .orderBy(asc(planEvent.seq))
    .limit(MOST);
  const written = await db
    .select({ seq: command.seq, household: command.household })
    .from(command)
    .where(gt(command.seq, things - BACK))
    .orderBy(asc(command.seq))
    .limit(MOST);
  return [
    ...happened.map((row): Row => ({ about: 'plans', ...row })),
    ...written.map((row): Row => ({ about: 'things', ...row })),
  ];
}

const placeAfter = (from: Place, rows: Row[]): Place =>
  rows.reduce((at, { about, seq }) => ({ ...at, [about]: Math.max(at[about], seq) }), from);
