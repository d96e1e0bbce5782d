import Svg, { Path, Rect } from 'react-native-svg';
import { usePalette } from './theme';

/** Our sign: one mark of a tide staff standing in water. */
export function Logo({ size = 26 }: { size?: number }) {
  const p = usePalette();
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path d="M4 1h17v5h-11v3h8v5h-8v4h11v5h-17z" fill={p.ink} />
      <Rect x={1} y={16} width={22} height={7} fill={p.water1} opacity={0.85} />
    </Svg>
  );
}
