import rows from '../../data/water/streams.json';
import type { LatLon } from '../earth';
import type { StreamConstants } from '../model';
import { found, worded, type Found, type Named, type Worded } from './named-near';

/** Real current stations, carried along: each tells of the narrows or the channel in which it lies, and of nothing beside it. */
export type StreamFound = Named & Found;

/** Who made the constants, and by which way they came here. */
export const STREAMS_FROM = rows.attribution;
export const STREAMS_CARRIED = rows.stations.length;

const MM = 1000,
  TENTH = 10,
  PLACES = 1e4;
type Row = (string | number)[];
type Head = [id: string, name: string, where: string, lat: number, lon: number, zone: number];
const HEAD = 6;

interface Indexed extends Named, Worded {
  row: Row;
}
let index: Indexed[] | undefined;
const all = (): Indexed[] =>
  (index ??= (rows.stations as Row[]).map((row) => {
    const [id, name, where, lat, lon, zone] = row.slice(0, HEAD) as Head;
    const head = {
      id,
      name,
      where,
      zone: rows.zones[zone],
      position: { lat: lat / PLACES, lon: lon / PLACES },
    };
    return { ...head, ...worded(head), row };
  }));

/** Current stations by words and nearness. */
export const findStreams = (words: string, here: LatLon | undefined, most: number): StreamFound[] =>
  found(all(), words, here, most).map(({ row: _row, ...head }) => head);

/** A station as a water keeps it, or undefined for an id that is not carried. */
export function streamStation(id: string): StreamConstants | undefined {
  const one = all().find((head) => head.id === id);
  if (!one) return undefined;
  const [flood, ebb, mean, ...parts] = one.row.slice(HEAD) as number[];
  return {
    kind: 'constants',
    name: one.name,
    flood,
    ebb,
    mean: mean / MM,
    constituents: Array.from({ length: parts.length / 3 }, (_, i) => {
      const [name, amplitude, phase] = parts.slice(3 * i, 3 * i + 3);
      return { name: rows.constituents[name], amplitude: amplitude / MM, phase: (phase / TENTH) % 360 };
    }),
    station: { id, where: one.where, position: one.position, source: STREAMS_FROM },
  };
}
