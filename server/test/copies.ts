import { sql, type SQL } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import type { Db } from '../src/db/open';

/**
 * Copies of a filed plan under other ids, overdue at an instant, or each at its own; of its household, or of several in turn.
 * @param bare without what they were computed from, which no page reads
 */
export async function copies(
  db: Db,
  of: string,
  n: number,
  at: number | ((i: number) => number),
  { club, households, bare = false }: { club?: string; households?: string[]; bare?: boolean } = {},
): Promise<string[]> {
  const due = Array.from({ length: n }, (_, i) =>
    new Date(typeof at === 'number' ? at : at(i)).toISOString(),
  );
  const ids = Array.from({ length: n }, () => uuid());
  const many = (values: string[], type: string) =>
    sql`${sql.param(`{${values.join(',')}}`)}::${sql.raw(type)}[]`;
  const made = sql`unnest(${many(ids, 'uuid')}, ${many(due, 'timestamptz')}) WITH ORDINALITY AS made (id, due, n)`;
  const whose = households
    ? sql`(${many(households, 'uuid')})[1 + (n % ${households.length})::int]`
    : sql`household`;
  const whole = (column: string) => (bare ? sql`'{}'::jsonb` : sql.identifier(column));
  await db.execute(sql`
    INSERT INTO plan (id, household, trip, title, zone, version, is_open, created_at, updated_at, club)
    SELECT made.id, ${whose}, gen_random_uuid(), 'plan ' || n, zone, 1, true, created_at, updated_at, ${club ?? null}::uuid
    FROM plan, ${made} WHERE plan.id = ${of}`);
  await db.execute(sql`
    INSERT INTO plan_version (plan, version, inputs, assessment, sheet, contacts, skipper, created_at, schema)
    SELECT made.id, 1, ${whole('inputs')}, ${whole('assessment')}, sheet, contacts, skipper, created_at, schema
    FROM plan_version, ${made} WHERE plan_version.plan = ${of}`);
  await db.execute(sql`
    INSERT INTO plan_event (id, plan, kind, at, data, hash, schema)
    SELECT gen_random_uuid(), made.id, kind, at, data, hash, schema
    FROM plan_event, ${made} WHERE plan_event.plan = ${of} AND kind = 'filed'`);
  await db.execute(sql`
    INSERT INTO deadline (id, plan, kind, due_at, is_open)
    SELECT gen_random_uuid(), made.id, 'overdue', made.due, true FROM ${made}`);
  return ids;
}

/** Rows on record are changed past the triggers that refuse it: to see what then happens. */
export const tamper = (db: Db, statement: SQL) =>
  db.transaction(async (tx) => {
    await tx.execute(sql`SET LOCAL ROLE NONE`);
    await tx.execute(sql`SET LOCAL session_replication_role = replica`);
    await tx.execute(statement);
  });
