import { eq } from 'drizzle-orm';
import { demoBundle } from '@escale/core/formats';
import { HOME } from '../db/household';
import { countAll } from '../db/open';
import { thing } from '../db/schema';
import { importBundle } from '../exchange/bundle';
import { filePlan } from '../plans/file';
import type { Services } from '../services';

/** The trip of the demo whose float plan is filed from the start, and that filing's id. */
const FILED = { trip: '01890000-0000-7000-8000-000000000056', id: '01890000-0000-7000-8000-0000000000fe' };

/** Put the demo in an empty memory, one of its trips filed; a memory with anything in it is left alone. */
export async function seedDemo(services: Services): Promise<boolean> {
  const { db, clock } = services;
  const home = { household: HOME };
  const [{ n }] = await db.select({ n: countAll }).from(thing).where(eq(thing.household, HOME));
  if (n > 0) return false;
  await db.transaction((tx) => importBundle(tx, home, demoBundle(clock.now()), clock.now()));
  await filePlan(services, home, FILED);
  return true;
}
