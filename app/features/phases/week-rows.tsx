import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { civilDate, plusDays, wallToInstant } from '@escale/core/earth';
import { LEVELS } from '@escale/core/model/lists';
import { WINDOW_STEP, type LeavingWindow } from '@escale/core/trip/windows';
import { MS } from '@escale/core/units';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FONT, SIZE } from '../../ui/tokens';
import { useTrip } from '../trip/use-trip';
import { WEEK } from './words';

const TALL = 34,
  GAP = 10,
  LEFT = 86,
  AXIS = 20;
/** Hours that are written on the axis. */
const HOURS = [0, 6, 12, 18];

/** A row a day, a block a window: the taller, the worse; what is open is only drawn in outline. */
export function WeekRows({ windows, zone }: { windows: LeavingWindow[]; zone: string }) {
  const p = usePalette();
  const { says } = useTrip();
  const [width, setWidth] = useState(0);
  const first = civilDate(windows[0].from, zone),
    last = civilDate(windows[windows.length - 1].until, zone);
  const days: string[] = [];
  for (let day = first; day <= last; day = plusDays(day, 1)) days.push(day);
  const starts = days.map((day) => startOf(day, zone));
  const across = Math.max(0, width - LEFT - 8);
  const x = (ms: number) => (ms / MS.day) * across;
  const height = (level: LeavingWindow['worst']) =>
    ((LEVELS.length - LEVELS.indexOf(level)) / LEVELS.length) * TALL;
  const tall = days.length * (TALL + GAP) + AXIS;
  return (
    <View style={{ gap: 4 }} onLayout={(e) => setWidth(Math.round(e.nativeEvent.layout.width))}>
      <T as="section" heading={2}>
        {WEEK.rows}
      </T>
      {width > 0 ? (
        <View role="img" aria-label={WEEK.rowsSaid}>
          <Svg width={width} height={tall} aria-hidden>
            {days.map((day, i) => (
              <SvgText
                key={day}
                x={0}
                y={i * (TALL + GAP) + TALL}
                fontFamily={FONT.narrow}
                fontSize={SIZE.label}
                fontWeight="600"
                fill={p.ink}
              >
                {says('{at:day}', { at: starts[i] + MS.day / 2 })}
              </SvgText>
            ))}
            {windows.flatMap((window) =>
              days.flatMap((day, i) => {
                const from = Math.max(window.from, starts[i]),
                  until = Math.min(window.until + WINDOW_STEP, starts[i] + MS.day);
                if (until <= from) return [];
                const h = height(window.worst);
                return [
                  <Rect
                    key={`${day}${window.from}`}
                    x={LEFT + x(from - starts[i])}
                    y={i * (TALL + GAP) + TALL - h}
                    width={Math.max(1, x(until - from) - 1)}
                    height={h}
                    fill={window.open ? 'none' : p.water1}
                    stroke={p.water1}
                    strokeWidth={1}
                  />,
                ];
              }),
            )}
            {days.map((day, i) => (
              <Line
                key={day}
                x1={LEFT}
                x2={LEFT + across}
                y1={i * (TALL + GAP) + TALL}
                y2={i * (TALL + GAP) + TALL}
                stroke={p.line}
              />
            ))}
            {HOURS.map((hour) => (
              <SvgText
                key={hour}
                x={LEFT + x(hour * MS.hour)}
                y={tall - 4}
                fontFamily={FONT.narrow}
                fontSize={SIZE.label}
                fill={p.soft}
              >
                {String(hour).padStart(2, '0')}
              </SvgText>
            ))}
          </Svg>
        </View>
      ) : null}
      <T as="small">{WEEK.rowsSaid}</T>
    </View>
  );
}

/** Midnight of a day there; where the clocks leave midnight out, an hour later. */
function startOf(day: string, zone: string): number {
  const midnight = wallToInstant(day, '00:00', zone);
  if (!('gap' in midnight)) return midnight.at;
  const one = wallToInstant(day, '01:00', zone);
  return 'gap' in one ? Date.parse(`${day}T00:00:00Z`) : one.at;
}
