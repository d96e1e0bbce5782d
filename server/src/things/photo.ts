import { createHash } from 'node:crypto';
import { and, count, eq, inArray, lt, notExists, sql } from 'drizzle-orm';
import { bareJpeg } from '@escale/core/formats/jpeg';
import type { Bundle, Photo } from '@escale/core/model';
import { MOST_PHOTO_BYTES, MOST_PHOTOS } from '@escale/core/model/lists';
import { MS } from '@escale/core/units';
import { photo, thing } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';
import { Refusal } from '../refusal';

const hashOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

/**
 * A photo as it may be kept: a JPEG of its own hash, not too large, with nothing beside the picture. Whatever way it comes in.
 * @throws Refusal in words
 */
export function checkedPhoto({ hash, data }: Photo): { hash: string; data: string } {
  const bytes = Buffer.from(data, 'base64');
  if (bytes.length > MOST_PHOTO_BYTES)
    throw new Refusal('unfit', 'This photo is too large.', [
      `At most ${MOST_PHOTO_BYTES / 1000} kB are kept.`,
    ]);
  const bare = bareJpeg(bytes);
  if (!bare) throw new Refusal('unfit', 'This is no photo that can be kept.', ['Only JPEG pictures are.']);
  if (bare.length !== bytes.length)
    throw new Refusal('unfit', 'This photo holds more than its picture.', [
      'Where and by whom it was taken is left out before it is sent.',
    ]);
  if (hashOf(bytes) !== hash)
    throw new Refusal('unfit', 'This photo is not what it says it is.', ['Its hash is another.']);
  return { hash, data };
}

/** Kept once, however often it is sent. */
export async function keepPhoto(tx: Db, { household }: Principal, wanted: Photo, now: number): Promise<void> {
  const { hash, data } = checkedPhoto(wanted);
  const mine = eq(photo.household, household);
  const [known] = await tx
    .select({ hash: photo.hash })
    .from(photo)
    .where(and(mine, eq(photo.hash, hash)));
  if (known) return;
  const [{ n }] = await tx.select({ n: count() }).from(photo).where(mine);
  if (n >= MOST_PHOTOS && (await dropUnused(tx, household, now)) === 0)
    throw new Refusal('unfit', `${MOST_PHOTOS} photos are kept at most.`, ['Remove some first.']);
  await tx
    .insert(photo)
    .values({ household, hash, data, createdAt: new Date(now) })
    .onConflictDoNothing();
}

export async function photoOf(db: Db, { household }: Principal, hash: string): Promise<Photo | undefined> {
  const [row] = await db
    .select({ hash: photo.hash, data: photo.data })
    .from(photo)
    .where(and(eq(photo.household, household), eq(photo.hash, hash)));
  return row;
}

/** All photos of a household, for its bundle. */
export async function photosOf(db: Db, household: string): Promise<NonNullable<Bundle['photos']>> {
  const rows = await db
    .select({ hash: photo.hash, data: photo.data })
    .from(photo)
    .where(eq(photo.household, household));
  return Object.fromEntries(rows.map(({ hash, data }) => [hash, data]));
}

/** What was sent and is named by nothing yet may still be named by a change that is on its way: so long it stays. */
const STAYS = MS.day;

/**
 * Photos that no thing names any more go; those of things that were removed wait with them.
 * @param which these alone, at once; absent: all that have been here for a day
 * @returns how many went
 */
export async function dropUnused(
  tx: Db,
  household: string,
  now: number,
  which?: readonly string[],
): Promise<number> {
  const unused = notExists(
    tx
      .select({ one: sql`1` })
      .from(thing)
      .where(and(eq(thing.household, household), sql`${thing.doc} -> 'photos' ? ${photo.hash}`)),
  );
  const asked = which ? inArray(photo.hash, [...which]) : lt(photo.createdAt, new Date(now - STAYS));
  const gone = await tx
    .delete(photo)
    .where(and(eq(photo.household, household), asked, unused))
    .returning({ hash: photo.hash });
  return gone.length;
}
