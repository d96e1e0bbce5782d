import useSWR, { mutate } from 'swr';
import type { Merged, ThingType } from '@escale/core/model';
import { setSetting, setting, type Sending } from './store';
import { COMMANDS, type Command } from './things';

/** A change of this device that went in beside what others had changed meanwhile: told until somebody has read it. */
export interface MergedNote extends Merged {
  /** The command’s own id. */
  id: string;
  type: ThingType;
  thing: string;
  said: string;
}

const KEY = 'merged';
/** What nobody reads is not kept for ever. */
const MOST = 20;

/** What the store would not take is told by this page all the same. */
let loose: MergedNote[] | undefined;

async function notes(): Promise<MergedNote[]> {
  const kept = loose ?? (await setting(KEY).catch(() => undefined));
  return Array.isArray(kept) ? (kept as MergedNote[]) : [];
}

async function setNotes(all: MergedNote[]): Promise<void> {
  loose = await setSetting(KEY, all).then(
    () => undefined,
    () => all,
  );
  await mutate(KEY);
}

/** Notes what the server’s answer to a change says of others. */
export async function noteMerged({ id, path, body, said }: Sending, answer: unknown): Promise<void> {
  const { merged } = answer as { merged?: Merged };
  if (path !== COMMANDS || !merged) return;
  const { type, thing } = body as Command;
  const before = (await notes()).filter((note) => note.id !== id);
  await setNotes([...before, { id, type, thing, said, ...merged }].slice(-MOST));
}

export const useMerged = (): MergedNote[] => useSWR(KEY, notes).data ?? [];

/** They were read. */
export const readMerged = () => setNotes([]);
