import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line } from 'react-native-svg';
import { stripOf, type AssessInput } from '@escale/core/trip';
import { usePalette } from '../../ui/theme';
import { DayStrip } from '../strip/day-strip';
import { BAND, xOf } from '../strip/draw';
import { useTrip } from '../trip/use-trip';

/** The native handle is this wide (`.over-strip` of the page), px: its middle, not its edge, comes to both ends of the axis. */
const HANDLE = 24;
const MARK = 4;

/**
 * The trip's own strip with what is typed so far, and an hour chosen on it: by a press, a drag or the arrows.
 * @param over what stands in place of the kept forecast and tide
 * @param rows where rows stand that can be read, epoch ms
 * @param step between two hours that can be chosen, ms
 */
export function StripHours({
  over,
  rows,
  at,
  step,
  label,
  said,
  onAt,
}: {
  over: Pick<AssessInput, 'trip' | 'shed' | 'conditions'>;
  rows: readonly number[];
  at: number;
  step: number;
  label: string;
  said: string;
  onAt: (at: number) => void;
}) {
  const { axis, reader } = useTrip();
  const [width, setWidth] = useState(0);
  if (!axis) return null;
  // Stops stand a step apart round the one that is chosen, wherever the axis begins.
  const first = axis.from + ((((at - axis.from) % step) + step) % step);
  const last = first + Math.floor((axis.until - first) / step) * step;
  const x = xOf(axis, Math.max(width, 1));
  return (
    <View onLayout={(event) => setWidth(Math.round(event.nativeEvent.layout.width))}>
      <DayStrip
        strip={stripOf(over, axis)}
        schedule={undefined}
        leave={undefined}
        departures={[]}
        reader={reader}
        small
      />
      <Marks axis={axis} width={width} rows={rows} at={at} />
      <input
        type="range"
        className="over-strip"
        aria-label={label}
        aria-valuetext={said}
        min={first}
        max={last}
        step={step}
        value={at}
        onChange={(event) => onAt(Number(event.currentTarget.value))}
        style={{
          position: 'absolute',
          top: 0,
          left: x(first) - HANDLE / 2,
          width: x(last) - x(first) + HANDLE,
          height: BAND.departures,
          margin: 0,
          cursor: 'pointer',
        }}
      />
    </View>
  );
}

/** Rows that are there, and the hour that is chosen. */
function Marks({
  axis,
  width,
  rows,
  at,
}: {
  axis: { from: number; until: number };
  width: number;
  rows: readonly number[];
  at: number;
}) {
  const p = usePalette();
  const x = xOf(axis, Math.max(width, 1));
  return (
    <Svg
      width={width}
      height={BAND.departures}
      aria-hidden
      style={{ position: 'absolute', top: 0, left: 0, pointerEvents: 'none' }}
    >
      <Line x1={x(at)} x2={x(at)} y1={BAND.legs} y2={BAND.axis} stroke={p.ink} strokeWidth={3} />
      {rows
        .filter((row) => row >= axis.from && row <= axis.until)
        .map((row) => (
          <Circle
            key={row}
            cx={x(row)}
            cy={BAND.axis}
            r={row === at ? MARK + 2 : MARK}
            fill={row === at ? p.ink : p.paper}
            stroke={p.ink}
            strokeWidth={2}
          />
        ))}
    </Svg>
  );
}
