import { eq } from 'drizzle-orm';
import { demoBundle } from '@escale/core/formats';
import { importBundle } from '../api/exchange';
import { household, thing } from './schema';
import { countAll, type Db } from './open';

/** The one household of a laptop. A club's server will have many; every row names its own already. */
export const HOME = '01890000-0000-7000-8000-00000000ffff';

export async function ensureHousehold(db: Db, now: number): Promise<string> {
  await db.insert(household).values({ id: HOME, name: 'Household', createdAt: new Date(now) }).onConflictDoNothing();
  return HOME;
}

/** Put the demo in an empty memory; a memory with anything in it is left alone. */
export async function seedDemo(db: Db, now: number): Promise<boolean> {
  const [{ n }] = await db.select({ n: countAll }).from(thing).where(eq(thing.household, HOME));
  if (n > 0) return false;
  await db.transaction((tx) => importBundle(tx, demoBundle(now), HOME, now));
  return true;
}
