import { DOMParser, type Element } from '@xmldom/xmldom';
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
 * GPX 1.1 (Topografix, the schema of 2004). 1.0 is read as well: its names for what we take are the same. `gpx-out` writes it.
 * A file that brings a document type is refused, so that no entity is ever unfolded.
 */
export function readGpx(text: string): DrawingResult {
  const root = rootOf(text);
  if (typeof root === 'string') return refused(root);
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

/** The root of a GPX file, or what is wrong with it. */
function rootOf(text: string): Element | string {
  if (text.length > MOST_TEXT) return `The file is larger than ${MOST_TEXT / 1e6} MB.`;
  if (/<!DOCTYPE/i.test(text))
    return 'The file brings a document type of its own (DOCTYPE), which no GPX file needs.';
  const root = parsed(text);
  if (typeof root === 'string') return root;
  return root.localName === 'gpx' ? root : `This is no GPX file: it begins with “${root.localName}”.`;
}

/** A point of a track with its instant, epoch ms. */
export interface TimedPoint {
  position: LatLon;
  at: number;
}

/** The points of all tracks of a GPX file that have a time, in the order of time, or what is wrong with the file. */
export function readTimes(text: string): TimedPoint[] | string {
  const root = rootOf(text);
  if (typeof root === 'string') return root;
  return children(root, 'trk')
    .flatMap((trk) => children(trk, 'trkseg'))
    .flatMap((part) => children(part, 'trkpt'))
    .flatMap((element): TimedPoint[] => {
      const position = positionFrom(element.getAttribute('lat'), element.getAttribute('lon'));
      const at = instantOf(textOf(element, 'time') ?? '');
      return position && Number.isFinite(at) ? [{ position, at }] : [];
    })
    .sort((a, b) => a.at - b.at);
}

/** An instant of XML Schema, epoch ms: without a zone it is UTC, as GPX has it, and not the zone of this device. */
function instantOf(text: string): number {
  const found = /^(\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(?:\.\d+)?)(Z|[+-]\d\d:\d\d)?$/.exec(text.trim());
  return found ? Date.parse(`${found[1]}${found[2] ?? 'Z'}`) : NaN;
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
