import type { RiverStage, StreamHours, StreamStation, StreamTurns, Water } from '../model';
import type { SourceId } from '../sources';
import type { LatLon } from '../earth';
import { HOUR, MS } from '../units';
import { guessed } from '../verdict';
import type { Flow } from './conditions';
import { heights } from './harmonic';
import { WATER } from './limits';
import type { Tide, TideExtreme } from './tide';

/** A stream that can be asked: it stands for the whole of its water. Instants epoch ms. */
export interface Stream {
  name: string;
  source: SourceId;
  /** Where it was measured, as far as that was said. */
  position?: LatLon;
  /** m/s, and degrees true towards which it goes; undefined where nothing says it. */
  at(at: number): Flow | undefined;
}

/** Streams by station, and by the tide whose high waters they follow. */
const streams = new WeakMap<StreamStation, { tide: Tide | undefined; stream: Stream }>();

/** The stream of a water: by its station, or as a river runs. */
export function streamOf(water: Water | undefined, tide: Tide | undefined): Stream | undefined {
  const station = water?.stream;
  if (!station)
    return water && RIVER.some((field) => guessed(water, field)) ? undefined : riverOf(water?.stage);
  let known = streams.get(station);
  if (known?.tide !== tide || !known) streams.set(station, (known = { tide, stream: made(station, tide) }));
  return known.stream;
}

function made(station: StreamStation, tide: Tide | undefined): Stream {
  const { name } = station;
  if (station.kind === 'hours')
    return { name, source: 'stream-hours', at: tide ? byHours(station, tide) : () => undefined };
  if (station.kind === 'turns') return { name, source: 'stream-turns', at: byTurns(station) };
  const speedAt = heights({ z0: station.mean, constituents: station.constituents });
  return {
    name,
    source: 'stream-constants',
    ...(station.station ? { position: station.station.position } : {}),
    at: (at) => towards(speedAt(at), station),
  };
}

/** A guess of these is no stream. */
const RIVER = ['/stage', '/stage/speed', '/stage/downstream'];

/** Seen by eye on a day: it runs on as it was. One that stands needs nobody to say which way. */
function riverOf(stage: RiverStage | undefined): Stream | undefined {
  if (stage?.speed === undefined || (stage.downstream === undefined && stage.speed > 0)) return undefined;
  const flow = { speed: stage.speed, direction: stage.downstream ?? 0 };
  return { name: '', source: 'your-word', at: () => flow };
}

const towards = (speed: number, { flood, ebb }: { flood: number; ebb: number }): Flow => ({
  speed: Math.abs(speed),
  direction: speed >= 0 ? flood : ebb,
});

/** Turns of a stream further apart than this have something between them. */
const APART = WATER.limit('stream-apart') * MS.second;

/**
 * Between slack and strongest by a quarter of a sine: v = v_max·sin(½π·t/T), source `stream-turns`. Two rows that are both slack, or
 * both strong, have one missing between them: nothing is known there.
 * @example slack, then 1.5 m/s after three hours: 0.75 m/s after one, 1.30 after two
 */
function byTurns(station: StreamTurns): Stream['at'] {
  const rows = station.rows
    .map(({ at, speed }) => ({ at: Date.parse(at), speed }))
    .sort((a, b) => a.at - b.at);
  return (at) => {
    const next = rows.findIndex((row) => row.at >= at);
    if (next < 0) return undefined;
    const b = rows[next];
    if (b.at === at) return towards(b.speed, station);
    const a = rows[next - 1];
    if (!a || b.at - a.at > APART || (a.speed === 0) === (b.speed === 0)) return undefined;
    const part = (at - a.at) / (b.at - a.at);
    const share = a.speed === 0 ? Math.sin((part * Math.PI) / 2) : Math.cos((part * Math.PI) / 2);
    return towards((a.speed === 0 ? b.speed : a.speed) * share, station);
  };
}

/** Before and after an instant high waters are looked for so far. */
const AROUND = 14 * MS.hour;
/** An hour of the table, ms. */
const ONE = HOUR * MS.second;

/** By the hours of a table around the nearest high water, between two of its rows by components, between neaps and springs by range. */
function byHours(station: StreamHours, tide: Tide): Stream['at'] {
  const rows = new Map(station.rows.map((row) => [row.hour, row]));
  return (at) => {
    const turns = tide.extremes(at - AROUND, at + AROUND);
    const [high] = turns
      .filter(({ high: is }) => is)
      .sort((a, b) => Math.abs(a.at - at) - Math.abs(b.at - at));
    if (!high) return undefined;
    const hour = (at - high.at) / ONE;
    const [a, b] = [rows.get(Math.floor(hour)), rows.get(Math.ceil(hour))];
    if (!a || !b) return undefined;
    const spring = springness(station, high, turns);
    const [east, north] = [Math.sin, Math.cos].map((axis) => {
      const part = hour - Math.floor(hour);
      const along = (row: StreamHours['rows'][number]) =>
        speedOf(row, spring) * axis((row.direction * Math.PI) / 180);
      return along(a) + part * (along(b) - along(a));
    });
    const direction = (Math.atan2(east, north) * 180) / Math.PI;
    return { speed: Math.hypot(east, north), direction: (direction + 360) % 360 };
  };
}

/**
 * How near to springs a tide is by its range, from its high water to the mean of the lows beside it: 0 at neaps, 1 at springs,
 * no more than a fifth beyond.
 */
function springness(
  { springRange, neapRange }: StreamHours,
  high: TideExtreme,
  turns: readonly TideExtreme[],
): number {
  if (springRange === undefined || neapRange === undefined || springRange <= neapRange) return 1;
  const lows = turns
    .filter(({ high: is, at }) => !is && Math.abs(at - high.at) <= AROUND)
    .sort((a, b) => Math.abs(a.at - high.at) - Math.abs(b.at - high.at))
    .slice(0, 2);
  if (lows.length === 0) return 1;
  const low = lows.reduce((sum, { height }) => sum + height, 0) / lows.length;
  return Math.max(0, Math.min(BEYOND, (high.height - low - neapRange) / (springRange - neapRange)));
}
const BEYOND = 1.2;

const speedOf = ({ springs, neaps }: StreamHours['rows'][number], spring: number) =>
  neaps === undefined ? springs : Math.max(0, neaps + spring * (springs - neaps));
