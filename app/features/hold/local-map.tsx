import { memo, useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg';
import { metresAt, spotOf } from '@escale/core/chart';
import type { LatLon } from '@escale/core/earth';
import type { Place, Water } from '@escale/core/model';
import { NAUTICAL_MILE } from '@escale/core/units';
import { usePalette } from '../../ui/theme';
import { FONT, SIZE } from '../../ui/tokens';
import { drawn, middleOf, type Corner } from '../sketch/drawn';
import { useTrip } from '../trip/use-trip';
import { MAP } from './words';

const HIGH = 240;
/** From here on lengths are told in miles. */
const FAR = NAUTICAL_MILE / 2;
/** Lengths of the bar that tells the scale, metres, and the most of the width that it takes. */
const BARS = [...[10, 5, 2, 1].map((miles) => miles * NAUTICAL_MILE), FAR, 200, 100, 50, 20, 10, 5],
  BAR = 1 / 3;

/** Where things stand on the picture, and pixels for a metre. */
export interface Frame {
  put: (position: LatLon) => { x: number; y: number };
  scale: number;
  width: number;
  height: number;
}

/** What lies around a position, to scale, north up: shore and hazards as far as they are drawn. */
export function LocalMap({
  centre,
  radius,
  water,
  places,
  label,
  children,
}: {
  centre: LatLon;
  /** Metres from its middle to its upper edge. */
  radius: number;
  water: Water | undefined;
  places: readonly Place[];
  label: string;
  children: (frame: Frame) => ReactNode;
}) {
  const p = usePalette();
  const { says } = useTrip();
  const [width, setWidth] = useState(340);
  const middle = middleOf(water?.chart, [{ position: centre }]);
  const scale = HIGH / 2 / Math.max(radius, 1);
  const frame = useMemo<Frame>(() => {
    const here = spotOf(centre, middle);
    const perUnit = metresAt(centre.lat) * scale;
    const put = (position: LatLon) => {
      const spot = spotOf(position, middle);
      return { x: width / 2 + (spot.x - here.x) * perUnit, y: HIGH / 2 - (spot.y - here.y) * perUnit };
    };
    return { put, scale, width, height: HIGH };
  }, [centre, middle, scale, width]);
  const bar = BARS.find((metres) => metres * scale < width * BAR) ?? BARS[BARS.length - 1];
  return (
    <View
      role="img"
      aria-label={label}
      onLayout={(e) => setWidth(Math.round(e.nativeEvent.layout.width))}
      style={{ borderWidth: 1, borderColor: p.line }}
    >
      <Svg width="100%" height={HIGH} style={{ backgroundColor: p.water3 }} aria-hidden>
        <Shore water={water} middle={middle} frame={frame} />
        {places
          .filter(({ kind }) => kind === 'hazard')
          .map(({ id, position, reach = 0 }) => {
            const { x, y } = frame.put(position);
            return (
              <Circle
                key={id}
                cx={x}
                cy={y}
                r={Math.max(3, reach * scale)}
                fill="none"
                stroke={p.ink}
                strokeDasharray="2 3"
              />
            );
          })}
        {children(frame)}
        <Line x1={12} x2={12 + bar * scale} y1={HIGH - 12} y2={HIGH - 12} stroke={p.ink} strokeWidth={2} />
        <SvgText
          x={18 + bar * scale}
          y={HIGH - 8}
          fontFamily={FONT.narrow}
          fontSize={SIZE.label}
          fill={p.ink}
        >
          {says(bar >= FAR ? MAP.far : MAP.near, { metres: bar })}
        </SvgText>
      </Svg>
    </View>
  );
}
/** A line of places as a path. */
export const pathOf = (points: { x: number; y: number }[]) =>
  points.reduce((all, { x, y }, i) => all.concat(i === 0 ? 'M' : 'L', x.toFixed(1), ' ', y.toFixed(1)), '');

/** Drawn once for a frame: a shore may have twenty thousand points. */
const Shore = memo(function Shore({
  water,
  middle,
  frame,
}: {
  water: Water | undefined;
  middle: number;
  frame: Frame;
}) {
  const p = usePalette();
  const lines = useMemo(() => drawn(water?.chart, middle), [water, middle]);
  const line = (corners: Corner[], close: boolean) =>
    pathOf(corners.map(([lat, lon]) => frame.put({ lat, lon }))).concat(close ? 'Z' : '');
  return (
    <>
      {lines.land.map((rings, i) => (
        <Path
          key={i}
          d={rings.map((ring) => line(ring, true)).join('')}
          fillRule="evenodd"
          fill={p.land}
          stroke={p.ink}
        />
      ))}
      {[...lines.water.flat(), ...lines.lines].map((corners, i) => (
        <Path key={i} d={line(corners, false)} fill="none" stroke={p.ink} />
      ))}
    </>
  );
});
