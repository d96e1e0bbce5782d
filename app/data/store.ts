import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { keptAs } from './memory';
import { watched } from './watched';

/** A write on its way to the server, in the order in which it was made. */
export interface Sending {
  id: string;
  /** `POST` path below the origin. */
  path: string;
  body: unknown;
  /** The thing a command changes: those behind a refused one wait with it. */
  thing?: string;
  /** What a person is told it is. */
  said: string;
  madeAt: string;
  /** The server has it; it stays until what is read from there shows it. */
  sent?: true;
  /** How often it was answered with nothing that settles it, and when it is tried again (epoch ms). */
  tries?: number;
  notBefore?: number;
  /** Why the server would not take it. A person decides. */
  refused?: {
    status: number;
    title: string;
    faults: string[];
    /** The version that the server had then: what this page has read may be older still. */
    version?: number;
  };
}

interface Store extends DBSchema {
  /** The server's last good answer to each path, so that reading works with no signal. */
  kept: { key: string; value: { at: number; body: unknown } };
  outbox: { key: number; value: Sending };
  settings: { key: string; value: unknown };
}

let opening: Promise<IDBPDatabase<Store>> | undefined;

/** The one store on this device. Two tabs share it. */
export function store(): Promise<IDBPDatabase<Store>> {
  opening ??= openDB<Store>(keptAs('escale'), 1, {
    upgrade(db) {
      db.createObjectStore('kept');
      db.createObjectStore('outbox', { autoIncrement: true });
      db.createObjectStore('settings');
    },
    terminated() {
      opening = undefined;
    },
  });
  return opening;
}

export async function keep(path: string, body: unknown): Promise<void> {
  await (await store()).put('kept', { at: Date.now(), body }, path);
}

export async function kept(path: string): Promise<{ at: number; body: unknown } | undefined> {
  return (await store()).get('kept', path);
}

/** Answers that were kept go, but for these paths. */
export async function forget(but: readonly string[]): Promise<void> {
  const tx = (await store()).transaction('kept', 'readwrite');
  for (const path of await tx.store.getAllKeys()) if (!but.includes(path)) await tx.store.delete(path);
  await tx.done;
}

/** Of the answers whose paths begin alike only these stay. */
export async function keepOnly(begins: string, paths: readonly string[]): Promise<void> {
  const tx = (await store()).transaction('kept', 'readwrite');
  const all = await tx.store.getAllKeys(IDBKeyRange.bound(begins, `${begins}\uffff`));
  for (const path of all) if (!paths.includes(path)) await tx.store.delete(path);
  await tx.done;
}

/** Asks the browser not to clear our store when room is short. It may say no; nothing here counts on it. */
export async function keepStore(): Promise<void> {
  if (typeof navigator !== 'undefined') await navigator.storage?.persist?.();
}

/** Keys below zero are of what the store would not take: it lies in this page alone. */
export type Queued = Sending & { key: number };

/** What the store would not take, by its key; gone with the page. */
const unkept = new Map<number, Sending>();
let lastUnkept = 0;
/** What this page put into the store and nobody took out again: a store that was cleared is filled from it. */
const put = new Map<number, Sending>();
/** Stands in the store: one that was cleared has none, or another that a second page put there since. */
const MARK = 'here';
let mark: unknown;

export type Keeping = 'kept' | 'unkept' | 'cleared';
/** How it is with the store: does it keep what is written, or was it cleared under this page? */
const keeping = watched<Keeping>('kept');
export const keepingNow = keeping.now;
export const onKeeping = keeping.on;

export async function outbox(): Promise<Queued[]> {
  const loose = [...unkept].map(([key, sending]) => ({ ...sending, key }));
  try {
    await refillCleared();
    const mine = [...put.keys()];
    const tx = (await store()).transaction('outbox');
    const [keys, values] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()]);
    // What another page has sent or given up is nothing of this one's any more.
    for (const key of mine) if (!keys.includes(key)) put.delete(key);
    if (keeping.now() === 'cleared' && keys.length === 0) keeping.set('kept');
    return [...values.map((value, i) => ({ ...value, key: keys[i] })), ...loose];
  } catch (error) {
    // A browser without a store, or one that lost it: what this page knows is still sent.
    if (put.size + loose.length === 0) throw error;
    keeping.set('unkept');
    return [...[...put].map(([key, sending]) => ({ ...sending, key })), ...loose];
  }
}

/** Who clears the data of sites clears what waits to be said; each page that is open puts back what it knows, and tells. */
async function refillCleared(): Promise<void> {
  const db = await store();
  const found = await db.get('settings', MARK);
  if (found !== undefined && (mark === undefined || found === mark)) {
    mark = found;
    return;
  }
  const cleared = mark !== undefined;
  mark = found ?? crypto.randomUUID();
  if (found === undefined) await db.put('settings', mark, MARK);
  if (!cleared) return;
  for (const [key, sending] of [...put]) {
    put.delete(key);
    // Under a key of its own: another page may have put back something under the old one.
    put.set(await db.add('outbox', sending), sending);
  }
  keeping.set('cleared');
}

/** What the store does not take lies in this page alone, and that is told. */
export async function enqueue(sending: Sending): Promise<void> {
  try {
    const key = await (await store()).add('outbox', sending);
    put.set(key, sending);
    if (keeping.now() === 'unkept' && unkept.size === 0) keeping.set('kept');
  } catch (error) {
    console.warn('the store on this device takes nothing', error instanceof Error ? error.name : error);
    lastUnkept -= 1;
    unkept.set(lastUnkept, sending);
    keeping.set('unkept');
  }
}

export async function dequeue(key: number): Promise<void> {
  put.delete(key);
  if (!unkept.delete(key)) await tried((db) => db.delete('outbox', key));
}

export async function requeue({ key, ...sending }: Queued): Promise<void> {
  if (unkept.has(key)) {
    unkept.set(key, sending);
    return;
  }
  if (put.has(key)) put.set(key, sending);
  await tried((db) => db.put('outbox', sending, key));
}

/** What the store will not note is sent once more at worst, under the same id. */
async function tried(note: (db: IDBPDatabase<Store>) => Promise<unknown>): Promise<void> {
  try {
    await note(await store());
  } catch (error) {
    console.warn('the store on this device takes nothing', error instanceof Error ? error.name : error);
    keeping.set('unkept');
  }
}

export async function setting(key: string): Promise<unknown> {
  return (await store()).get('settings', key);
}

export async function setSetting(key: string, value: unknown): Promise<void> {
  await (await store()).put('settings', value, key);
}
