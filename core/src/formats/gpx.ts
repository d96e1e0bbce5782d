import { DOMParser, type Element } from '@xmldom/xmldom';
import { near } from '../chart/line';
import type { LatLon } from '../earth';
import { keepable } from '../model/keepable';
import { PLACE_KINDS } from '../model/lists';
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
 * GPX 1.1 (Topografix, the schema of 2004), in and out. 1.0 is read as well: its names for what we take are the same.
 * A file that brings a document type is refused, so that no entity is ever unfolded.
 */
export function readGpx(text: string): DrawingResult {
  if (text.length > MOST_TEXT) return refused(`The file is larger than ${MOST_TEXT / 1e6} MB.`);
  if (/<!DOCTYPE/i.test(text))
    return refused('The file brings a document type of its own (DOCTYPE), which no GPX file needs.');
  const root = parsed(text);
  if (typeof root === 'string') return refused(root);
  if (root.localName !== 'gpx') return refused(`This is no GPX file: it begins with “${root.localName}”.`);
  const left = counter();
  const read = (element: Element): NamedPoint[] => {
    const point = pointOf(element);
    if (!point) left.add('position');
    return point ? [point] : [];
  };
  const line = (element: Element, tag: string) => children(element, tag).flatMap(read);
  const drawing: Drawing = {
    ...emptyDrawing(),
    ...named(children(root, 'metadata')[0] ?? root),
    points: line(root, 'wpt'),
    routes: children(root, 'rte').map((rte) => ({ ...named(rte), points: line(rte, 'rtept') })),
    tracks: children(root, 'trk').flatMap((trk) =>
      children(trk, 'trkseg').map((part) => ({
        ...named(trk),
        points: line(part, 'trkpt').map(({ position }) => position),
      })),
    ),
  };
  return { ok: true, drawing: { ...drawing, leftOut: left.all() } };
}

const refused = (fault: string): DrawingResult => ({ ok: false, faults: [fault] });

function parsed(text: string): Element | string {
  let torn: string | undefined;
  try {
    const file = new DOMParser({
      onError: (level, message) => {
        if (level !== 'warning') torn ??= message;
      },
    }).parseFromString(text.replace(/^\uFEFF/, '').trimStart(), 'text/xml');
    const root = file.documentElement;
    if (torn === undefined && root) return root;
  } catch (error) {
    torn ??= error instanceof Error ? error.message : String(error);
  }
  const [first] = (torn ?? 'nothing is in it').split('\n');
  return `The file is torn, or no XML: ${first.slice(0, 120)}.`;
}

/** Elements of a name right below another. Walked once: the parser’s own lists are made anew at every look. */
function children(element: Element, tag: string): Element[] {
  const found: Element[] = [];
  for (let node = element.firstChild; node; node = node.nextSibling)
    if (node.nodeType === node.ELEMENT_NODE && (node as Element).localName === tag)
      found.push(node as Element);
  return found;
}

function textOf(element: Element, tag: string): string | undefined {
  const text = children(element, tag)[0]?.textContent?.trim();
  return text ? keepable(text) : undefined;
}

const named = (element: Element): { name?: string } => {
  const name = textOf(element, 'name')?.slice(0, LONGEST.name);
  return name ? { name } : {};
};
/** Letters of a name and of a note that are kept. */
const LONGEST = { name: 120, note: 4000 };

function pointOf(element: Element): NamedPoint | undefined {
  const position = positionFrom(element.getAttribute('lat'), element.getAttribute('lon'));
  if (!position) return undefined;
  const note = (textOf(element, 'desc') ?? textOf(element, 'cmt'))?.slice(0, LONGEST.note);
  const type = textOf(element, 'type');
  const kind = type && Object.hasOwn(PLACE_KINDS, type) ? (type as keyof typeof PLACE_KINDS) : undefined;
  return {
    position,
    ...named(element),
    ...(note ? { note } : {}),
    ...(kind ? { place: { kind } } : {}),
  };
}

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
