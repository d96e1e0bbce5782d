import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { shapeOf, stretch, type Held, type Lying, type Rode } from '@escale/core/hold';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { profile } from '../boat/outline';
import { useTrip } from '../trip/use-trip';
import { SCOPE } from './words';

const MARGIN = 10,
  LEAST = 90,
  MOST = 260;

/** The line from the anchor to the boat as it lies, one scale for both ways: taut and in the middle of its load. */
export function ScopeView({
  lying,
  now,
  lacks,
  rode,
  height,
  depth,
  need,
  there,
}: {
  lying: Lying;
  now: Held;
  /** Why nothing can be drawn, where that is so. */
  lacks: string;
  rode?: Rode;
  height?: number;
  depth?: number;
  need?: number;
  there?: number;
}) {
  const { says } = useTrip();
  const { lead, taut } = now;
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={2}>
        {SCOPE.title}
      </T>
      {rode && lead && taut && height !== undefined && depth !== undefined ? (
        <>
          <Drawing lying={lying} now={now} rode={rode} height={height} depth={depth} />
          <T>
            {says(SCOPE.says, {
              out: rode.line + rode.chain,
              height,
              scope: Math.round((10 * (rode.line + rode.chain)) / height) / 10,
              low: lead.anchor,
              high: taut.anchor,
            })}
          </T>
          {lead.lying > 0 ? <T as="soft">{says(SCOPE.lying, { lying: lead.lying })}</T> : null}
          <T as="soft">{says(SCOPE.stretch, stretch(rode, now.pull.load))}</T>
        </>
      ) : (
        <T as="soft">{lacks}</T>
      )}
      {need === undefined ? null : (
        <T as="strong">
          {there === undefined ? says(SCOPE.needsAlone, { need }) : says(SCOPE.needs, { need, there })}
        </T>
      )}
    </View>
  );
}

function Drawing({
  lying,
  now,
  rode,
  height,
  depth,
}: {
  lying: Lying;
  now: Held;
  rode: Rode;
  height: number;
  depth: number;
}) {
  const p = usePalette();
  const [width, setWidth] = useState(340);
  const { lead, taut, pull } = now;
  const { hull, exposed } = lying;
  if (!lead || !taut) return null;
  const far = Math.max(lead.reach, taut.reach);
  const over = hull.depth * OVER;
  const scale = Math.min((width - 2 * MARGIN) / (far + hull.length), (MOST - 2 * MARGIN) / (depth + over));
  const high = Math.max(LEAST, (depth + over) * scale + 2 * MARGIN);
  const ground = high - MARGIN;
  const x = (metres: number) => MARGIN + metres * scale;
  const z = (metres: number) => ground - metres * scale;
  const middle = (pull.load.low + pull.load.high) / 2;
  const line = (of: typeof lead, force: number) =>
    shapeOf(rode, of, height, force).reduce(
      (path, at, i) => path.concat(i === 0 ? 'M' : 'L', x(at.x).toFixed(1), ' ', z(at.z).toFixed(1)),
      '',
    );
  // Her bow lies over the end of the line, and she behind it.
  const her = profile(
    hull,
    (m) => x(taut.reach + hull.length - m),
    (m) => z(depth + m - exposed.waterline),
  );
  return (
    <View
      role="img"
      aria-label={SCOPE.drawn}
      onLayout={(e) => setWidth(Math.round(e.nativeEvent.layout.width))}
    >
      <Svg width="100%" height={high} aria-hidden>
        <Rect x={0} y={z(depth)} width={width} height={depth * scale} fill={p.water3} />
        <Line x1={0} x2={width} y1={z(depth)} y2={z(depth)} stroke={p.water1} strokeWidth={1.5} />
        <Rect x={0} y={ground} width={width} height={MARGIN} fill={p.land} />
        <Line x1={0} x2={width} y1={ground} y2={ground} stroke={p.ink} strokeWidth={1.5} />
        <Path d={her} fill={p.raised} stroke={p.ink} strokeWidth={1.4} />
        <Path d={line(lead, middle)} fill="none" stroke={p.ink} strokeWidth={1} strokeDasharray="4 3" />
        <Path d={line(taut, pull.load.high)} fill="none" stroke={p.ink} strokeWidth={2} />
        <Rect x={x(0) - 4} y={ground - 4} width={8} height={8} fill={p.ink} />
      </Svg>
    </View>
  );
}
/** So many times her depth is left over the water for her. */
const OVER = 1.6;
