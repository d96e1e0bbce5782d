import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { keptAs } from './memory';

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
  /** Why the server would not take it. A person decides. */
  refused?: { status: number; title: string; faults: string[] };
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

export type Queued = Sending & { key: number };

export async function outbox(): Promise<Queued[]> {
  const tx = (await store()).transaction('outbox');
  const [keys, values] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()]);
  return values.map((value, i) => ({ ...value, key: keys[i] }));
}

export async function enqueue(sending: Sending): Promise<void> {
  await (await store()).add('outbox', sending);
}

export async function dequeue(key: number): Promise<void> {
  await (await store()).delete('outbox', key);
}

export async function requeue({ key, ...sending }: Queued): Promise<void> {
  await (await store()).put('outbox', sending, key);
}

export async function setting(key: string): Promise<unknown> {
  return (await store()).get('settings', key);
}

export async function setSetting(key: string, value: unknown): Promise<void> {
  await (await store()).put('settings', value, key);
}
