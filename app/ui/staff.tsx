import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { usePalette } from './theme';

/** Height of one E mark of the gauge board, px. */
const MARK = 42;

/**
 * The spine of every trip: a tide staff on which water rises as sections become Ready. `set` is a share from 0 to 1;
 * `stops` are shares of the height at which a Stop sits. It repeats what stands beside it, so readers are spared it.
 */
export function Staff({ set, stops, width }: { set: number; stops: number[]; width: number }) {
  const p = usePalette();
  const [height, setHeight] = useState(0);
  const marks = Math.ceil(height / MARK);
  const level = height * (1 - set);
  const e = (top: number) => {
    const u = MARK / 7,
      w = width - 4;
    return `M0 ${top}h${w}v${u}h-${w / 2}v${u}h${w / 3}v${u}h-${w / 3}v${u}h${w / 2}v${u}h-${w}z`;
  };
  return (
    <View
      aria-hidden
      style={{ width, alignSelf: 'stretch', overflow: 'hidden', backgroundColor: p.raised }}
      onLayout={(event) => setHeight(Math.round(event.nativeEvent.layout.height))}
    >
      {height > 0 ? (
        <Svg width={width} height={height}>
          {Array.from({ length: marks }, (_, i) => (
            <Path key={i} d={e(i * MARK + 4)} fill={p.ink} />
          ))}
          <Rect x={0} y={level} width={width} height={height - level} fill={p.water1} opacity={0.8} />
          {stops.map((at) => (
            <Rect key={at} x={0} y={Math.max(0, at * height - 3)} width={width} height={6} fill={p.call} />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
