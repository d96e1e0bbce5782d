import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import type { Hull, Outcome, Placed } from '@escale/core/boat';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { profile, section } from '../boat/outline';
import { LIE } from './words';

const HIGH = 92,
  MARGIN = 8;
const degrees = (radians: number) => (radians * 180) / Math.PI;

function lieOf({ trim, heel }: { trim: number; heel: number }) {
  if (trim >= 0) return heel >= 0 ? 'sternPort' : 'sternStarboard';
  return heel >= 0 ? 'bowPort' : 'bowStarboard';
}

/** Both pictures of a hull at rest: their scales and their outlines. */
function views(hull: Hull, along: number, beside: number) {
  const perMetre = Math.min((along - 2 * MARGIN) / hull.length, (HIGH - 26) / (hull.depth * 1.9));
  const across = Math.min((beside - 2 * MARGIN) / hull.beam, (HIGH - 26) / (hull.depth * 1.9));
  const side = {
    x: (m: number) => along / 2 + (m - hull.length / 2) * perMetre,
    z: (m: number) => HIGH * 0.58 - m * perMetre,
  };
  const end = { y: (m: number) => beside / 2 - m * across, z: (m: number) => HIGH * 0.58 - m * across };
  return { side, end, drawn: { side: profile(hull, side.x, side.z), end: section(hull, end.y, end.z) } };
}

/** From the side and from astern, trim and list drawn as they are, over the water she lies in. */
export function TiltViews({ hull, spots, outcome }: { hull: Hull; spots: Placed[]; outcome: Outcome }) {
  const p = usePalette();
  const { says } = useTrip();
  const [width, setWidth] = useState(358);
  const beside = Math.min(130, width * 0.3),
    along = width - beside - 12;
  const { side, end, drawn } = useMemo(() => views(hull, along, beside), [hull, along, beside]);
  if (outcome.state !== 'floats')
    return (
      <View style={{ borderWidth: 2, borderColor: p.ink, padding: 12 }}>
        <T as="strong">
          {outcome.state === 'sinks'
            ? 'By our sum all of her can’t bear this.'
            : 'By our sum she does not stay upright like this.'}
        </T>
      </View>
    );
  const { plane } = outcome.at;
  // The boat is turned, not the sea: about the middle of the waterline.
  const atMiddle = plane.h + (plane.t * hull.length) / 2;
  return (
    <View
      role="img"
      aria-label={says(LIE[lieOf(outcome.at)], {
        trim: Math.abs(outcome.at.trim),
        heel: Math.abs(outcome.at.heel),
      })}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      style={{ flexDirection: 'row', gap: 12 }}
    >
      <View>
        <Svg width={along} height={HIGH} aria-hidden>
          <G transform={`rotate(${-degrees(outcome.at.trim)} ${along / 2} ${side.z(atMiddle)})`}>
            <Path d={drawn.side} fill={p.raised} stroke={p.ink} strokeWidth={1.6} />
            {spots.map((s) => (
              <Rect
                key={s.id}
                x={side.x(s.x) - 3}
                y={side.z(s.z) - 3}
                width={6}
                height={6}
                fill={s.is === 'person' ? p.ink : p.water1}
              />
            ))}
          </G>
          <Sea width={along} top={side.z(atMiddle)} />
        </Svg>
        <T as="label">from starboard</T>
      </View>
      <View>
        <Svg width={beside} height={HIGH} aria-hidden>
          <G transform={`rotate(${-degrees(outcome.at.heel)} ${beside / 2} ${end.z(atMiddle)})`}>
            {drawn.end.map((d) => (
              <Path key={d} d={d} fill={p.raised} stroke={p.ink} strokeWidth={1.6} />
            ))}
          </G>
          <Sea width={beside} top={end.z(atMiddle)} />
        </Svg>
        <T as="label">from astern</T>
      </View>
    </View>
  );
}

function Sea({ width, top }: { width: number; top: number }) {
  const p = usePalette();
  return (
    <G>
      <Rect x={0} y={top} width={width} height={HIGH - top} fill={p.water2} opacity={0.45} />
      <Line x1={0} x2={width} y1={top} y2={top} stroke={p.water1} strokeWidth={2} />
    </G>
  );
}
