import { sql } from 'drizzle-orm';
import type { Db } from './open';
import { codeOf } from './transact';

/**
 * The role under which everything is read and written once the tables are there. What is on record it may add to and read; to
 * change or remove it there is no right, whatever a statement says. Baring is done by two functions that can only take away.
 */
export const ROLE = 'escale_writes';

/** Said after every migration: tables that came since are in it, and a copy that was laid out elsewhere has it too. */
const RIGHTS = [
  `GRANT USAGE ON SCHEMA public TO ${ROLE}`,
  `GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO ${ROLE}`,
  `GRANT ALL ON ALL SEQUENCES IN SCHEMA public TO ${ROLE}`,
  `REVOKE UPDATE, DELETE, TRUNCATE ON plan_event, plan_version FROM ${ROLE}`,
  `REVOKE DELETE, TRUNCATE ON message FROM ${ROLE}`,
  `GRANT EXECUTE ON FUNCTION escale_bare_event(bigint), escale_bare_versions(uuid, integer) TO ${ROLE}`,
];
/** A role is of the whole database server: another Escale on it may have made it, or an administrator. */
const MADE = `DO $$ BEGIN IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = '${ROLE}') THEN
  CREATE ROLE ${ROLE} NOLOGIN; END IF; EXCEPTION WHEN duplicate_object OR unique_violation THEN NULL; END $$`;
/** What the database says to who may not. */
const REFUSED = '42501';

/**
 * Gives the role its rights. The caller owns the tables.
 * @returns may this connection take the role? Not where making one is refused to it and nobody gave it one
 */
export async function grantRights(db: Db): Promise<boolean> {
  try {
    await db.execute(sql.raw(MADE));
    for (const right of RIGHTS) await db.execute(sql.raw(right));
    if (await mayTake(db)) return true;
    await db.execute(sql.raw(`GRANT ${ROLE} TO CURRENT_USER`));
    return await mayTake(db);
  } catch (error) {
    if (codeOf(error) === REFUSED) return false;
    throw error;
  }
}

async function mayTake(db: Db): Promise<boolean> {
  try {
    await db.execute(sql.raw(`SET ROLE ${ROLE}`));
    await db.execute(sql`RESET ROLE`);
    return true;
  } catch (error) {
    if (codeOf(error) === REFUSED) return false;
    throw error;
  }
}

/** The one connection of a folder takes the role for good. Tidying is a right of its own. */
export const takeRole = async (db: Db): Promise<void> => {
  await grantRights(db);
  await db.execute(sql.raw(`GRANT MAINTAIN ON ALL TABLES IN SCHEMA public TO ${ROLE}`));
  await db.execute(sql.raw(`SET ROLE ${ROLE}`));
};
