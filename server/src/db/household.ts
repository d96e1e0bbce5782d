import { household } from './schema';
import type { Db } from './open';

/** The one household of a laptop. A club's server will have many; every row names its own already. */
export const HOME = '01890000-0000-7000-8000-00000000ffff';

export async function ensureHousehold(db: Db, now: number): Promise<string> {
  await db
    .insert(household)
    .values({ id: HOME, name: 'Household', createdAt: new Date(now) })
    .onConflictDoNothing();
  return HOME;
}
