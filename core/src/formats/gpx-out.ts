import { near } from '../chart/line';
import type { LatLon } from '../earth';
import type { NamedPoint } from './drawing';

// Apart from the reader: who only writes does not bring a parser along.

/** Only these five mean something in XML; what XML can’t hold at all is left out. */
const MEANS: Record<string, string> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&apos;',
};

const NEVER = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g;
const escaped = (text: string) => text.replace(NEVER, '').replace(/[&<>"']/g, (c) => MEANS[c]);

const element = (tag: string, text: string | undefined) => (text ? `<${tag}>${escaped(text)}</${tag}>` : '');
/** Seven decimals: a centimetre, and never an exponent. */
const degrees = (value: number) => value.toFixed(7);

export interface Timed extends NamedPoint {
  /** When one is there, epoch ms. */
  at?: number;
}

/** What is written: the points of a water, the ways of a trip with their hours. */
export interface GpxOut {
  name: string;
  /** When it was written, epoch ms. */
  at: number;
  points: NamedPoint[];
  routes: { name: string; points: Timed[] }[];
  tracks?: { name?: string; points: LatLon[] }[];
}

/** As GPX 1.1. The order of elements within a point is the schema’s: time, name, desc, type. */
export function writeGpx({ name, at, points, routes, tracks = [] }: GpxOut): string {
  const point = (tag: string, { position, name: called, note, place, at: then }: Timed) =>
    `<${tag} lat="${degrees(position.lat)}" lon="${degrees(near(position.lon, 0))}">` +
    element('time', then === undefined ? undefined : new Date(then).toISOString()) +
    element('name', called) +
    element('desc', note) +
    element('type', place?.kind) +
    `</${tag}>`;
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<gpx version="1.1" creator="Escale" xmlns="http://www.topografix.com/GPX/1/1"' +
      ' xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance"' +
      ' xsi:schemaLocation="http://www.topografix.com/GPX/1/1 http://www.topografix.com/GPX/1/1/gpx.xsd">',
    `<metadata>${element('name', name)}<time>${new Date(at).toISOString()}</time></metadata>`,
    ...points.map((p) => point('wpt', p)),
    ...routes.map(
      (route) =>
        `<rte>${element('name', route.name)}${route.points.map((p) => point('rtept', p)).join('')}</rte>`,
    ),
    ...tracks.map(
      (track) =>
        `<trk>${element('name', track.name)}<trkseg>` +
        `${track.points.map((position) => point('trkpt', { position })).join('')}</trkseg></trk>`,
    ),
    '</gpx>',
    '',
  ].join('\n');
}
