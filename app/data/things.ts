import { applyPatch, valueAt } from '@escale/core/formats/pointer';
import {
  emptyShed,
  evolve,
  FIRST,
  NewerVersion,
  SHELF,
  THINGS,
  type Patch,
  type Shed,
  type ThingOf,
  type ThingType,
  type Trip,
} from '@escale/core/model';
import type { Queued } from './store';

/** A thing as this device holds it: the server's version plus what waits in the outbox. */
export interface Held<T extends ThingType = ThingType> {
  id: string;
  type: T;
  version: number;
  deleted: boolean;
  /** Version of the document; absent in answers of before. */ schema?: number;
  doc: ThingOf<T>;
}

export type Deed =
  | { kind: 'create'; doc: Record<string, unknown> }
  | { kind: 'patch'; patch: Patch[] }
  | { kind: 'remove' }
  | { kind: 'restore' };
export interface Command {
  id: string;
  device: string;
  type: ThingType;
  thing: string;
  baseVersion: number;
  /** Version of such documents when it was written. */ schema: number;
  deed: Deed;
}

export interface ThingsAnswer {
  /** Where the server keeps a simulated time. */ now?: number;
  simulated: boolean;
  /** How many things were erased for good. */ erased?: number;
  /** Ids of this device's commands that the answer holds. */ done: string[];
  things: Held[];
}

export type ReadThings = ThingsAnswer & { unreadable: number };
const read = new WeakMap<object, ReadThings>();

/**
 * What came from the server or from this device's store passes its schema once, however many parts of a page ask for it; a
 * document that does not is left out and counted.
 */
export function readThings(body: object): ReadThings {
  let known = read.get(body);
  if (!known) read.set(body, (known = readOnce(body)));
  return known;
}

function readOnce(body: object): ReadThings {
  const { now, simulated, erased, done, things } = body as ThingsAnswer;
  const good = things.flatMap((held) => {
    const read = THINGS[held.type]?.safeParse(grown(held));
    return read?.success ? [{ ...held, doc: read.data } as Held] : [];
  });
  return {
    ...(now === undefined ? {} : { now }),
    simulated,
    ...(erased === undefined ? {} : { erased }),
    done,
    things: good,
    unreadable: things.length - good.length,
  };
}

/** A kept answer may be older than the program that reads it, or newer: then the document is not readable here. */
function grown({ type, doc, schema = FIRST }: Held): unknown {
  try {
    return evolve(type, doc, schema);
  } catch (error) {
    if (error instanceof NewerVersion) return undefined;
    throw error;
  }
}

/** What was read, with the commands that it does not hold yet done to it: what the person sees at once. */
export function overlay(
  { things, done: held }: Pick<ThingsAnswer, 'things' | 'done'>,
  queue: Queued[],
): Held[] {
  const byId = new Map(things.map((thing) => [thing.id, thing]));
  const there = heldOf(queue, held);
  for (const { key, path, body, refused } of queue) {
    if (path !== COMMANDS || refused || there.has(key)) continue;
    const next = done(byId.get((body as Command).thing), body as Command);
    if (next) byId.set(next.id, next);
  }
  return [...byId.values()].filter((held) => !held.deleted);
}

export const COMMANDS = '/api/commands';

/**
 * Keys of what an answer holds: commands it names, and those that went through before one it names. The
 * list of names is bounded; the order is not.
 */
export function heldOf(queue: Queued[], done: readonly string[]): Set<number> {
  const named = new Set(done);
  const last = queue.findLastIndex((s) => named.has(s.id));
  return new Set(queue.filter((s, i) => named.has(s.id) || (s.sent && i < last)).map((s) => s.key));
}

function done(held: Held | undefined, { type, thing, schema = FIRST, deed }: Command): Held | undefined {
  if (deed.kind === 'create')
    return held && !held.deleted
      ? held
      : {
          id: thing,
          type,
          version: (held?.version ?? 0) + 1,
          deleted: false,
          doc: evolve(type, deed.doc, schema) as ThingOf<ThingType>,
        };
  if (!held) return undefined;
  if (deed.kind === 'patch')
    return {
      ...held,
      version: held.version + 1,
      doc: evolve(type, applyPatch(held.doc, deed.patch), schema),
    };
  return { ...held, version: held.version + 1, deleted: deed.kind === 'remove' };
}

export interface Here {
  things: Held[];
  shed: Shed;
  trips: Trip[];
}
let here: { base: ReadThings; queue: Queued[]; all: Here } | undefined;

/** Everything as the person has it: reckoned again only when what was read or what waits is another. */
export function hereOf(base: ReadThings, queue: Queued[]): Here {
  if (here?.base !== base || here.queue !== queue) {
    const things = overlay(base, queue);
    here = { base, queue, all: { things, ...shedOf(things) } };
  }
  return here.all;
}

export function shedOf(things: Held[]): { shed: Shed; trips: Trip[] } {
  const shed = emptyShed();
  const trips: Trip[] = [];
  for (const { type, doc } of things) {
    if (type === 'trip') trips.push(doc as Trip);
    else (shed[SHELF[type]] as unknown[]).push(doc);
  }
  return { shed, trips };
}

const topOf = (pointer: string) => pointer.split('/')[1];

/** The patch that takes a patch back: every field it touched as it was. */
export function inverseOf(doc: object, patch: Patch[]): Patch[] {
  const before = doc as Record<string, unknown>;
  return [...new Set(patch.map((p) => topOf(p.pointer)))].map((field) =>
    before[field] === undefined
      ? { op: 'unset', pointer: `/${field}` }
      : { op: 'set', pointer: `/${field}`, value: before[field] },
  );
}

/** A value that is stated is no guess any more: the patch that says so, for every guess whose value it changes. */
export function withBasis(
  doc: object & { basis?: Record<string, string> | undefined },
  patch: Patch[],
): Patch[] {
  if (patch.some(({ pointer }) => topOf(pointer) === 'basis')) return patch;
  const basis = doc.basis ?? {};
  const then = applyPatch(doc, patch);
  const left = Object.fromEntries(
    Object.entries(basis).filter(
      ([pointer, how]) =>
        how !== 'guessed' || JSON.stringify(valueAt(doc, pointer)) === JSON.stringify(valueAt(then, pointer)),
    ),
  );
  return Object.keys(left).length === Object.keys(basis).length
    ? patch
    : [...patch, { op: 'set', pointer: '/basis', value: left }];
}
