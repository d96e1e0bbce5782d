import { mutate } from 'swr';
import { v7 as uuid } from 'uuid';
import { schemaOf, type FileRequest, type Patch, type PlanDeed, type ThingType } from '@escale/core/model';
import { ask, NoSignal, Refusal } from './api';
import { keptAs } from './memory';
import { dequeue, enqueue, outbox, requeue, setSetting, setting, type Queued, type Sending } from './store';
import { COMMANDS, heldOf, withBasis, type Command, type Deed, type Held } from './things';

/**
 * Everything that is written goes through here: into the outbox first, then to the server, in order, each
 * by an id that makes twice once.
 */

let device: Promise<string> | undefined;
export async function deviceId(): Promise<string> {
  device ??= (async () => {
    const known = await setting('device');
    if (typeof known === 'string') return known;
    const made = uuid();
    await setSetting('device', made);
    return made;
  })();
  return device;
}

/** Tabs tell each other that something was written. */
const others = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(keptAs('escale'));
others?.addEventListener('message', () => void refresh());

/** Read again what the server may have changed. */
const refresh = () => mutate((key) => typeof key === 'string' && key.startsWith('/'));

async function queue(sending: Omit<Sending, 'madeAt'>): Promise<void> {
  await enqueue({ ...sending, madeAt: new Date().toISOString() });
  await mutate('outbox');
  await flush();
}

export const newId = () => uuid();

async function command(
  type: ThingType,
  thing: string,
  baseVersion: number,
  deed: Deed,
  said: string,
): Promise<void> {
  const body: Command = {
    id: uuid(),
    device: await deviceId(),
    type,
    thing,
    baseVersion,
    schema: schemaOf(type),
    deed,
  };
  await queue({ id: body.id, path: COMMANDS, body, thing, said });
}

/** Make a thing. The id is made here, so that it can be pointed at before the server has heard of it. */
export async function create(type: ThingType, doc: { id: string }, said: string): Promise<void> {
  await command(type, doc.id, 0, { kind: 'create', doc: doc as unknown as Record<string, unknown> }, said);
}

export async function change(held: Held, patch: Patch[], said: string): Promise<void> {
  await command(held.type, held.id, held.version, { kind: 'patch', patch: withBasis(held.doc, patch) }, said);
}

export async function remove(held: Held, said: string): Promise<void> {
  await command(held.type, held.id, held.version, { kind: 'remove' }, said);
}

export async function restore(held: Held, said: string): Promise<void> {
  await command(held.type, held.id, held.version + 1, { kind: 'restore' }, said);
}

export async function tick(list: string, item: string, on: boolean, at: number): Promise<void> {
  await queue({
    id: uuid(),
    path: '/api/ticks',
    body: { list, item, on, device: await deviceId(), at: new Date(at).toISOString() },
    said: 'a tick',
  });
}

export async function file(request: FileRequest, said: string): Promise<void> {
  await queue({ id: request.id, path: '/api/plans', body: request, thing: request.trip, said });
}

export async function deed(plan: string, body: PlanDeed, said: string): Promise<void> {
  await queue({ id: body.id, path: `/api/plans/${plan}/deeds`, body, thing: plan, said });
}

let flushing: Promise<void> | undefined;
let asked = false;

/**
 * Send what waits. One flush at a time over all tabs; what is queued while one ends is sent by another
 * round of it. Without signal it stops and tries again later.
 */
export function flush(): Promise<void> {
  asked = true;
  flushing ??= rounds().finally(() => {
    flushing = undefined;
  });
  return flushing;
}

async function rounds(): Promise<void> {
  while (asked) {
    asked = false;
    await locked(sendAll);
  }
}

async function locked(work: () => Promise<void>): Promise<void> {
  if (typeof navigator === 'undefined' || !navigator.locks) return work();
  await navigator.locks.request(keptAs('escale-outbox'), work);
}

async function sendAll(): Promise<void> {
  const held = new Set<string>();
  const through: number[] = [];
  // The list is read again after each, so that what was added meanwhile goes too.
  for (let next = await nextOf(held, through); next; next = await nextOf(held, through)) {
    try {
      await ask(next.path, next.body);
      // A command stays until what is read shows it; the rest has nothing to show before the next reading.
      if (next.path === COMMANDS) await requeue({ ...next, sent: true });
      through.push(next.key);
    } catch (error) {
      if (error instanceof NoSignal) break;
      if (!(error instanceof Refusal)) throw error;
      await requeue({ ...next, refused: { status: error.status, title: error.title, faults: error.faults } });
      const thing = holds(next);
      if (thing) held.add(thing);
    }
  }
  if (through.length > 0) {
    await refresh();
    for (const s of await outbox()) if (through.includes(s.key) && !s.sent) await dequeue(s.key);
    others?.postMessage('written');
  }
  await mutate('outbox');
}

/**
 * The thing that a write holds back when it is refused: what follows was made on top of a change. A deed stands by itself: “we’re
 * home” must not wait behind a check-in that was refused.
 */
const holds = ({ path, thing }: Queued) => (path === COMMANDS ? thing : undefined);

/** The first that may go: neither sent nor refused, and not behind a refused change of the same thing. */
async function nextOf(held: Set<string>, through: number[]): Promise<Queued | undefined> {
  const waiting = (await outbox()).filter((s) => !s.sent && !through.includes(s.key));
  for (const sending of waiting) {
    const thing = sending.refused && holds(sending);
    if (thing) held.add(thing);
  }
  return waiting.find((s) => !s.refused && !(s.thing && held.has(s.thing)));
}

/** What was read shows these commands: they need not be kept any more. */
export async function settle(done: readonly string[]): Promise<void> {
  const queue = await outbox();
  const there = heldOf(queue, done);
  const settled = queue.filter((s) => s.sent && there.has(s.key));
  for (const s of settled) await dequeue(s.key);
  if (settled.length > 0) await mutate('outbox');
}

/** A refused write is given up, with everything that waited behind it. */
export async function giveUp(refused: Queued): Promise<void> {
  const behind = holds(refused);
  for (const s of await outbox())
    if (!s.sent && (s.key === refused.key || (behind !== undefined && s.thing === behind)))
      await dequeue(s.key);
  await mutate('outbox');
  await refresh();
}

/** A refused write is sent again on top of what the server has now. */
export async function insist(refused: Queued, current: Held | undefined): Promise<void> {
  let version = current?.version ?? 0;
  const behind = holds(refused);
  for (const s of await outbox()) {
    if (s.sent || (s.key !== refused.key && !(behind !== undefined && s.thing === behind))) continue;
    const { refused: _refused, ...rest } = s;
    if (s.path !== COMMANDS) await requeue(rest);
    else {
      const body = s.body as Command;
      const id = uuid();
      await requeue({ ...rest, id, body: { ...body, id, baseVersion: version } });
      version += 1;
    }
  }
  await mutate('outbox');
  await flush();
}
