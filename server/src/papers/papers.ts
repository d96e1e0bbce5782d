import { alarmAt, asRead, sheetText } from '@escale/core/floatplan';
import { planCalendar } from '@escale/core/formats/calendar';
import { writeGpx, type Timed } from '@escale/core/formats/gpx-out';
import type { PlanView } from '@escale/core/model';
import type { PlanRow } from '../db/schema';
import type { Db } from '../db/open';
import { storedVersion, type Stored } from '../plans/stored';
import { viewPlan } from '../plans/view';
import { sheetPdf } from './sheet-pdf';

/** A file that is handed over. */
export interface Paper {
  type: string;
  name: string;
  body: string | Buffer;
}

/** What a plan is handed over as, by the end of its name. */
export const PAPERS = ['pdf', 'txt', 'gpx', 'geojson', 'ics'] as const;
export type PaperKind = (typeof PAPERS)[number];
export const isPaper = (kind: string): kind is PaperKind => (PAPERS as readonly string[]).includes(kind);

interface Asked {
  db: Db;
  row: PlanRow;
  now: number;
  /** With what is sealed in it. */
  whole: boolean;
}

/**
 * A plan as a file: the sheet as PDF and text, the way and the last known position as GPX and GeoJSON, the hours as iCalendar. It
 * is made of what was filed; nothing is reckoned again.
 */
export async function paperOf(kind: PaperKind, { db, row, now, whole }: Asked): Promise<Paper> {
  const view = await viewPlan(db, row, now);
  const name = `float-plan.${kind}`;
  if (kind === 'ics') return { type: 'text/calendar', name, body: planCalendar(view, now) };
  const sheet = asRead(view.sheet, whole);
  if (kind === 'txt') return { type: 'text/plain', name, body: sheetText(sheet) };
  if (kind === 'pdf') {
    const { times } = view;
    const hours = { home: times.home, overdue: times.overdue, alarm: alarmAt(times) };
    return { type: 'application/pdf', name, body: await sheetPdf(sheet, hours) };
  }
  const stored = await storedVersion(db, row.id, row.version);
  const way = wayOf(view, stored, whole);
  return kind === 'gpx'
    ? { type: 'application/gpx+xml', name, body: gpxOf(view, way, now) }
    : { type: 'application/geo+json', name, body: geoJsonOf(view, way) };
}

interface Way {
  route: Timed[];
  /** Everywhere that was sent from aboard, the last known last. */
  heard: Timed[];
}

/** The way with its hours; where it is sealed only the launch, and where they were heard from not at all. */
function wayOf({ events }: PlanView, stored: Stored | undefined, whole: boolean): Way {
  const trip = stored?.inputs.trip;
  const places = stored?.inputs.shed.places ?? [];
  const place = (id: string | undefined) => places.find((p) => p.id === id);
  const schedule = stored?.assessment.schedule;
  const launch = place(trip?.launch);
  const sealed = !whole && trip?.sealSpot === true;
  const legs = (schedule?.legs ?? []).flatMap(({ to, arrives }): Timed[] => {
    const at = place(to);
    return at ? [{ name: at.name, position: at.position, at: arrives }] : [];
  });
  const begin = launch && {
    name: launch.name,
    position: launch.position,
    ...(schedule ? { at: schedule.leave } : {}),
  };
  return {
    route: [...(begin ? [begin] : []), ...(sealed ? [] : legs)],
    heard: sealed ? [] : heardAt(events),
  };
}

const heardAt = (events: PlanView['events']): Timed[] =>
  events.flatMap(({ position, at, madeAt }) =>
    position ? [{ name: 'Heard from', position, at: Math.min(at, madeAt ?? at) }] : [],
  );

const LAST = 'Last known position';
/** The last that was heard, under its name. */
const lastKnown = (heard: Timed[]): Timed[] => heard.slice(-1).map((point) => ({ ...point, name: LAST }));

const gpxOf = ({ title }: PlanView, { route, heard }: Way, now: number) =>
  writeGpx({
    name: title,
    at: now,
    points: [...heard.slice(0, -1), ...lastKnown(heard)],
    routes: [{ name: title, points: route }],
  });

function geoJsonOf({ title }: PlanView, { route, heard }: Way): string {
  const at = ({ position }: Timed) => [position.lon, position.lat];
  const point = (one: Timed, what: string) => ({
    type: 'Feature',
    geometry: { type: 'Point', coordinates: at(one) },
    properties: {
      name: one.name,
      what,
      ...(one.at === undefined ? {} : { time: new Date(one.at).toISOString() }),
    },
  });
  const line =
    route.length > 1
      ? [
          {
            type: 'Feature',
            geometry: { type: 'LineString', coordinates: route.map(at) },
            properties: { name: title, what: 'way' },
          },
        ]
      : [];
  const features = [
    ...line,
    ...route.map((one) => point(one, 'place')),
    ...heard.slice(0, -1).map((one) => point(one, 'heard')),
    ...lastKnown(heard).map((one) => point(one, 'last-known')),
  ];
  return JSON.stringify({ type: 'FeatureCollection', name: title, features });
}
