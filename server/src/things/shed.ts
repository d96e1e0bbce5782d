import { and, asc, eq, isNull } from 'drizzle-orm';
import {
  emptyShed,
  evolve,
  SHELF,
  type Conditions,
  type Shed,
  type ThingType,
  type Trip,
} from '@escale/core/model';
import { wallToInstant, type LatLon } from '@escale/core/earth';
import { forecastPlaces } from '@escale/core/water';
import { MS } from '@escale/core/units';
import { thing, tripConditions } from '../db/schema';
import type { Db } from '../db/open';
import type { Services } from '../services';

/** The whole shed of a household and its trips, as `core` wants them. */
export async function loadShed(db: Db, household: string): Promise<{ shed: Shed; trips: Trip[] }> {
  const rows = await db
    .select()
    .from(thing)
    .where(and(eq(thing.household, household), isNull(thing.deletedAt)))
    .orderBy(asc(thing.createdAt), asc(thing.id));
  const shed = emptyShed();
  const trips: Trip[] = [];
  for (const row of rows) {
    // Rows were validated when they were written; `evolve` brings an old one up to today.
    const doc = evolve(row.type as ThingType, row.doc, row.schema);
    if (row.type === 'trip') trips.push(doc as unknown as Trip);
    else if (Object.hasOwn(SHELF, row.type))
      (shed[SHELF[row.type as keyof typeof SHELF]] as unknown[]).push(doc);
  }
  return { shed, trips };
}

/** Hours before and after a trip's day for which weather is asked. */
const AROUND = 36 * MS.hour;

/**
 * Conditions of a trip: what was brought for it by hand, else the service's forecast for its water or its launch around its
 * day. With neither there are none, which is a finding.
 */
export async function conditionsOf(
  trip: Trip,
  shed: Shed,
  { weather, clock, db }: Asked,
  household?: string,
  /** So many days from the trip's own on. */
  days = 1,
): Promise<Conditions> {
  const [brought] =
    db && household
      ? await db
          .select()
          .from(tripConditions)
          .where(and(eq(tripConditions.trip, trip.id), eq(tripConditions.household, household)))
      : [];
  if (brought) return evolve('conditions', brought.doc, brought.schema) as Conditions;
  const water = shed.waters.find((w) => w.id === trip.water);
  const at = water?.forecastAt ?? shed.places.find((p) => p.id === trip.launch)?.position;
  if (!at || !weather) return {};
  // Only which days are asked for hangs on the zone; a day and a half around noon holds the day in every zone.
  const noon = wallToInstant(trip.leave.date, '12:00', water?.zone ?? 'UTC');
  if ('gap' in noon) return {};
  const ask = (position: LatLon) =>
    weather.forecast(position, noon.at - AROUND, noon.at + AROUND + (days - 1) * MS.day, clock.now());
  const forecast = await ask(at);
  if (!forecast) return {};
  const points = await Promise.all(
    forecastPlaces(trip, shed.places, at).map(async ({ name, position }) => {
      const told = await ask(position);
      return told && told.hours.length > 0 ? [{ name, position, hours: told.hours }] : [];
    }),
  );
  const all = points.flat();
  return { forecast: { ...forecast, position: at, ...(all.length > 0 ? { points: all } : {}) } };
}

type Asked = Pick<Services, 'weather' | 'clock'> & { db?: Db };
