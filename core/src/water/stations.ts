import rows from '../../data/water/stations.json';
import type { LatLon } from '../earth';
import type { TideConstants, TideOffsets } from '../model';
import { MS } from '../units';
import { found, worded, type Found, type Named, type Worded } from './named-near';

/**
 * Real tide stations, carried along: searched by name and nearness without any network. A station of its own constants, or one
 * whose turns are told from those of another.
 */

/** What a station is known by. */
export interface StationHead extends Named {
  by: 'constants' | 'offsets';
}
export type StationFound = StationHead & Found;

/** Who made the constants, and by which way they came here: told wherever a station is. */
export const ATTRIBUTION = rows.attribution;

/** How many there are. */
export const CARRIED = rows.reference.length + rows.offsets.length;

const MM = 1000,
  TENTH = 10,
  PLACES = 1e4;
type Head = [id: string, name: string, where: string, lat: number, lon: number, zone: number];
const HEAD = 6;
type Row = (string | number)[];

const headOf = (row: Row, by: StationHead['by']): StationHead => {
  const [id, name, where, lat, lon, zone] = row.slice(0, HEAD) as Head;
  return { id, name, where, zone: rows.zones[zone], position: { lat: lat / PLACES, lon: lon / PLACES }, by };
};

interface Indexed extends StationHead, Worded {
  row: Row;
}
let index: Indexed[] | undefined;
const all = (): Indexed[] =>
  (index ??= [
    ...(rows.reference as Row[]).map((row) => indexed(row, 'constants')),
    ...(rows.offsets as Row[]).map((row) => indexed(row, 'offsets')),
  ]);
function indexed(row: Row, by: StationHead['by']): Indexed {
  const head = headOf(row, by);
  return { ...head, ...worded(head), row };
}

/**
 * Tide stations by words and nearness.
 * @param here from where it is asked; without it they stand in the order of their names
 * @param most how many
 */
export const findStations = (words: string, here: LatLon | undefined, most: number): StationFound[] =>
  found(all(), words, here, most).map(({ row: _row, ...head }) => head);

/** A station as a water keeps it, or undefined for an id that is not carried. */
export function stationOf(id: string): TideConstants | TideOffsets | undefined {
  const found = all().find((one) => one.id === id);
  if (!found) return undefined;
  return found.by === 'constants' ? constantsOf(found) : offsetsOf(found);
}

const refOf = ({ id, where, position }: StationHead) => ({ id, where, position, source: ATTRIBUTION });

function constantsOf(head: Indexed): TideConstants {
  const [z0, ...parts] = head.row.slice(HEAD) as number[];
  const constituents = Array.from({ length: parts.length / 3 }, (_, i) => {
    const [name, amplitude, phase] = parts.slice(3 * i, 3 * i + 3);
    return { name: rows.constituents[name], amplitude: amplitude / MM, phase: (phase / TENTH) % 360 };
  });
  return {
    kind: 'constants',
    name: head.name,
    datum: rows.datum,
    z0: z0 / MM,
    constituents,
    station: refOf(head),
  };
}

function offsetsOf(head: Indexed): TideOffsets {
  const [of, timeHigh, timeLow, high, low, ratio] = head.row.slice(HEAD) as number[];
  const minute = MS.minute / MS.second;
  return {
    kind: 'offsets',
    name: head.name,
    datum: rows.datum,
    of: constantsOf(all()[of]),
    high: { later: timeHigh * minute, height: high / MM },
    low: { later: timeLow * minute, height: low / MM },
    heights: ratio === 1 ? 'times' : 'plus',
    station: refOf(head),
  };
}
