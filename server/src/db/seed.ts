import { eq } from 'drizzle-orm';
import { demoBundle } from '@escale/core/formats';
import { importBundle } from '../api/exchange';
import { filePlan } from '../plans/file';
import type { Services } from '../services';
import { household, thing } from './schema';
import { countAll, type Db } from './open';

/** The one household of a laptop. A club's server will have many; every row names its own already. */
export const HOME = '01890000-0000-7000-8000-00000000ffff';

export async function ensureHousehold(db: Db, now: number): Promise<string> {
  await db
    .insert(household)
    .values({ id: HOME, name: 'Household', createdAt: new Date(now) })
    .onConflictDoNothing();
  return HOME;
}

/** The trip of the demo whose float plan is filed from the start, and that filing's id. */
const FILED = { trip: '01890000-0000-7000-8000-000000000056', id: '01890000-0000-7000-8000-0000000000fe' };

/** Put the demo in an empty memory, one of its trips filed; a memory with anything in it is left alone. */
export async function seedDemo(services: Services): Promise<boolean> {
  const { db, clock } = services;
  const [{ n }] = await db.select({ n: countAll }).from(thing).where(eq(thing.household, HOME));
  if (n > 0) return false;
  await db.transaction((tx) => importBundle(tx, demoBundle(clock.now()), HOME, clock.now()));
  await filePlan(services, FILED);
  return true;
}
