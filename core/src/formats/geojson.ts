import type { Feature, FeatureCollection, Geometry, Position } from 'geojson';
import { lineOf, near, pointsOf } from '../chart/line';
import type { LatLon } from '../earth';
import { keepable } from '../model/keepable';
import { HAZARDS, PLACE_KINDS, SEABEDS, SHORES } from '../model/lists';
import type { Chart, Place } from '../model';
import {
  counter,
  emptyDrawing,
  MOST_TEXT,
  positionFrom,
  type Drawing,
  type DrawingResult,
  type NamedPoint,
} from './drawing';

/**
 * GeoJSON (RFC 7946), in and out: points are places, areas are shore or depths, lines are ways or open shore. What an area is
 * stands in its properties: in ours (`escale`), in the tags of open map data (`natural`, `place`), or as the least depth of a
 * depth area (`DRVAL1`, the attribute of IHO S-57). Where none says it, it is left to be asked.
 */
export function readGeoJson(text: string): DrawingResult {
  if (text.length > MOST_TEXT) return refused(`The file is larger than ${MOST_TEXT / 1e6} MB.`);
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return refused(`This is no JSON: ${error instanceof Error ? error.message : String(error)}`);
  }
  const features = featuresOf(raw);
  if (!features) return refused('This is no GeoJSON: neither features nor a geometry are in it.');
  if (hasOtherDatum(raw))
    return refused('Its positions are in another datum or a national grid; degrees on WGS 84 are wanted.');
  const left = counter();
  const drawing = emptyDrawing();
  for (const feature of features) take(feature, drawing, left.add);
  const name = textOf((raw as { name?: unknown }).name);
  return { ok: true, drawing: { ...drawing, ...(name ? { name } : {}), leftOut: left.all() } };
}

const refused = (fault: string): DrawingResult => ({ ok: false, faults: [fault] });
type Add = ReturnType<typeof counter>['add'];

type Doc = Record<string, unknown>;
const isDoc = (value: unknown): value is Doc =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const list = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);
const textOf = (value: unknown): string | undefined =>
  typeof value === 'string' && value.trim() !== '' ? keepable(value.trim()).slice(0, 120) : undefined;

interface Found {
  geometry: Doc;
  properties: Doc;
}

function featuresOf(raw: unknown): Found[] | undefined {
  if (!isDoc(raw)) return undefined;
  if (raw.type === 'FeatureCollection') return list(raw.features).filter(isDoc).flatMap(featureOf);
  if (raw.type === 'Feature') return featureOf(raw);
  return typeof raw.type === 'string' && (Array.isArray(raw.coordinates) || Array.isArray(raw.geometries))
    ? parts(raw).map((geometry) => ({ geometry, properties: {} }))
    : undefined;
}

function featureOf({ type, geometry, properties }: Doc): Found[] {
  if (type !== 'Feature' || !isDoc(geometry)) return [];
  return parts(geometry).map((part) => ({
    geometry: part,
    properties: isDoc(properties) ? properties : {},
  }));
}

/** A collection, and what is called Multi, as its parts. One level: a collection within a collection is nobody’s chart. */
function parts(geometry: Doc): Doc[] {
  const single = typeof geometry.type === 'string' && /^Multi(\w+)$/.exec(geometry.type)?.[1];
  if (single) return list(geometry.coordinates).map((coordinates) => ({ type: single, coordinates }));
  return geometry.type === 'GeometryCollection' ? list(geometry.geometries).filter(isDoc) : [geometry];
}

/** The standard of before had a member for it; only degrees on WGS 84 are meant when it is absent. */
function hasOtherDatum(raw: unknown): boolean {
  const crs = isDoc(raw) && isDoc(raw.crs) && isDoc(raw.crs.properties) ? raw.crs.properties.name : undefined;
  return typeof crs === 'string' && !/CRS84|EPSG::?4326$/i.test(crs);
}

function take({ geometry, properties }: Found, into: Drawing, leave: Add): void {
  const { type, coordinates } = geometry;
  if (type === 'Point') {
    const position = positionIn(coordinates);
    if (position) into.points.push({ position, ...wordsOf(properties) });
    else leave('position');
  } else if (type === 'LineString') takeLine(coordinates, properties, into, leave);
  else if (type === 'Polygon') takeArea(coordinates, properties, into, leave);
  else leave('kind');
}

/** A line that was drawn across the antimeridian may count on beyond 180°, which the standard advises against and many do. */
const positionIn = (coordinates: unknown) => {
  const [lon, lat] = list(coordinates);
  return positionFrom(lat, typeof lon === 'number' && Math.abs(lon) <= 360 ? near(lon, 0) : lon);
};

/** The positions of a line, or undefined where one of them is none: a line with a hole in it is another line. */
function line(coordinates: unknown, leave: Add): LatLon[] | undefined {
  const points = list(coordinates).map(positionIn);
  const whole = points.filter((p) => p !== undefined);
  if (whole.length < points.length) {
    leave('position', points.length - whole.length);
    return undefined;
  }
  if (whole.length > 1) return whole;
  leave('short');
  return undefined;
}

function takeLine(coordinates: unknown, properties: Doc, into: Drawing, leave: Add): void {
  const points = line(coordinates, leave);
  if (!points) return;
  if (properties.escale === 'shore' || properties.natural === 'coastline')
    into.shore.push({ rings: [lineOf(points)] });
  else into.tracks.push({ ...nameOf(properties), points });
}

function takeArea(coordinates: unknown, properties: Doc, into: Drawing, leave: Add): void {
  const rings = list(coordinates).map((ring) => line(ring, leave));
  const [outer] = rings;
  // Without its outer ring its holes are nothing.
  if (!outer) return;
  const lines = rings.flatMap((ring) => (ring ? [lineOf(ring)] : []));
  const least = depthOf(properties);
  if (least !== undefined) return void into.depths.push({ least, rings: lines });
  const inside = sideOf(properties);
  if (inside) into.shore.push({ inside, rings: lines });
  else into.areas.push({ ...nameOf(properties), rings: lines });
}

function depthOf({ escale, least, DRVAL1: charted }: Doc): number | undefined {
  const depth = escale === 'depth' ? least : charted;
  return typeof depth === 'number' && depth >= DEPTHS.least && depth <= DEPTHS.most ? depth : undefined;
}
const DEPTHS = { least: -20, most: 2000 };

const LAND: ReadonlySet<unknown> = new Set(['island', 'islet', 'peninsula']);
const WET: ReadonlySet<unknown> = new Set(['water', 'bay', 'strait']);
function sideOf({ escale, inside, natural, place, water }: Doc): 'land' | 'water' | undefined {
  if (escale === 'shore') return inside === 'water' ? 'water' : 'land';
  if (LAND.has(place) || natural === 'coastline' || natural === 'land') return 'land';
  return WET.has(natural) || water !== undefined ? 'water' : undefined;
}

const nameOf = ({ name }: Doc): { name?: string } => {
  const text = textOf(name);
  return text ? { name: text } : {};
};

/** What is told of a point: our own words where they are there, else its name and its description. */
function wordsOf(properties: Doc): Omit<NamedPoint, 'position'> {
  const note = [properties.rules, properties.description, properties.desc].find((n) => typeof n === 'string');
  const one = <W extends object>(words: W, value: unknown) =>
    typeof value === 'string' && Object.hasOwn(words, value) ? (value as keyof W) : undefined;
  const number = (value: unknown) =>
    typeof value === 'number' && Number.isFinite(value) ? value : undefined;
  const place = known({
    kind: one(PLACE_KINDS, properties.kind),
    hazard: one(HAZARDS, properties.hazard),
    shore: one(SHORES, properties.shore),
    seabed: one(SEABEDS, properties.seabed),
    depth: number(properties.depth),
    reach: number(properties.reach),
    clearance: number(properties.clearance),
  });
  return {
    ...nameOf(properties),
    ...(note === undefined ? {} : { note: keepable(note.slice(0, 4000)) }),
    ...(Object.keys(place).length > 0 ? { place } : {}),
  };
}

const known = <D extends object>(doc: D): { [K in keyof D]?: Exclude<D[K], undefined> } =>
  Object.fromEntries(Object.entries(doc).filter(([, value]) => value !== undefined)) as D;

/** What is written of a water. */
export interface GeoJsonOut {
  name: string;
  places: Place[];
  chart?: Chart | undefined;
  routes: { name: string; points: LatLon[] }[];
}

/**
 * As a collection of features that RFC 7946 allows: rings closed, outer ones against the clock. Lines across the antimeridian
 * count on beyond 180° instead of being cut, so that they stay one.
 */
export function writeGeoJson({ name, places, chart, routes }: GeoJsonOut): string {
  const features: Feature[] = [
    ...(chart?.shore ?? []).map(({ inside, rings }) =>
      feature(inside ? polygon(rings) : { type: 'MultiLineString', coordinates: rings.map(open) }, {
        escale: 'shore',
        ...(inside ? { inside } : {}),
      }),
    ),
    ...(chart?.depths ?? []).map(({ least, rings }) => feature(polygon(rings), { escale: 'depth', least })),
    ...routes.map((route) =>
      feature({ type: 'LineString', coordinates: route.points.map(coordinate) }, { name: route.name }),
    ),
    ...places.map(({ id: _, water: __, basis: ___, position, ...place }) =>
      feature({ type: 'Point', coordinates: coordinate(position) }, { escale: 'place', ...place }),
    ),
  ];
  const whole: FeatureCollection & { name: string } = { type: 'FeatureCollection', name, features };
  return `${JSON.stringify(whole)}\n`;
}

const feature = (geometry: Geometry, properties: Doc): Feature => ({ type: 'Feature', geometry, properties });
const coordinate = ({ lat, lon }: LatLon): Position => [near(lon, 0), lat];
const open = (text: string): Position[] => pointsOf(text).map(({ lat, lon }) => [lon, lat]);

/** The outer ring against the clock, its holes with it. */
function polygon(rings: string[]): Geometry {
  return {
    type: 'Polygon',
    coordinates: rings.map((text, i) => {
      const ring = open(text);
      const closed = [...ring, ring[0]];
      return areaOf(closed) > 0 === (i === 0) ? closed : closed.toReversed();
    }),
  };
}

/** Twice the area of a ring in square degrees, positive against the clock. */
const areaOf = (ring: Position[]) =>
  ring.slice(1).reduce((sum, [x, y], i) => sum + ring[i][0] * y - x * ring[i][1], 0);
