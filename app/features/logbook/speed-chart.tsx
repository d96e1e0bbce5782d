import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line } from 'react-native-svg';
import { scaleLinear } from 'd3-scale';
import type { speedAgainstWind } from '@escale/core/logbook/entries';
import { format, fromSI, toSI, unitOf } from '@escale/core/units';
import { Fold } from '../../ui/fold';
import { SvgLabel } from '../../ui/svg-label';
import { CELL, TableHead } from '../../ui/table-head';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import type { Reader, Says } from '@escale/core/say';
import { LOG } from './words';

type Points = ReturnType<typeof speedAgainstWind>;

/** Room for the figures at the axes, and the height of the picture, px. */
const LEFT = 44,
  FOOT = 36,
  TOP = 12,
  HEIGHT = 220,
  DOT = 4;
/** So many marks at an axis, about. */
const MARKS = 5;
/** The least that the axes show, in the reader’s own unit of speed. */
const LEAST = { wind: 10, speed: 4 };

/** Speed over the ground against the wind, a dot a trip; and the same as a table. */
export function SpeedChart({
  points,
  boat,
  reader,
  says,
}: {
  points: Points;
  boat: string;
  reader: Reader;
  says: Says;
}) {
  const p = usePalette();
  const [width, setWidth] = useState(0);
  if (points.length < 2) return <T as="soft">{LOG.speedNone}</T>;
  const unit = unitOf('speed', reader.units);
  const shown = (value: number) => fromSI(value, unit);
  const most = (values: number[], least: number) => Math.max(least, ...values.map(shown));
  const x = scaleLinear()
    .domain([
      0,
      most(
        points.map(({ wind }) => wind),
        LEAST.wind,
      ),
    ])
    .nice()
    .range([LEFT, Math.max(LEFT + 1, width - DOT * 2)]);
  const y = scaleLinear()
    .domain([
      0,
      most(
        points.map(({ speed }) => speed),
        LEAST.speed,
      ),
    ])
    .nice()
    .range([HEIGHT - FOOT, TOP]);
  const words = (value: number) => format(toSI(value, unit), 'speed', reader.units, 0);
  return (
    <View style={{ gap: 6 }}>
      <View
        role="img"
        aria-label={says(LOG.speedIs, { boat, n: points.length })}
        onLayout={(e) => setWidth(Math.round(e.nativeEvent.layout.width))}
        style={{ height: HEIGHT }}
      >
        {width > 0 ? (
          <Svg width={width} height={HEIGHT} aria-hidden>
            {y.ticks(MARKS).map((mark) => (
              <G key={mark}>
                <Line x1={LEFT} x2={width} y1={y(mark)} y2={y(mark)} stroke={p.line} strokeWidth={1} />
                <SvgLabel x={LEFT - 6} y={y(mark) + 4} anchor="end" ink={p.soft}>
                  {words(mark)}
                </SvgLabel>
              </G>
            ))}
            {x.ticks(MARKS).map((mark) => (
              <SvgLabel key={mark} x={x(mark)} y={HEIGHT - FOOT + 16} anchor="middle" ink={p.soft}>
                {String(mark)}
              </SvgLabel>
            ))}
            <SvgLabel x={width - DOT} y={HEIGHT - 4} anchor="end" ink={p.ink}>
              {says('{x}, {unit}', { x: LOG.speedX, unit: unit.symbol })}
            </SvgLabel>
            <Line x1={LEFT} x2={width} y1={y(0)} y2={y(0)} stroke={p.ink} strokeWidth={1} />
            {points.map(({ id, wind, speed }) => (
              <Circle key={id} cx={x(shown(wind))} cy={y(shown(speed))} r={DOT} fill={p.water1} />
            ))}
          </Svg>
        ) : null}
      </View>
      <Fold title={LOG.speedTable}>
        <View role="table" aria-label={LOG.speed}>
          <TableHead heads={[LOG.cells[0], LOG.cells[6], LOG.speedHead]} />
          {points.map(({ id, on, wind, speed }) => (
            <View key={id} role="row" style={{ flexDirection: 'row' }}>
              {[
                says('{on:date}', { on }),
                format(wind, 'speed', reader.units),
                format(speed, 'speed', reader.units),
              ].map((cell, i) => (
                <View key={i} role="cell" style={CELL}>
                  <T>{cell}</T>
                </View>
              ))}
            </View>
          ))}
        </View>
      </Fold>
    </View>
  );
}
