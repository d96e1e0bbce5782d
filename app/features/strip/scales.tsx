import { G, Line, Rect, Text as SvgText } from 'react-native-svg';
import type { ScaleLinear } from 'd3-scale';
import { saysTo, type Reader } from '@escale/core/say';
import type { Strip } from '@escale/core/trip';
import { FONT, SIZE, type Palette } from '../../ui/tokens';
import { axisHours, BAND, windNumbers, type X } from './draw';
import { STRIP } from './words';

/** A figure that stays readable on every tone of sky and water: ink in a frame of paper. */
function Figure({
  x,
  y,
  p,
  anchor,
  children,
}: {
  x: number;
  y: number;
  p: Palette;
  anchor?: 'middle';
  children: string;
}) {
  const text = { x, y, fontFamily: FONT.narrow, fontSize: SIZE.label, fontWeight: '600' as const };
  const where = anchor ? { textAnchor: anchor } : {};
  return (
    <G>
      <SvgText {...text} {...where} stroke={p.paper} strokeWidth={4} fill={p.paper}>
        {children}
      </SvgText>
      <SvgText {...text} {...where} fill={p.ink}>
        {children}
      </SvgText>
    </G>
  );
}

/** The hours on the clock of the water. */
export function Hours({ strip, x, p, reader }: { strip: Strip; x: X; p: Palette; reader: Reader }) {
  // Ticks are hours of the day, for whoever reads.
  const says = saysTo({ ...reader, hours: 24 });
  const hourOf = (at: number) => Number(says(STRIP.hour, { at }).slice(0, 2));
  return (
    <G>
      {axisHours(strip, x, hourOf).map((at) => (
        <G key={at}>
          <Line x1={x(at)} x2={x(at)} y1={BAND.axis} y2={BAND.axis + 4} stroke={p.ink} strokeWidth={1} />
          <SvgText
            x={x(at)}
            y={BAND.hours}
            textAnchor="middle"
            fontFamily={FONT.narrow}
            fontSize={SIZE.label}
            fill={p.soft}
          >
            {says(STRIP.hour, { at }).slice(0, 2)}
          </SvgText>
        </G>
      ))}
    </G>
  );
}

/** Width of the staff, px; a field of it is half a metre. */
const WIDE = 7,
  FIELD = 0.5;

/** The tide staff at the left edge: fields of half a metre, a number at each metre, the scale of the curve beside it. */
export function Staff({ scale, p }: { scale: ScaleLinear<number, number>; p: Palette }) {
  const [low, high] = scale.domain();
  const fields = Array.from(
    { length: Math.floor(high / FIELD) - Math.ceil(low / FIELD) + 1 },
    (_, i) => (Math.ceil(low / FIELD) + i) * FIELD,
  );
  const metre = Math.abs(scale(1) - scale(0));
  const every = Math.max(1, Math.ceil(SIZE.label / metre));
  return (
    <G>
      <Rect
        x={0}
        y={scale(high)}
        width={WIDE}
        height={BAND.axis - scale(high)}
        fill={p.paper}
        stroke={p.ink}
        strokeWidth={1}
      />
      {fields
        .filter((height) => Math.round(height / FIELD) % 2 === 0 && height + FIELD <= high)
        .map((height) => (
          <Rect
            key={height}
            x={0}
            y={scale(height + FIELD)}
            width={WIDE}
            height={Math.max(1, scale(height) - scale(height + FIELD))}
            fill={p.ink}
          />
        ))}
      {fields
        .filter((height) => Number.isInteger(height) && height % every === 0 && scale(height) < BAND.axis - 4)
        .map((height) => (
          <Figure key={height} x={WIDE + 3} y={scale(height) + 4} p={p}>
            {String(height)}
          </Figure>
        ))}
    </G>
  );
}

/** The wind in numbers where it changes, under its ribbon. */
export function WindFigures({
  wind,
  x,
  width,
  p,
  reader,
}: {
  wind: Strip['wind'];
  x: X;
  width: number;
  p: Palette;
  reader: Reader;
}) {
  const says = saysTo(reader);
  return (
    <G>
      {windNumbers(wind, x, width).map((w) => (
        <Figure key={w.at} x={x(w.at)} y={BAND.wind + 28} p={p} anchor="middle">
          {says(STRIP.blows, { wind: w.wind })}
        </Figure>
      ))}
    </G>
  );
}
