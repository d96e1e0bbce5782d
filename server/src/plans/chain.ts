import { asc, eq, gte, inArray } from 'drizzle-orm';
import { message, plan, planVersion, type Bared } from '../db/schema';
import type { Db } from '../db/open';
import {
  baredHash,
  eventHash,
  eventRows,
  MARK,
  messageHash,
  olderHash,
  versionHash,
  type EventRow,
} from './events';

/** Where the record of a plan does not hold together. */
export interface Broken {
  plan: string;
  /** The event at which it was seen, where it is one that is there. */
  seq?: number;
  what:
    | 'an event was changed'
    | 'its end is missing'
    | 'a message is missing'
    | 'a message was changed'
    | 'the filed version was changed'
    | 'it has no events';
}

/** Plans looked at in one go. */
const AT_ONCE = 50;

/** The last event of a plan as it was noted outside the database. */
export type Heads = ReadonlyMap<string, { seq: number; hash: string }>;

/**
 * Does every plan's record hold together: each event follows from the one before, what was written with it stands as it was
 * written, and it reaches as far as was noted outside?
 */
export async function brokenChains(
  db: Db,
  heads: Heads = new Map(),
  { signal }: Looking = {},
): Promise<Broken[]> {
  const broken: Broken[] = [];
  const ids = await planIds(db);
  const there = new Set(ids);
  const gone = [...heads.keys()].filter((id) => !there.has(id));
  for (const id of gone) broken.push({ plan: id, what: 'its end is missing' });
  for (let from = 0; from < ids.length; from += AT_ONCE) {
    signal?.throwIfAborted();
    broken.push(...(await brokenIn(db, ids.slice(from, from + AT_ONCE), heads)));
  }
  return broken;
}

export interface Looking {
  /** Only plans that something happened to since then. */
  since?: Date;
  /** Who ends the server does not wait for a look through a hundred thousand records: it throws what the signal says. */
  signal?: AbortSignal;
}

async function planIds(db: Db, since?: Date): Promise<string[]> {
  const rows = await db
    .select({ id: plan.id })
    .from(plan)
    .where(since && gte(plan.updatedAt, since))
    .orderBy(asc(plan.id));
  return rows.map((row) => row.id);
}

/** Where the record of one plan does not hold together. */
export const brokenOf = async (db: Db, id: string): Promise<Broken | undefined> =>
  (await brokenIn(db, [id], new Map()))[0];

/** The first event of a plan that does not follow, or undefined. */
export async function brokenAt(db: Db, id: string): Promise<number | undefined> {
  return (await brokenIn(db, [id], new Map()))[0]?.seq;
}

async function brokenIn(db: Db, ids: string[], heads: Heads): Promise<Broken[]> {
  const events = await eventRows(db, ids);
  const messages = new Map(
    (await db.select().from(message).where(inArray(message.plan, ids))).map((m) => [m.id, messageHash(m)]),
  );
  return ids.flatMap((id) => {
    const rows = events.get(id) ?? [];
    const found = rows.length === 0 ? ({ plan: id, what: 'it has no events' } as const) : chainOf(id, rows);
    const head = heads.get(id);
    // What was noted is an event of this chain, wherever the chain has got to since.
    const cut = head && !rows.some((row) => row.seq === head.seq && row.hash === head.hash);
    const lost =
      found ?? (cut ? ({ plan: id, what: 'its end is missing' } as const) : messagesOf(id, rows, messages));
    return lost ? [lost] : [];
  });
}

/** Hashes that stand for those of before, of what was erased: the events that say so are part of the chain themselves. */
const baredIn = (rows: EventRow[]): Bared => {
  const all = rows.flatMap(({ sealed }) => sealed?.bared ?? []);
  const of = (part: keyof Bared) =>
    Object.assign({}, ...all.map((bared) => bared[part])) as Bared[typeof part];
  return { versions: of('versions'), messages: of('messages'), events: of('events') };
};

function chainOf(id: string, rows: EventRow[]): Broken | undefined {
  const { events: bared } = baredIn(rows);
  let before = '';
  for (const row of rows) {
    const follows = row.hash.startsWith(MARK) ? eventHash(before, row) : olderHash(before, row);
    const stands = bared[row.id] === undefined ? row.hash === follows : baredHash(row) === bared[row.id];
    if (!stands) return { plan: id, seq: row.seq, what: 'an event was changed' };
    before = row.hash;
  }
  return undefined;
}

function messagesOf(id: string, rows: EventRow[], there: Map<string, string>): Broken | undefined {
  const { messages: bared } = baredIn(rows);
  for (const { seq, sealed } of rows)
    for (const [one, hash] of Object.entries(sealed?.messages ?? {})) {
      if (!there.has(one)) return { plan: id, seq, what: 'a message is missing' };
      if (there.get(one) !== (bared[one] ?? hash)) return { plan: id, seq, what: 'a message was changed' };
    }
  return undefined;
}

/** Filed versions are large: they are held against their hashes one plan at a time. */
export async function brokenVersions(db: Db, { since, signal }: Looking = {}): Promise<Broken[]> {
  const broken: Broken[] = [];
  const ids = await planIds(db, since);
  for (const id of ids) {
    signal?.throwIfAborted();
    const rows = (await eventRows(db, [id])).get(id) ?? [];
    const { versions: bared } = baredIn(rows);
    const events = rows.filter((e) => e.sealed?.version);
    const versions = await db
      .select()
      .from(planVersion)
      .where(eq(planVersion.plan, id))
      .orderBy(asc(planVersion.version));
    // Versions of before were not sealed: those that are stand at the end.
    const sealed = versions.slice(versions.length - events.length);
    const at = events.findIndex(
      (e, i) => !sealed[i] || versionHash(sealed[i]) !== (bared[sealed[i].version] ?? e.sealed?.version),
    );
    if (at >= 0) broken.push({ plan: id, seq: events[at].seq, what: 'the filed version was changed' });
  }
  return broken;
}
