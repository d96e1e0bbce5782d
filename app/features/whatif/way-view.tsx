import { useMemo, useRef } from 'react';
import { View } from 'react-native';
import { Circle, G, Path } from 'react-native-svg';
import { distance, type LatLon } from '@escale/core/earth';
import type { Column } from '@escale/core/whatif';
import { usePalette } from '../../ui/theme';
import { LocalMap, pathOf, type Frame } from '../hold/local-map';
import { useTrip } from '../trip/use-trip';
import { cellOf, useTap } from './glance-view';
import { GLANCE } from './words';

/** Nothing is drawn nearer than this from the middle to the upper edge, metres; and air around the way. */
const LEAST = 300,
  AIR = 1.15;
const THICK = [2, 4, 6, 9] as const;

interface Props {
  columns: readonly Column[];
  here: LatLon | undefined;
  tracks: readonly (readonly LatLon[])[];
  onPick: (at: number) => void;
}

/** The way over the water, the thicker the worse, with where one is at the hour that is asked, and where things drift from there. */
export function WayView({ columns, here, tracks, onPick }: Props) {
  const p = usePalette();
  const { shed, trip } = useTrip();
  const box = useRef<View>(null);
  const frame = useRef<Frame>(undefined);
  const water = shed.waters.find(({ id }) => id === trip.water);
  const all = useMemo(
    () => [...columns.map((column) => column.here), ...(here ? [here] : []), ...tracks.flat()],
    [columns, here, tracks],
  );
  const centre = useMemo(() => middleOf(all), [all]);
  const stretches = useMemo(() => stretchesOf(columns), [columns]);
  useTap(box, (left, top) => {
    const put = frame.current?.put;
    if (!put) return;
    const near = columns
      .map(({ at, here: there }) => ({ at, far: Math.hypot(put(there).x - left, put(there).y - top) }))
      .sort((a, b) => a.far - b.far)[0];
    if (near) onPick(near.at);
  });
  if (!centre) return null;
  const radius = Math.max(LEAST, ...all.map((position) => distance(centre, position).metres * AIR));
  return (
    <View ref={box} style={{ cursor: 'pointer' } as object} testID="way">
      <LocalMap centre={centre} radius={radius} water={water} places={shed.places} label={GLANCE.map}>
        {(drawn) => {
          frame.current = drawn;
          const spot = here && drawn.put(here);
          return (
            <G>
              {stretches.map(({ grade, open, points, n }) => (
                <Path
                  key={n}
                  d={pathOf(points.map(drawn.put))}
                  fill="none"
                  stroke={[p.soft, p.water2, p.water1, p.ink][grade]}
                  strokeWidth={THICK[grade]}
                  strokeLinecap="round"
                  {...(open && grade > 0 ? { strokeDasharray: '1 6' } : {})}
                />
              ))}
              {tracks.map((track, i) => (
                <Path
                  key={i}
                  d={pathOf(track.map(drawn.put))}
                  fill="none"
                  stroke={p.ink}
                  strokeWidth={i === 0 ? 2.5 : 1.2}
                  strokeDasharray={i === 0 ? '7 4' : '2 4'}
                />
              ))}
              {spot ? (
                <>
                  <Circle cx={spot.x} cy={spot.y} r={8} fill={p.paper} stroke={p.ink} strokeWidth={2.5} />
                  <Circle cx={spot.x} cy={spot.y} r={3} fill={p.ink} />
                </>
              ) : null}
            </G>
          );
        }}
      </LocalMap>
    </View>
  );
}

/** The way in stretches that are alike: each goes on to where the next begins. */
function stretchesOf(columns: readonly Column[]) {
  const all: (ReturnType<typeof cellOf> & { n: number; points: LatLon[] })[] = [];
  for (const column of columns) {
    const cell = cellOf(column, undefined);
    const last = all.at(-1);
    last?.points.push(column.here);
    if (last?.grade !== cell.grade || last.open !== cell.open)
      all.push({ ...cell, n: column.n, points: [column.here] });
  }
  return all;
}

/** Halfway between the outermost; a trip is short beside the globe, and may lie across the date line. */
function middleOf(all: readonly LatLon[]): LatLon | undefined {
  const [first] = all;
  if (!first) return undefined;
  const east = all.map(({ lon }) => ((lon - first.lon + 540) % 360) - 180),
    north = all.map(({ lat }) => lat);
  const half = (of: number[]) => (Math.min(...of) + Math.max(...of)) / 2;
  return { lat: half(north), lon: ((first.lon + half(east) + 540) % 360) - 180 };
}
