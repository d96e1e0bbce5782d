import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Polygon, Rect } from 'react-native-svg';
import { figureNamed } from '@escale/core/verdict';
import { SvgLabel } from '../../ui/svg-label';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { Figures } from '../trip/figure-view';
import { useTrip } from '../trip/use-trip';
import { GO } from './words';

const HEIGHT = 150,
  MARGIN = 16,
  WHEEL = 7,
  /** Of the trailer where nobody said how long it is, m: only drawn, never told. */
  DRAWN_BAR = 4.5,
  /** Of a car that is only drawn, m. */
  CAR = 4;

/** The ramp from the side, to scale: water, slope, trailer and car where she lifts; and the figures it is drawn from. */
export function RampView() {
  const { assessment, trip, shed, says } = useTrip();
  const [width, setWidth] = useState(0);
  const launch = shed.places.find((place) => place.id === trip.launch);
  const trailer = shed.boats.find((boat) => boat.id === trip.boat)?.trailer;
  const depth = figureNamed(assessment.figures, 'ramp/depth');
  const run = figureNamed(assessment.figures, 'ramp/run');
  if (!depth) return null;
  const slope = launch?.slope;
  const drawn = slope !== undefined && run !== undefined;
  const bar = trailer?.drawbar ?? DRAWN_BAR;
  return (
    <View style={{ gap: 8 }} onLayout={(event) => setWidth(Math.round(event.nativeEvent.layout.width))}>
      {drawn && width > 0 ? (
        <Drawing
          width={width}
          slope={slope}
          run={run.value}
          bar={bar}
          car={trailer?.drawbar !== undefined}
          words={{
            depth: says(GO.rampDeep, { depth: depth.value }),
            run: says(GO.rampIn, { run: run.value }),
            whole: says(GO.rampDrawn, { depth: depth.value, run: run.value }),
          }}
        />
      ) : (
        <T as="soft">{GO.rampNoSlope}</T>
      )}
      <Figures names={['ramp/depth', 'ramp/run', 'ramp/car', 'ramp/car-in']} />
      <T as="small">{drawn ? GO.rampDeeper : GO.rampFromMeasures}</T>
    </View>
  );
}

function Drawing({
  width: w,
  slope: falls,
  run: far,
  bar: drawbar,
  car,
  words,
}: {
  width: number;
  slope: number;
  run: number;
  bar: number;
  /** Its place is known: the length of the drawbar was said. */
  car: boolean;
  words: { depth: string; run: string; whole: string };
}) {
  const p = usePalette();
  // Metres from the edge of the water, in is positive; the car stands up the slope.
  const up = Math.max(drawbar + CAR + 1 - far, 1);
  const scale = (w - 2 * MARGIN) / (far + 1.5 + up);
  const edge = MARGIN + up * scale;
  const water = HEIGHT * 0.42;
  const x = (metres: number) => edge + metres * scale;
  const ground = (metres: number) => water + metres * falls * scale;
  const wheel = { x: x(far), y: ground(far) - WHEEL };
  const hitch = { x: x(far - drawbar), y: ground(far - drawbar) - WHEEL };
  const angle = (Math.atan(falls) * 180) / Math.PI;
  const long = drawbar * scale;
  const hull = [
    `M${wheel.x - long * 0.7} ${hitch.y - 8}`,
    `q${long * 0.5} 10 ${long * 0.9} 0`,
    `l0-14l-${long * 0.95} -3z`,
  ].join('');
  return (
    <View role="img" aria-label={words.whole}>
      <Svg width={w} height={HEIGHT} aria-hidden>
        <Rect x={edge} y={water} width={w - edge} height={HEIGHT - water} fill={p.water2} opacity={0.7} />
        <Polygon
          points={`0,${ground(-up - 1)} ${w},${ground((w - edge) / scale)} ${w},${HEIGHT} 0,${HEIGHT}`}
          fill={p.line}
        />
        <Line x1={edge} x2={w} y1={water} y2={water} stroke={p.water1} strokeWidth={2} />
        <G transform={`rotate(${angle} ${hitch.x} ${hitch.y})`}>
          <Line
            x1={hitch.x}
            x2={wheel.x + 12}
            y1={hitch.y - 3}
            y2={hitch.y - 3}
            stroke={p.ink}
            strokeWidth={2}
          />
          <Path d={hull} fill={p.raised} stroke={p.ink} strokeWidth={1.6} />
          {car ? (
            <>
              <Rect
                x={hitch.x - CAR * scale}
                y={hitch.y - 22}
                width={CAR * scale * 0.92}
                height={18}
                fill={p.soft}
              />
              <Circle cx={hitch.x - 0.9 * scale} cy={hitch.y} r={WHEEL} fill={p.ink} />
              <Circle cx={hitch.x - 3.3 * scale} cy={hitch.y} r={WHEEL} fill={p.ink} />
            </>
          ) : null}
        </G>
        <Circle cx={wheel.x} cy={wheel.y} r={WHEEL} fill={p.ink} />
        <Line
          x1={wheel.x}
          x2={wheel.x}
          y1={water}
          y2={ground(far)}
          stroke={p.ink}
          strokeWidth={1.2}
          strokeDasharray="3 3"
        />
        <Line x1={edge} x2={wheel.x} y1={HEIGHT - 14} y2={HEIGHT - 14} stroke={p.ink} strokeWidth={1.2} />
        <SvgLabel x={wheel.x} y={water - 30} anchor="end" ink={p.ink}>
          {words.depth}
        </SvgLabel>
        <SvgLabel x={edge} y={HEIGHT - 20} anchor="start" ink={p.ink}>
          {words.run}
        </SvgLabel>
      </Svg>
    </View>
  );
}
