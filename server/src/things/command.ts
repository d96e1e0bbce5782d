import { and, eq, gt } from 'drizzle-orm';
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
import { command, device, plan, thing } from '../db/schema';
import type { Db } from '../db/open';
import { bodyHash, refuseOther } from '../once';
import type { Principal } from '../principal';
import { Refusal } from '../refusal';
import { stableJson } from '../stable-json';
import { refuseErased } from './erased';
import { dropUnused } from './photo';

const PatchSchema = z
  .array(
    z.strictObject({
      op: z.enum(['set', 'unset', 'append', 'drop']),
      pointer: z
        .string()
        .max(300)
        .regex(/^(\/[^/]*)+$/, 'a pointer such as /name'),
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

type Row = typeof thing.$inferSelect;
export const shown = (row: Row) => {
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

/**
 * The field that a patch touches: the first segment of its pointer, and of a field that is kept by keys (the parts of a boat) the
 * key with it, so that two phones may each test another part.
 */
function fieldOf(type: ThingType, pointer: string): string {
  const [, field = '', key] = pointer.split('/');
  return key !== undefined && isByKeys(type, field) ? `${field}/${key}` : field;
}

function isByKeys(type: ThingType, field: string): boolean {
  const shape: Record<string, z.ZodType> = THINGS[type].shape;
  const schema = shape[field];
  return (schema instanceof z.ZodOptional ? schema.unwrap() : schema) instanceof z.ZodRecord;
}

/** Is one of two fields the other, or the whole of it? */
const meets = (a: string, b: string) => a === b || a.startsWith(`${b}/`) || b.startsWith(`${a}/`);

/** Do a command in a transaction; a command already done answers with the thing as it is now. */
export async function doCommand(
  tx: Db,
  { household }: Principal,
  wanted: Command,
  now: number,
): Promise<Row> {
  const hash = bodyHash(wanted);
  const [done] = await tx.select().from(command).where(eq(command.id, wanted.id));
  if (done) refuseOther(done.household === household ? done : { bodyHash: '' }, hash);
  const [row] = await tx
    .select()
    .from(thing)
    .where(and(eq(thing.id, wanted.thing), eq(thing.household, household)))
    .for('update');
  if (done) {
    if (!row) throw new Refusal('absent', 'This was written and is gone.');
    return row;
  }
  if (!row || row.deletedAt) await refuseErased(tx, wanted.thing);
  const at = new Date(now);
  await tx
    .insert(device)
    .values({ id: wanted.device, household, name: 'A browser', createdAt: at })
    .onConflictDoNothing();
  if (wanted.type === 'trip' && wanted.deed.kind === 'remove') await refuseOpenPlan(tx, wanted.thing);
  const { touches = touchesOf(wanted), ...next } = await nextRow(tx, wanted, row, at);
  await tx.insert(command).values({
    id: wanted.id,
    household,
    device: wanted.device,
    thing: wanted.thing,
    version: next.version,
    touches,
    at,
    bodyHash: hash,
  });
  const values = {
    ...next,
    id: wanted.thing,
    household,
    type: wanted.type,
    schema: schemaOf(wanted.type),
    updatedAt: at,
  };
  const dropped = wanted.deed.kind === 'patch' ? droppedPhotos(wanted.deed.patch) : [];
  const [saved] = row
    ? await tx.update(thing).set(values).where(eq(thing.id, wanted.thing)).returning()
    : await tx
        .insert(thing)
        .values({ ...values, createdAt: at })
        .returning();
  if (dropped.length > 0) await dropUnused(tx, household, now, dropped);
  return saved;
}

const touchesOf = ({ type, deed }: Command): string[] =>
  deed.kind === 'patch' ? [...new Set(deed.patch.map(({ pointer }) => fieldOf(type, pointer)))] : ['*'];

/** Photos that a patch takes from a thing: none of them is kept for nothing. */
const droppedPhotos = (patch: readonly Patch[]): string[] =>
  patch.flatMap(({ op, pointer }) => {
    const [, field, hash] = pointer.split('/');
    return op === 'unset' && field === 'photos' && hash !== undefined ? [hash] : [];
  });

/** A trip somebody is watched on is not taken away from under the watch. */
async function refuseOpenPlan(tx: Db, trip: string): Promise<void> {
  const [open] = await tx
    .select({ id: plan.id })
    .from(plan)
    .where(and(eq(plan.trip, trip), eq(plan.open, true)));
  if (open)
    throw new Refusal(
      'unfit',
      'A float plan of this trip is open. Say that you are home, or that you did not go, first.',
    );
}

interface Next {
  doc: Record<string, unknown>;
  version: number;
  deletedAt: Date | null;
  /** Where they are not those of the deed. */
  touches?: string[];
}

/** What there is one of for a trip, with an id that follows from the trip’s: two phones that both begin it begin the same. */
const ONE_EACH: ReadonlySet<ThingType> = new Set(['debrief']);

/** What a beginning takes from the plan by itself: nobody said it, and the first stands. */
const FROM_PLAN: ReadonlySet<string> = new Set(['on', 'boat', 'who', 'left', 'home']);
const isEmpty = (value: unknown): boolean => Array.isArray(value) && value.length === 0;

/**
 * Begun on a second phone: what the first has stands, what it has not is put in. One that was taken away begins anew.
 * @returns undefined where it is of another trip, or says something else than the first: that is a quarrel
 */
function begunAgain(type: ThingType, row: Row, doc: Record<string, unknown>): Next | undefined {
  const version = row.version + 1;
  const held: Record<string, unknown> = evolve(type, row.doc, row.schema);
  if (held.trip !== doc.trip) return undefined;
  if (row.deletedAt) return { doc: checked(type, doc), version, deletedAt: null };
  const another = Object.entries(doc).some(
    ([field, value]) =>
      held[field] !== undefined &&
      !FROM_PLAN.has(field) &&
      !isEmpty(value) &&
      stableJson(held[field]) !== stableJson(value),
  );
  if (another) return undefined;
  const touches = Object.keys(doc).filter((field) => held[field] === undefined);
  return { doc: checked(type, { ...doc, ...held }), version, deletedAt: null, touches };
}

async function nextRow(
  tx: Db,
  { type, thing: id, baseVersion, schema, device, deed }: Command,
  row: Row | undefined,
  at: Date,
): Promise<Next> {
  if (deed.kind === 'create') {
    const again =
      row && row.type === type && ONE_EACH.has(type)
        ? begunAgain(type, row, { ...grown(type, deed.doc, schema), id })
        : undefined;
    if (again) return again;
    if (row)
      throw new Refusal('conflict', 'A thing with this id is already here.', [], { current: shown(row) });
    return { doc: checked(type, { ...grown(type, deed.doc, schema), id }), version: 1, deletedAt: null };
  }
  if (!row || row.type !== type) throw new Refusal('absent', 'This thing is not here.');
  if (row.version !== baseVersion)
    await refuseClash(tx, row, baseVersion, device, deed.kind === 'patch' ? deed.patch : undefined);
  const doc = evolve(type, row.doc, row.schema);
  if (deed.kind === 'patch') {
    if (row.deletedAt)
      throw new Refusal('conflict', 'This was removed on another device.', [], { current: shown(row) });
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
    patch.some((p) => [...touched].some((field) => meets(field, fieldOf(row.type as ThingType, p.pointer))))
  ) {
    throw new Refusal('conflict', 'This was changed on another device in the meantime.', [], {
      current: shown(row),
    });
  }
}

/** A document of a device brought up to today; a device that is ahead of this server waits until the server is as new. */
function grown(type: ThingType, doc: Record<string, unknown>, schema: number): Record<string, unknown> {
  if (schema > schemaOf(type))
    throw new Refusal(
      'later',
      'This device is newer than the server. It will be sent again when the server was brought up to date.',
    );
  return evolve(type, doc, schema);
}

function patched(doc: Record<string, unknown>, patch: Patch[]): Record<string, unknown> {
  try {
    return applyPatch(doc, patch);
  } catch (error) {
    if (error instanceof RangeError) throw new Refusal('unfit', 'This change does not fit.', [error.message]);
    throw error;
  }
}

export function checked(type: ThingType, doc: Record<string, unknown>, id?: string): Record<string, unknown> {
  const result = THINGS[type].safeParse(doc);
  if (!result.success) throw new Refusal('unfit', 'Some of this can’t be taken.', faultsOf(result.error));
  if (type === 'pack') {
    const read = checkPack((result.data as { pack: unknown }).pack);
    if (!read.ok) throw new Refusal('unfit', 'This rule pack can’t be taken.', read.faults);
  }
  if (id !== undefined && result.data.id !== id) throw new Refusal('unfit', 'A thing keeps its id.');
  return result.data as Record<string, unknown>;
}
