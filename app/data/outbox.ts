import { mutate } from 'swr';
import { v7 as uuid } from 'uuid';
import {
  keepable,
  schemaOf,
  type FileRequest,
  type Patch,
  type Photo,
  type PlanDeed,
  type ThingType,
} from '@escale/core/model';
import { ask, askAs, NoSignal, NotNow, Refusal } from './api';
import { answersTo, PHOTOS } from './answers';
import { keptAs } from './memory';
import { noteMerged } from './merged';
import { dequeue, enqueue, outbox, requeue, setSetting, setting, type Queued, type Sending } from './store';
import { COMMANDS, heldOf, withBasis, type Command, type Deed, type Held } from './things';

/**
 * Everything that is written goes through here: into the outbox first, then to the server, in order, each
 * by an id that makes twice once.
 */

let device: Promise<string> | undefined;
export async function deviceId(): Promise<string> {
  device ??= (async () => {
    const known = await setting('device').catch(() => undefined);
    const id = typeof known === 'string' ? known : uuid();
    askAs(id);
    // A store that takes nothing is told where something is written; here a name for this page is enough.
    if (id !== known) await setSetting('device', id).catch(() => undefined);
    return id;
  })();
  return device;
}

/** Tabs tell each other that something was written. */
const others = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(keptAs('escale'));
others?.addEventListener('message', () => void refresh());

/** Read again what the server may have changed. */
const refresh = () => mutate((key) => typeof key === 'string' && key.startsWith('/'));

async function queue(sending: Omit<Sending, 'madeAt'>): Promise<void> {
  // A character that nobody sees, pasted with the rest, is no reason to refuse what was written.
  const body = keepable(sending.body);
  await enqueue({ ...sending, body, madeAt: new Date().toISOString() });
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

export async function restore(held: Pick<Held, 'id' | 'type' | 'version'>, said: string): Promise<void> {
  await command(held.type, held.id, held.version + 1, { kind: 'restore' }, said);
}

let counted = 0;
/** This device's own count: it rises, whatever its clock does, and from one opening of the page to the next. */
function count(): number {
  counted = Math.max(counted + 1, Date.now());
  return counted;
}

export async function tick(list: string, item: string, on: boolean, at: number): Promise<void> {
  await queue({
    id: uuid(),
    path: '/api/ticks',
    body: { list, item, on, device: await deviceId(), at: new Date(at).toISOString(), count: count() },
    said: 'a tick',
  });
}

/** A photo goes before the change that names it. */
export async function keptPhoto(body: Photo, said: string): Promise<void> {
  await queue({ id: uuid(), path: PHOTOS, body, said });
}

export async function file(request: FileRequest, said: string): Promise<void> {
  await queue({ id: request.id, path: '/api/plans', body: request, thing: request.trip, said });
}

export async function deed(plan: string, body: PlanDeed, said: string): Promise<void> {
  await queue({ id: body.id, path: `/api/plans/${plan}/deeds`, body, thing: plan, said });
}

/** Deeds go by a way of their own: “we’re home” waits for nothing that is slow, refused or tried again. */
type Way = 'deeds' | 'rest';
const flushing = new Map<Way, Promise<void>>();
const asked = new Set<Way>();

/**
 * Send what waits. One flush at a time on each way, over all tabs; what is queued while one ends is sent by another round of
 * it. Without signal it stops and tries again later.
 * @param now what was to wait for a while is tried at once: the signal is back, or a person asks
 */
export async function flush(now = false): Promise<void> {
  if (now) await hurry();
  await Promise.all((['deeds', 'rest'] as const).map(flushWay));
}

function flushWay(way: Way): Promise<void> {
  asked.add(way);
  const running =
    flushing.get(way) ??
    rounds(way).finally(() => {
      flushing.delete(way);
    });
  flushing.set(way, running);
  return running;
}

async function rounds(way: Way): Promise<void> {
  while (asked.delete(way)) await locked(way, () => sendAll(way));
}

async function locked(way: Way, work: () => Promise<void>): Promise<void> {
  if (typeof navigator === 'undefined' || !navigator.locks) return work();
  await navigator.locks.request(keptAs(`escale-outbox-${way}`), work);
}

/**
 * Tried again after a second, then twice as long each time, for days: a server in trouble is not for ever. What is said of a plan
 * waits half a minute at most: “we’re home” must be there as soon as the server is.
 */
const FIRST_WAIT = 1000,
  MOST_WAIT = 15 * 60_000,
  MOST_WAIT_DEED = 30_000;
const waitAfter = (tries: number, sending: Queued) =>
  Math.min(isDeed(sending) ? MOST_WAIT_DEED : MOST_WAIT, FIRST_WAIT * 2 ** Math.min(tries - 1, 20));

async function hurry(): Promise<void> {
  for (const s of await outbox())
    if (s.notBefore !== undefined && !s.refused) {
      const { notBefore: _waits, ...rest } = s;
      await requeue(rest);
    }
}

async function sendAll(way: Way): Promise<void> {
  const held = new Set<string>();
  const through: number[] = [];
  let filed = false;
  let quarrel = false;
  /** Each goes once in a round, whatever the store made of it. */
  const tried = new Set<number>();
  // The list is read again after each, so that what was added meanwhile goes too.
  for (let next = await nextOf(way, held, tried); next; next = await nextOf(way, held, tried)) {
    tried.add(next.key);
    try {
      const answer = await ask(next.path, next.body);
      // Something that is not our server says yes to everything.
      if (!answersTo(next, answer)) throw new NotNow('The answer was not one to this.');
      await noteMerged(next, answer);
      // A command stays until what is read shows it; the rest has nothing to show before the next reading.
      if (next.path === COMMANDS) await requeue({ ...next, sent: true });
      through.push(next.key);
      filed ||= next.path === FILING;
    } catch (error) {
      if (error instanceof NotNow) await later(next, held);
      else if (error instanceof NoSignal) break;
      else if (error instanceof Refusal) {
        await refused(next, error, held);
        quarrel = true;
      } else throw error;
    }
  }
  // Who is asked whose word holds must be shown the other one, or theirs goes out on top of what is no longer there.
  if (through.length > 0 || quarrel) await refresh();
  if (through.length > 0) {
    for (const s of await outbox()) if (through.includes(s.key) && !s.sent) await dequeue(s.key);
    others?.postMessage('written');
  }
  await mutate('outbox');
  // What was said about a plan while its filing waited may go its own way now.
  if (filed) await flushWay('deeds');
}

/** Answered, and nothing settled: it waits its turn again, and holds only what was made on top of it. */
async function later(sending: Queued, held: Set<string>): Promise<void> {
  const tries = (sending.tries ?? 0) + 1;
  await requeue({ ...sending, tries, notBefore: Date.now() + waitAfter(tries, sending) });
  const thing = holds(sending);
  if (thing) held.add(thing);
}

async function refused(
  sending: Queued,
  { status, title, faults, more }: Refusal,
  held: Set<string>,
): Promise<void> {
  const version = (more.current as Partial<Held> | undefined)?.version;
  const why = { status, title, faults, ...(typeof version === 'number' ? { version } : {}) };
  await requeue({ ...sending, refused: why });
  const thing = holds(sending);
  if (thing) held.add(thing);
}

/**
 * The thing that a write holds back when it is refused: what follows was made on top of a change. A deed stands by itself: “we’re
 * home” must not wait behind a check-in that was refused.
 */
const holds = ({ path, thing }: Queued) => (path === COMMANDS ? thing : undefined);

const FILING = '/api/plans';
const isDeed = ({ path }: Queued) => path.startsWith(`${FILING}/`);
/** A deed about a plan goes by its own way, unless the plan's own filing still waits. */
function wayOf(sending: Queued, waiting: Queued[]): Way {
  if (!isDeed(sending)) return 'rest';
  const filing = waiting.find((s) => s.path === FILING && !s.refused && s.id === sending.thing);
  return filing ? 'rest' : 'deeds';
}

/**
 * The first on its way that may go: neither sent nor refused, its wait over, and not behind a refused or waiting change of the
 * same thing.
 */
async function nextOf(way: Way, held: Set<string>, tried: Set<number>): Promise<Queued | undefined> {
  const waiting = (await outbox()).filter((s) => !s.sent && !tried.has(s.key));
  const now = Date.now();
  // A clock that was set back must not make a wait longer than the longest.
  const waits = ({ notBefore = 0 }: Queued) => notBefore > now && notBefore <= now + MOST_WAIT;
  for (const sending of waiting) {
    const thing = (sending.refused || waits(sending)) && holds(sending);
    if (thing) held.add(thing);
  }
  return waiting.find(
    (s) => !s.refused && !waits(s) && wayOf(s, waiting) === way && !(s.thing && held.has(s.thing)),
  );
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
  let version = Math.max(current?.version ?? 0, refused.refused?.version ?? 0);
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
