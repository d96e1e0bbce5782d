import { eq } from 'drizzle-orm';
import { BUNDLE_SCHEMA, schemaOf, SHELF, type Bundle, type ThingType } from '@escale/core/model';
import { thing, tripConditions } from '../db/schema';
import { stableJson } from '../stable-json';
import type { Db } from '../db/open';
import type { Principal } from '../principal';
import { Refusal } from '../refusal';
import { erasedOf } from '../things/erased';
import { conditionsOf, loadShed } from '../things/shed';
import { keepPhoto, photosOf } from '../things/photo';
import type { Services } from '../services';

/** The whole memory as a bundle, with the forecast of each trip that is still to come. */
export async function exportBundle(
  { db, clock, weather }: Pick<Services, 'db' | 'clock' | 'weather'>,
  { household }: Principal,
): Promise<Bundle> {
  const now = clock.now();
  const { shed, trips } = await loadShed(db, household);
  const conditions: NonNullable<Bundle['conditions']> = {};
  for (const trip of trips.filter((t) => t.status !== 'done'))
    conditions[trip.id] = await conditionsOf(trip, shed, { weather, clock, db }, household);
  const photos = await photosOf(db, household);
  return {
    escale: 'bundle',
    schema: BUNDLE_SCHEMA,
    asOf: new Date(now).toISOString(),
    shed,
    trips,
    conditions,
    ...(Object.keys(photos).length > 0 ? { photos } : {}),
  };
}

export interface Imported {
  added: number;
  changed: number;
  same: number;
  /** Left out: they were erased here for good. */
  erased: number;
}

/** All of a bundle or nothing. A thing that is here already is replaced when it differs, and said so. */
export async function importBundle(
  tx: Db,
  principal: Principal,
  bundle: Bundle,
  now: number,
): Promise<Imported> {
  const { household } = principal;
  const counts: Imported = { added: 0, changed: 0, same: 0, erased: 0 };
  const shelves = (Object.entries(SHELF) as [ThingType, keyof Bundle['shed']][]).flatMap(([type, shelf]) =>
    bundle.shed[shelf].map((doc) => ({ type, doc })),
  );
  const at = new Date(now);
  const all = [...shelves, ...bundle.trips.map((trip) => ({ type: 'trip' as const, doc: trip }))];
  const gone = await erasedOf(
    tx,
    all.map(({ doc }) => doc.id),
  );
  counts.erased = gone.size;
  for (const { type, doc } of all) {
    if (gone.has(doc.id)) continue;
    const [row] = await tx.select().from(thing).where(eq(thing.id, doc.id));
    if (row && (row.household !== household || row.type !== type))
      throw new Refusal('conflict', 'A thing with the same id belongs elsewhere. Nothing was changed.', [
        doc.id,
      ]);
    const values = {
      household,
      type,
      schema: schemaOf(type),
      doc: doc as Record<string, unknown>,
      updatedAt: at,
      deletedAt: null,
    };
    if (!row) {
      await tx.insert(thing).values({ ...values, id: doc.id, version: 1, createdAt: at });
      counts.added += 1;
    } else if (row.deletedAt || stableJson(row.doc) !== stableJson(doc)) {
      await tx
        .update(thing)
        .set({ ...values, version: row.version + 1 })
        .where(eq(thing.id, doc.id));
      counts.changed += 1;
    } else counts.same += 1;
  }
  // Things first: a photo that one of them names is in use.
  for (const [hash, data] of Object.entries(bundle.photos ?? {}))
    await keepPhoto(tx, principal, { hash, data }, now);
  await importConditions(
    tx,
    bundle.trips.filter((trip) => !gone.has(trip.id)),
    bundle,
    household,
    at,
  );
  return counts;
}

/** Forecasts that a bundle brings for its own trips are kept, and stand before any service's. What a stand-in made up stays with it. */
async function importConditions(
  tx: Db,
  trips: Bundle['trips'],
  { conditions }: Bundle,
  household: string,
  updatedAt: Date,
): Promise<void> {
  for (const trip of trips) {
    const doc = conditions?.[trip.id];
    if (!doc?.forecast || doc.forecast.invented) continue;
    const values = {
      household,
      doc: doc as Record<string, unknown>,
      schema: schemaOf('conditions'),
      updatedAt,
    };
    await tx
      .insert(tripConditions)
      .values({ trip: trip.id, ...values })
      .onConflictDoUpdate({ target: tripConditions.trip, set: values });
  }
}
