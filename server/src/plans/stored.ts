import { and, eq, inArray } from 'drizzle-orm';
import {
  evolve,
  type Assessment,
  type Conditions,
  type Sheet,
  type Shed,
  type Trip,
} from '@escale/core/model';
import { plan, planVersion } from '../db/schema';
import type { Db } from '../db/open';
import type { Addressee } from '../messages/write';

/** One version of a filed plan as it was stored: what it was reckoned from, what was said, who was told. */
export interface Stored extends Told {
  inputs: { trip: Trip; shed: Shed; conditions: Conditions; packs: Assessment['packs']; core: string };
  assessment: Assessment;
}

/** What pages and messages need of a version: the sheet and whom it was for, without all that it was reckoned from. */
export interface Told {
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

export interface ToldRow {
  plan: string;
  sheet: unknown;
  contacts: unknown;
  skipper: string;
  schema: number;
}

/** Of the version that holds, for many plans in one reading. */
export async function toldRows(db: Db, plans: string[]): Promise<Map<string, ToldRow>> {
  if (plans.length === 0) return new Map();
  const rows = await db
    .select({
      plan: planVersion.plan,
      sheet: planVersion.sheet,
      contacts: planVersion.contacts,
      skipper: planVersion.skipper,
      schema: planVersion.schema,
    })
    .from(planVersion)
    .innerJoin(plan, and(eq(plan.id, planVersion.plan), eq(plan.version, planVersion.version)))
    .where(inArray(planVersion.plan, plans));
  return new Map(rows.map((row) => [row.plan, row]));
}

/**
 * The part of a version that people see.
 * @throws Error when it is not there, or can't be read
 */
export function toldIn(row: ToldRow | undefined): Told {
  if (!row) throw new Error('a plan without the version that holds');
  const { sheet, contacts, skipper, schema } = row;
  return evolve('plan-version', { sheet, contacts, skipper }, schema) as unknown as Told;
}

/** Of the version that holds, or of a certain one. */
export async function toldOf(db: Db, id: string, version?: number): Promise<Told> {
  if (version === undefined) return toldIn((await toldRows(db, [id])).get(id));
  const stored = await storedVersion(db, id, version);
  if (!stored) throw new Error('a plan without a version that was filed');
  return stored;
}
