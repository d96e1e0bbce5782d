import { createHash, randomBytes } from 'node:crypto';
import { and, eq, gt } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import { schemaOf, type GearItem, type Patch, type Person } from '@escale/core/model';
import { MS } from '@escale/core/units';
import { guestToken, thing } from '../db/schema';
import type { Db } from '../db/open';
import { transact } from '../db/transact';
import type { Principal } from '../principal';
import { reachesOthers } from '../reached';
import { Refusal } from '../refusal';
import type { Services } from '../services';
import { doCommand } from './command';

/** A link for a guest is good for so long. Class *common practice*. */
const GUEST_LIFE = 14 * MS.day;
const BYTES = 32;
/** The server's own device id for what a guest said. */
const GUEST_DEVICE = '01890000-0000-7000-8000-0000000000fe';

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');

/** A link by which one person says a few things of themselves, and nothing else. */
export async function guestLink(
  { db, clock, base }: Services,
  { household }: Principal,
  person: string,
): Promise<{ url: string; until: number; reaches: boolean }> {
  const [row] = await db
    .select({ id: thing.id, deletedAt: thing.deletedAt })
    .from(thing)
    .where(and(eq(thing.id, person), eq(thing.household, household), eq(thing.type, 'person')));
  if (!row || row.deletedAt) throw new Refusal('absent', 'This person is not in the shed.');
  const token = randomBytes(BYTES).toString('base64url');
  const now = clock.now();
  await db.insert(guestToken).values({
    hash: hashOf(token),
    household,
    person,
    createdAt: new Date(now),
    endsAt: new Date(now + GUEST_LIFE),
  });
  const url = `${base}/g/${token}`;
  return { url, until: now + GUEST_LIFE, reaches: reachesOthers(url) };
}

/** Whose link it is, while it is good. */
export async function guestOf(db: Db, token: string, now: number) {
  const [row] = await db
    .select()
    .from(guestToken)
    .where(and(eq(guestToken.hash, hashOf(token)), gt(guestToken.endsAt, new Date(now))));
  if (!row) return undefined;
  const [held] = await db
    .select()
    .from(thing)
    .where(and(eq(thing.id, row.person), eq(thing.household, row.household)));
  return held && !held.deletedAt ? { link: row, held, person: held.doc as unknown as Person } : undefined;
}

/** What a guest may say: of themselves, and of a jacket that they bring. */
export type GuestSays = Partial<
  Pick<Person, 'mass' | 'swimming' | 'weakArm' | 'medical' | 'medicalFor' | 'born' | 'phone'>
> & { jacket?: Pick<GearItem, 'kind'> & { minMass?: number; maxMass?: number } };

/**
 * What a guest said is written by the same gate as everything else; what they left empty stays as it was.
 * @throws Refusal where it can't be
 */
export async function guestSays(
  { db, clock }: Services,
  found: NonNullable<Awaited<ReturnType<typeof guestOf>>>,
  { jacket, ...says }: GuestSays,
): Promise<void> {
  const now = clock.now();
  const { household, person } = found.link;
  const patch = Object.entries(says).map(([field, value]): Patch => ({
    op: 'set',
    pointer: `/${field}`,
    value,
  }));
  await transact(db, async (tx) => {
    const [row] = await tx.select().from(thing).where(eq(thing.id, person)).for('update');
    if (patch.length > 0)
      await doCommand(
        tx,
        { household },
        {
          id: uuidv7(),
          device: GUEST_DEVICE,
          type: 'person',
          thing: person,
          baseVersion: row.version,
          schema: schemaOf('person'),
          deed: { kind: 'patch', patch: [...patch, ...noGuess(row.doc.basis, Object.keys(says))] },
        },
        now,
      );
    if (jacket) await bring(tx, household, person, found.person.name, jacket, now);
    await tx
      .update(guestToken)
      .set({ usedAt: new Date(now) })
      .where(eq(guestToken.hash, found.link.hash));
  });
}

/** What somebody says of themselves is no guess any more. */
const noGuess = (basis: unknown, fields: string[]): Patch[] =>
  fields
    .filter((field) => (basis as Record<string, unknown> | undefined)?.[`/${field}`] !== undefined)
    .map((field) => ({ op: 'unset', pointer: `/basis/~1${field}` }));

/** The jacket that they bring: another word of theirs changes it, and makes no second one. */
async function bring(
  tx: Db,
  household: string,
  person: string,
  name: string,
  jacket: NonNullable<GuestSays['jacket']>,
  now: number,
): Promise<void> {
  const things = await tx
    .select()
    .from(thing)
    .where(and(eq(thing.household, household), eq(thing.type, 'gear')));
  const mine = things.find(
    ({ doc, deletedAt }) => !deletedAt && doc.owner === person && String(doc.name).endsWith(BROUGHT),
  );
  const id = mine?.id ?? uuidv7();
  const command = {
    id: uuidv7(),
    device: GUEST_DEVICE,
    type: 'gear' as const,
    thing: id,
    schema: schemaOf('gear'),
  };
  const said = Object.entries(jacket);
  await doCommand(
    tx,
    { household },
    mine
      ? {
          ...command,
          baseVersion: mine.version,
          deed: {
            kind: 'patch',
            patch: said.map(([field, value]): Patch => ({ op: 'set', pointer: `/${field}`, value })),
          },
        }
      : {
          ...command,
          baseVersion: 0,
          deed: {
            kind: 'create',
            doc: {
              id,
              name: `${name.slice(0, 80)}${BROUGHT}`,
              count: 1,
              stowage: 'on-body',
              owner: person,
              state: 'unknown',
              ...jacket,
            },
          },
        },
    now,
  );
}
const BROUGHT = ', own jacket';
