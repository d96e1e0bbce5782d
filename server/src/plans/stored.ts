import { and, eq } from 'drizzle-orm';
import {
  evolve,
  type Assessment,
  type Conditions,
  type Sheet,
  type Shed,
  type Trip,
} from '@escale/core/model';
import { planVersion } from '../db/schema';
import type { Db } from '../db/open';
import type { Addressee } from './messages';

/** One version of a filed plan as it was stored: what it was reckoned from, what was said, who was told. */
export interface Stored {
  inputs: { trip: Trip; shed: Shed; conditions: Conditions; packs: Assessment['packs']; core: string };
  assessment: Assessment;
  sheet: Sheet;
  contacts: (Addressee & { id: string })[];
  skipper: string;
}

/** A stored version, grown to today while it is read. The row keeps the bytes that were filed. */
export async function storedVersion(db: Db, plan: string, version: number): Promise<Stored | undefined> {
  const [row] = await db
    .select()
    .from(planVersion)
    .where(and(eq(planVersion.plan, plan), eq(planVersion.version, version)));
  if (!row) return undefined;
  const { inputs, assessment, sheet, contacts, skipper, schema } = row;
  return evolve('plan-version', { inputs, assessment, sheet, contacts, skipper }, schema) as Stored;
}
