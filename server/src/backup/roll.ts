import { existsSync, linkSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { MS } from '@escale/core/units';
import type { Db } from '../db/open';
import { writeCopy, type Counts } from './copy';

/**
 * Rolling copies: one each hour for a day, one each day for a week, one each week for five. Class *common practice*; a copy is
 * a few MB. A day's or a week's copy is the first of that day or week.
 */
const KEPT = { hourly: 24, daily: 7, weekly: 5 } as const;
type Kind = keyof typeof KEPT;
const EVERY: Record<Kind, number> = { hourly: MS.hour, daily: MS.day, weekly: 7 * MS.day };
/** A copy older than this is red. */
export const STALE = 26 * MS.hour;

const END = '.ndjson.gz';
const nameOf = (kind: Kind, at: number) =>
  `${kind}-${new Date(Math.floor(at / EVERY[kind]) * EVERY[kind]).toISOString().slice(0, 13)}${END}`;

/** Copies in a folder, the oldest first. */
export const copiesIn = (folder: string, kind?: Kind): string[] =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => name.endsWith(END) && (kind === undefined || name.startsWith(`${kind}-`)))
        .sort((a, b) => a.slice(a.indexOf('-')).localeCompare(b.slice(b.indexOf('-'))))
    : [];

/** When the latest copy was made, epoch ms by this machine's clock. */
export function latestCopy(folder: string): number | undefined {
  const times = copiesIn(folder).map((name) => statSync(join(folder, name)).mtimeMs);
  return times.length > 0 ? Math.max(...times) : undefined;
}

/** A copy that somebody asks for: it lies beside the rolling ones, and none of them goes for it. */
export async function copyNow(db: Db, folder: string, at: number): Promise<{ file: string; counts: Counts }> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, `asked-${new Date(at).toISOString().replace(/[:.]/g, '-')}${END}`);
  return { file, counts: await writeCopy(db, file, at) };
}

/** The copy of this hour, where it is not there yet; it stands for its day and week too, and what is old enough goes. */
export async function roll(db: Db, folder: string, at: number): Promise<string | undefined> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const hourly = join(folder, nameOf('hourly', at));
  if (existsSync(hourly)) return undefined;
  await writeCopy(db, hourly, at);
  for (const kind of ['daily', 'weekly'] as const) {
    const name = join(folder, nameOf(kind, at));
    if (!existsSync(name)) linkSync(hourly, name);
  }
  for (const kind of Object.keys(KEPT) as Kind[])
    for (const old of copiesIn(folder, kind).slice(0, -KEPT[kind])) rmSync(join(folder, old));
  return hourly;
}
