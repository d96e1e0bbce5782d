import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream, renameSync, rmSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { getTableName, is, sql, Table } from 'drizzle-orm';
import * as schema from '../db/schema';
import type { Db } from '../db/open';

/**
 * A copy of a whole memory: gzipped lines of JSON, a first that says what it is, a row of a table on each, a last with the
 * counts and a hash over all before it. Plain rows, so that a copy of a folder can be put into a PostgreSQL and the other way
 * round, and one of an older version into a newer one.
 */
const FORMAT = 1;
/** Rows read or written in one go: of photos they are fifty megabytes. */
const AT_ONCE = 200;

/** The tables in the order in which the schema names them. */
export const TABLES: string[] = Object.values(schema)
  .filter((value): value is Extract<(typeof schema)[keyof typeof schema], Table> => is(value, Table))
  // A code that was used since must not come back good.
  .filter((table) => table !== (schema.entryCode as Table))
  .map((table) => getTableName(table));
/** Tables that count their rows themselves. */
const COUNTED = { plan_event: 'seq', tick: 'seq', command: 'seq' } as const;

export type Counts = Record<string, number>;
interface First {
  escale: 'memory';
  format: number;
  at: string;
}
interface Last {
  counts: Counts;
  sha256: string;
}
type Line = { t: string; r: Record<string, unknown> };

/** What can't be taken as a copy, with what is wrong with it. */
export class CopyRefused extends Error {}

/** Every row of every table as of one instant, whatever is written meanwhile. */
async function* linesOf(db: Db, at: number, counts: Counts): AsyncGenerator<string> {
  const first: First = { escale: 'memory', format: FORMAT, at: new Date(at).toISOString() };
  yield JSON.stringify(first);
  for (const table of TABLES) {
    counts[table] = 0;
    await db.execute(
      sql`DECLARE copying CURSOR FOR SELECT row_to_json(one)::text AS r FROM ${sql.identifier(table)} one`,
    );
    for (let read = AT_ONCE; read === AT_ONCE;) {
      const { rows } = (await db.execute(sql.raw(`FETCH ${AT_ONCE} FROM copying`))) as unknown as {
        rows: { r: string }[];
      };
      read = rows.length;
      counts[table] += read;
      for (const { r } of rows) yield `{"t":${JSON.stringify(table)},"r":${r}}`;
    }
    await db.execute(sql`CLOSE copying`);
  }
}

/**
 * Write a copy of the memory to a file: beside its place first and forced to disk, then renamed, so that a copy is whole or not
 * there.
 * @returns how many rows of each table
 */
export async function writeCopy(db: Db, file: string, at: number): Promise<Counts> {
  const counts: Counts = {};
  const hash = createHash('sha256');
  // A name of its own: two that copy at one instant must not write into one file.
  const making = `${file}.${process.pid}-${randomUUID()}.making`;
  try {
    await db.transaction(
      async (tx) => {
        async function* text() {
          for await (const line of linesOf(tx as unknown as Db, at, counts)) {
            hash.update(`${line}\n`);
            yield `${line}\n`;
          }
          const last: Last = { counts, sha256: hash.digest('hex') };
          yield `${JSON.stringify(last)}\n`;
        }
        await pipeline(Readable.from(text()), createGzip(), createWriteStream(making, { mode: 0o600 }));
      },
      { isolationLevel: 'repeatable read', accessMode: 'read only' },
    );
    const written = await open(making, 'r+');
    await written.sync();
    await written.close();
    renameSync(making, file);
  } catch (error) {
    rmSync(making, { force: true });
    throw error;
  }
  return counts;
}

/**
 * Read a copy line by line and hold it against its own last line.
 * @param row called for each row, in order; absent where it is only to be checked
 * @throws CopyRefused when it is not one, is cut, or was changed
 */
export async function readCopy(
  file: string,
  row?: (table: string, row: Record<string, unknown>) => Promise<void>,
): Promise<{ at: string; counts: Counts }> {
  const hash = createHash('sha256');
  const counts: Counts = Object.fromEntries(TABLES.map((table) => [table, 0]));
  let first: First | undefined;
  let last: Last | undefined;
  const gunzip = createGunzip();
  const source = createReadStream(file);
  // What goes wrong in reading is told by the lines, which end.
  let broken: Error | undefined;
  const breaks = (error: Error) => {
    broken = error;
  };
  source.on('error', (error) => gunzip.destroy(error));
  gunzip.on('error', breaks);
  const whole = new Transform({ transform: (chunk, _, done) => done(null, chunk) });
  gunzip.on('error', () => whole.end());
  for await (const line of createInterface({ input: source.pipe(gunzip).pipe(whole), crlfDelay: Infinity })) {
    const said = parsed(line);
    if (!first) {
      first = firstOf(said);
    } else if ('t' in said) {
      if (last) throw new CopyRefused('Something follows the end of this copy.');
      const { t, r } = said as unknown as Line;
      if (!TABLES.includes(t))
        throw new CopyRefused(`This copy has rows of “${t}”, which is not known here.`);
      counts[t] += 1;
      await row?.(t, r);
    } else last = said as unknown as Last;
    if (!last) hash.update(`${line}\n`);
  }
  if (!first) throw new CopyRefused('This is no copy of a memory.');
  if (broken || !last) throw new CopyRefused('This copy is cut off: its end is missing.');
  if (last.sha256 !== hash.digest('hex')) throw new CopyRefused('This copy was changed since it was made.');
  return { at: first.at, counts };
}

function parsed(line: string): Record<string, unknown> {
  try {
    const said: unknown = JSON.parse(line);
    if (typeof said === 'object' && said !== null) return said as Record<string, unknown>;
  } catch {
    throw new CopyRefused('This is no copy of a memory, or a line of it is damaged.');
  }
  throw new CopyRefused('This is no copy of a memory.');
}

function firstOf(said: Record<string, unknown>): First {
  if (said.escale !== 'memory') throw new CopyRefused('This is no copy of a memory.');
  if (typeof said.format !== 'number' || said.format > FORMAT)
    throw new CopyRefused('A newer Escale made this copy: bring this one up to date first.');
  return said as unknown as First;
}

/** Put all rows of a copy into an empty memory, all of them or none. */
export async function fillFrom(db: Db, file: string): Promise<{ at: string; counts: Counts }> {
  return db.transaction(async (transaction) => {
    const tx = transaction as unknown as Db;
    for (const table of TABLES) {
      const { rows } = (await tx.execute(
        sql`SELECT count(*)::int AS n FROM ${sql.identifier(table)}`,
      )) as unknown as { rows: { n: number }[] };
      if (rows[0].n > 0)
        throw new CopyRefused('There is something in this memory already. A copy is put into an empty one.');
    }
    let table: string | undefined;
    let waiting: Record<string, unknown>[] = [];
    const put = async () => {
      if (table && waiting.length > 0) await insert(tx, table, waiting);
      waiting = [];
    };
    const read = await readCopy(file, async (t, row) => {
      if (t !== table || waiting.length >= AT_ONCE) await put();
      table = t;
      waiting.push(row);
    });
    await put();
    for (const [counted, column] of Object.entries(COUNTED))
      await tx.execute(
        sql`SELECT setval(pg_get_serial_sequence(${counted}, ${column}),
          GREATEST((SELECT max(${sql.identifier(column)}) FROM ${sql.identifier(counted)}), 1))`,
      );
    return read;
  });
}

/** Rows as they are; columns that a copy of before did not have keep what is usual. */
async function insert(tx: Db, table: string, rows: Record<string, unknown>[]): Promise<void> {
  const columns = sql.join(
    Object.keys(rows[0]).map((name) => sql.identifier(name)),
    sql`, `,
  );
  await tx.execute(
    sql`INSERT INTO ${sql.identifier(table)} (${columns}) SELECT ${columns}
        FROM json_populate_recordset(null::${sql.identifier(table)}, ${JSON.stringify(rows)}::json)`,
  );
}

/** Rows of each table as they are now. */
export async function countsOf(db: Db): Promise<Counts> {
  const counts: Counts = {};
  for (const table of TABLES) {
    const { rows } = (await db.execute(
      sql`SELECT count(*)::int AS n FROM ${sql.identifier(table)}`,
    )) as unknown as { rows: { n: number }[] };
    counts[table] = rows[0].n;
  }
  return counts;
}
