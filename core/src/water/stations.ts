import rows from '../../data/water/stations.json';
import { distance, type LatLon } from '../earth';
import type { TideConstants, TideOffsets } from '../model';
import { MS } from '../units';

/**
 * Real tide stations, carried along: searched by name and nearness without any network. A station of its own constants, or one
 * whose turns are told from those of another.
 */

/** What a station is known by. */
export interface StationHead {
  id: string;
  name: string;
  where: string;
  zone: string;
  position: LatLon;
  by: 'constants' | 'offsets';
}

export interface StationFound extends StationHead {
  /** From where it was looked for, as far as that is known. Degrees true from there. */
  metres?: number;
  bearing?: number;
}

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

interface Indexed extends StationHead {
  row: Row;
  /** Words of its name and of where it lies, without accents, in small letters. */
  words: string[];
  named: number;
}
let index: Indexed[] | undefined;
const all = (): Indexed[] =>
  (index ??= [
    ...(rows.reference as Row[]).map((row) => indexed(row, 'constants')),
    ...(rows.offsets as Row[]).map((row) => indexed(row, 'offsets')),
  ]);
function indexed(row: Row, by: StationHead['by']): Indexed {
  const head = headOf(row, by);
  const name = wordsOf(head.name);
  return { ...head, row, words: [...name, ...wordsOf(head.where)], named: name.length };
}

/** Words as they are compared: without accents and case. */
const wordsOf = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** So far off in a rough plane, squared: enough to order by. */
function roughly(a: LatLon, b: LatLon): number {
  const turn = Math.abs(a.lon - b.lon);
  const east = Math.min(turn, 360 - turn) * Math.cos((((a.lat + b.lat) / 2) * Math.PI) / 180);
  return (a.lat - b.lat) ** 2 + east ** 2;
}

/**
 * Stations of whose name or place some word begins with each of those given; first those that are called just so, then those with
 * all of it in their name, then by nearness. Without words all, by nearness.
 * @param here from where it is asked; without it they stand in the order of their names
 * @param most how many
 */
export function findStations(words: string, here: LatLon | undefined, most: number): StationFound[] {
  const wanted = wordsOf(words);
  if (wanted.length === 0 && !here) return [];
  return all()
    .flatMap((one) => {
      const hits = wanted.map((word) => one.words.findIndex((has) => has.startsWith(word)));
      if (hits.includes(-1)) return [];
      const named = wanted.length > 0 && hits.every((hit) => hit < one.named);
      const whole = named && wanted.length === one.named && wanted.every((word) => one.words.includes(word));
      return [{ one, fits: Number(named) + Number(whole), far: here ? roughly(one.position, here) : 0 }];
    })
    .sort((a, b) => b.fits - a.fits || a.far - b.far || (a.one.name < b.one.name ? -1 : 1))
    .slice(0, most)
    .map(({ one: { row: _row, words: _words, named: _named, ...head } }) => ({
      ...head,
      ...(here ? distance(here, head.position) : {}),
    }));
}

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
