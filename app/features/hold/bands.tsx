import Svg, { Rect } from 'react-native-svg';
import { usePalette } from '../../ui/theme';

interface Band {
  low: number;
  high: number;
}
const HIGH = 16;

/** A band on a scale; what holds stands before what pulls, or what pulls by itself. */
export function BandBar({ band, most, against }: { band: Band; most: number; against?: Band }) {
  const p = usePalette();
  const at = (value: number) => `${Math.min(100, (100 * value) / (most || 1))}%`;
  const behind = against ?? band;
  return (
    <Svg width="100%" height={HIGH} aria-hidden>
      <Rect x={0} y={0} width="100%" height={HIGH} fill="none" stroke={p.line} />
      <Rect x={at(behind.low)} y={0} width={at(behind.high - behind.low)} height={HIGH} fill={p.water2} />
      {against ? (
        <Rect
          x={at(band.low)}
          y={4}
          width={at(Math.max(band.high - band.low, most / 200))}
          height={8}
          fill={p.ink}
          opacity={0.65}
        />
      ) : null}
    </Svg>
  );
}
/** What holds so many times the load is drawn to the edge. */
export const FAR = 3;
