import { and, asc, eq, gt, lt, ne } from 'drizzle-orm';
import type { Merged } from '@escale/core/model';
import { command, device, session } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';
import type { Command } from './command';

/**
 * What other devices had changed in a thing between what this one had in its hand and its own change. By what is on record, so
 * that a second sending of a change that was done hears the same.
 */
export async function mergedInto(
  db: Db,
  { household }: Principal,
  { id, thing, baseVersion, device: own, deed }: Command,
): Promise<Merged | undefined> {
  if (deed.kind !== 'patch') return undefined;
  const [mine] = await db.select({ version: command.version }).from(command).where(eq(command.id, id));
  if (!mine || mine.version <= baseVersion + 1) return undefined;
  const between = and(gt(command.version, baseVersion), lt(command.version, mine.version));
  const rows = await db
    .select({ by: command.device, touches: command.touches, called: session.name, named: device.name })
    .from(command)
    .leftJoin(session, and(eq(session.device, command.device), eq(session.household, household)))
    .leftJoin(device, eq(device.id, command.device))
    .where(and(eq(command.household, household), eq(command.thing, thing), between, ne(command.device, own)))
    .orderBy(asc(command.version), asc(session.createdAt));
  // Who began what was begun already changed nothing.
  const others = rows.filter(({ touches }) => touches.length > 0);
  if (others.length === 0) return undefined;
  // A device that came in more than once is called what it was called last.
  const names = new Map(others.map(({ by, called, named }) => [by, called ?? named ?? '']));
  return {
    by: [...new Set(names.values())].filter((name) => name !== ''),
    fields: [...new Set(others.flatMap(({ touches }) => touches))],
  };
}
