import { and, asc, desc, eq, gt, isNull, lt } from 'drizzle-orm';
import { Router } from 'express';
import * as z from 'zod';
import { applyPatch, checkPack, faultsOf } from '@escale/core/formats';
import {
  evolve,
  FIRST,
  Id,
  schemaOf,
  THINGS,
  THING_TYPES,
  type Patch,
  type ThingType,
} from '@escale/core/model';
import { command, device, plan, thing, tick } from '../db/schema';
import type { Db } from '../db/open';
import { parse, Problem } from './problem';
import type { Services } from '../services';

const PatchSchema = z
  .array(
    z.strictObject({
      op: z.enum(['set', 'unset', 'append', 'drop']),
      pointer: z.string().max(300),
      value: z.unknown().optional(),
    }),
  )
  .min(1)
  .max(200);

/**
 * A write: done once by its id. `baseVersion` is what the device had in its hand; 0 makes a new thing. `schema` is the version
 * of such documents that the device knew: one that waited in an outbox through an update was written under an older one.
 */
export const Command = z.strictObject({
  id: Id,
  device: Id,
  type: z.enum(THING_TYPES),
  thing: Id,
  baseVersion: z.number().int().min(0),
  schema: z.number().int().min(FIRST).default(FIRST),
  deed: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('create'), doc: z.record(z.string(), z.unknown()) }),
    z.strictObject({ kind: z.literal('patch'), patch: PatchSchema }),
    z.strictObject({ kind: z.literal('remove') }),
    z.strictObject({ kind: z.literal('restore') }),
  ]),
});
export type Command = z.infer<typeof Command>;

export const Tick = z.strictObject({
  list: z.string().min(1).max(120),
  item: z.string().min(1).max(120),
  device: Id,
  at: z.iso.datetime(),
  on: z.boolean(),
});

/** How many of its commands a device is told of: more than can wait between two readings. */
const TOLD = 300;

type Row = typeof thing.$inferSelect;
const shown = (row: Row) => {
  const type = row.type as ThingType;
  return {
    id: row.id,
    type,
    version: row.version,
    deleted: row.deletedAt !== null,
    schema: schemaOf(type),
    doc: evolve(type, row.doc, row.schema),
  };
};

export function things({ db, clock, household }: Services): Router {
  const routes = Router();

  // A device is told which of its latest commands are in what it reads, so that it does not do them to the answer again.
  routes.get('/things', async (req, res) => {
    const by = Id.safeParse(req.query.device);
    const done = by.success
      ? await db
          .select({ id: command.id })
          .from(command)
          .where(and(eq(command.household, household), eq(command.device, by.data)))
          .orderBy(desc(command.at), desc(command.id))
          .limit(TOLD)
      : [];
    const rows = await db
      .select()
      .from(thing)
      .where(and(eq(thing.household, household), isNull(thing.deletedAt)))
      .orderBy(asc(thing.createdAt), asc(thing.id));
    // The time only where it is a simulated one: what has not changed then has not changed.
    const simulated = clock.set !== undefined;
    res.json({
      ...(simulated ? { now: clock.now() } : {}),
      simulated,
      done: done.map((c) => c.id),
      things: rows.map(shown),
    });
  });

  routes.post('/commands', async (req, res) => {
    const wanted = parse(Command, req.body);
    const row = await db.transaction((tx) => doCommand(tx, wanted, household, clock.now()));
    res.json(shown(row));
  });

  routes.get('/ticks/:list', async (req, res) => {
    const rows = await db
      .select()
      .from(tick)
      .where(and(eq(tick.household, household), eq(tick.list, parse(z.string().max(120), req.params.list))))
      .orderBy(asc(tick.at));
    // Latest wins for each item, whichever device said it.
    const latest = new Map(rows.map((row) => [row.item, row]));
    const items = [...latest.values()]
      .filter((row) => row.on)
      .map(({ item, at }) => ({ item, at: at.getTime() }));
    res.json({ schema: schemaOf('ticks'), list: req.params.list, items });
  });

  routes.post('/ticks', async (req, res) => {
    const { list, item, device: by, at, on } = parse(Tick, req.body);
    const when = new Date(Math.min(Date.parse(at), clock.now()));
    await db
      .insert(tick)
      .values({ household, list, item, device: by, at: when, on })
      .onConflictDoUpdate({
        target: [tick.household, tick.list, tick.item, tick.device],
        set: { at: when, on },
        setWhere: lt(tick.at, when),
      });
    res.json({ list, item, on });
  });

  return routes;
}

/** First segment of a pointer: the field that a patch touches. */
const fieldOf = (pointer: string) => pointer.split('/')[1] ?? '';

/** Do a command in a transaction; a command already done answers with the thing as it is now. */
export async function doCommand(tx: Db, wanted: Command, household: string, now: number): Promise<Row> {
  const [done] = await tx.select().from(command).where(eq(command.id, wanted.id));
  const [row] = await tx
    .select()
    .from(thing)
    .where(and(eq(thing.id, wanted.thing), eq(thing.household, household)))
    .for('update');
  if (done) {
    if (!row) throw new Problem(404, 'This was written and is gone.');
    return row;
  }
  const at = new Date(now);
  await tx
    .insert(device)
    .values({ id: wanted.device, household, name: 'A browser', createdAt: at })
    .onConflictDoNothing();
  if (wanted.type === 'trip' && wanted.deed.kind === 'remove') await refuseOpenPlan(tx, wanted.thing);
  const next = await nextRow(tx, wanted, row, at);
  const touches =
    wanted.deed.kind === 'patch' ? [...new Set(wanted.deed.patch.map((p) => fieldOf(p.pointer)))] : ['*'];
  await tx.insert(command).values({
    id: wanted.id,
    household,
    device: wanted.device,
    thing: wanted.thing,
    version: next.version,
    touches,
    at,
  });
  const values = {
    ...next,
    id: wanted.thing,
    household,
    type: wanted.type,
    schema: schemaOf(wanted.type),
    updatedAt: at,
  };
  const [saved] = row
    ? await tx.update(thing).set(values).where(eq(thing.id, wanted.thing)).returning()
    : await tx
        .insert(thing)
        .values({ ...values, createdAt: at })
        .returning();
  return saved;
}

/** A trip somebody is watched on is not taken away from under the watch. */
async function refuseOpenPlan(tx: Db, trip: string): Promise<void> {
  const [open] = await tx
    .select({ id: plan.id })
    .from(plan)
    .where(and(eq(plan.trip, trip), eq(plan.open, true)));
  if (open)
    throw new Problem(
      422,
      'A float plan of this trip is open. Say that you are home, or that you did not go, first.',
    );
}

async function nextRow(
  tx: Db,
  { type, thing: id, baseVersion, schema, device, deed }: Command,
  row: Row | undefined,
  at: Date,
): Promise<{ doc: Record<string, unknown>; version: number; deletedAt: Date | null }> {
  if (deed.kind === 'create') {
    if (row) throw new Problem(409, 'A thing with this id is already here.', [], { current: shown(row) });
    return { doc: checked(type, { ...grown(type, deed.doc, schema), id }), version: 1, deletedAt: null };
  }
  if (!row || row.type !== type) throw new Problem(404, 'This thing is not here.');
  if (row.version !== baseVersion)
    await refuseClash(tx, row, baseVersion, device, deed.kind === 'patch' ? deed.patch : undefined);
  const doc = evolve(type, row.doc, row.schema);
  if (deed.kind === 'patch') {
    if (row.deletedAt)
      throw new Problem(409, 'This was removed on another device.', [], { current: shown(row) });
    // What an older program patched in is grown with the whole: its steps leave alone what is of today.
    return {
      doc: checked(type, grown(type, patched(doc, deed.patch), schema), id),
      version: row.version + 1,
      deletedAt: null,
    };
  }
  return { doc, version: row.version + 1, deletedAt: deed.kind === 'remove' ? at : null };
}

/**
 * Two devices may change different fields; the same field, or a list as a whole, is a quarrel that a person settles.
 * A device's own commands come in the order in which it made them and are no quarrel.
 */
async function refuseClash(
  tx: Db,
  row: Row,
  baseVersion: number,
  device: string,
  patch: Patch[] | undefined,
): Promise<void> {
  const since = await tx
    .select({ touches: command.touches, device: command.device })
    .from(command)
    .where(and(eq(command.thing, row.id), gt(command.version, baseVersion)));
  const touched = new Set(since.filter((c) => c.device !== device).flatMap((c) => c.touches));
  if (since.length > 0 && touched.size === 0) return;
  if (
    !patch ||
    since.length === 0 ||
    touched.has('*') ||
    patch.some((p) => touched.has(fieldOf(p.pointer)))
  ) {
    throw new Problem(409, 'This was changed on another device in the meantime.', [], {
      current: shown(row),
    });
  }
}

/** A document of a device brought up to today; a device that is ahead of this server waits until the server is as new. */
function grown(type: ThingType, doc: Record<string, unknown>, schema: number): Record<string, unknown> {
  if (schema > schemaOf(type))
    throw new Problem(
      503,
      'This device is newer than the server. It will be sent again when the server was brought up to date.',
    );
  return evolve(type, doc, schema);
}

function patched(doc: Record<string, unknown>, patch: Patch[]): Record<string, unknown> {
  try {
    return applyPatch(doc, patch);
  } catch (error) {
    if (error instanceof RangeError) throw new Problem(422, 'This change does not fit.', [error.message]);
    throw error;
  }
}

export function checked(type: ThingType, doc: Record<string, unknown>, id?: string): Record<string, unknown> {
  const result = THINGS[type].safeParse(doc);
  if (!result.success) throw new Problem(422, 'Some of this can’t be taken.', faultsOf(result.error));
  if (type === 'pack') {
    const read = checkPack((result.data as { pack: unknown }).pack);
    if (!read.ok) throw new Problem(422, 'This rule pack can’t be taken.', read.faults);
  }
  if (id !== undefined && result.data.id !== id) throw new Problem(422, 'A thing keeps its id.');
  return result.data as Record<string, unknown>;
}
