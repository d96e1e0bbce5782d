import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Polyline, Rect, Text as SvgText } from 'react-native-svg';
import { scaleLinear } from 'd3-scale';
import { clock } from '@escale/core/say';
import { NAUTICAL_MILE } from '@escale/core/units';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FONT, SIZE } from '../../ui/tokens';
import { useTrip } from '../trip/use-trip';
import { HALT } from './words';
import { plainly } from '../../data/settings';

const HEIGHT = 240,
  MARGIN = 34;
/** One minute of latitude is a nautical mile, near enough to draw with. */
const MINUTES = 60;

/** Lengths of the bar that tells the scale, nautical miles, and how much of the width it may take. */
const BARS = [5, 2, 1, 0.5, 0.2, 0.1, 0.05],
  BAR_AT_MOST = 0.4;

/** The trip's places and way, to scale, north up. A sketch, not for navigation. */
export function SketchChart() {
  const p = usePalette();
  const { trip, shed, assessment, reader } = useTrip();
  const [width, setWidth] = useState(0);
  const place = (id: string | undefined) => shed.places.find((pl) => pl.id === id);
  const route = [trip.launch, ...trip.halts.map((h) => h.place), trip.return ?? trip.launch].flatMap(
    (id) => place(id) ?? [],
  );
  if (route.length < 2) return null;
  const hazards = shed.places.filter((pl) => pl.kind === 'hazard' && pl.water === trip.water);
  const shown = [...route, ...hazards];
  const lats = shown.map((pl) => pl.position.lat),
    lons = shown.map((pl) => pl.position.lon);
  const mid = {
    lat: (Math.min(...lats) + Math.max(...lats)) / 2,
    lon: (Math.min(...lons) + Math.max(...lons)) / 2,
  };
  const squeeze = Math.cos((mid.lat * Math.PI) / 180);
  // One scale for both ways, so that distances can be compared by eye.
  const tall = (Math.max(...lats) - Math.min(...lats)) * MINUTES,
    wide = (Math.max(...lons) - Math.min(...lons)) * MINUTES * squeeze;
  const perMile = Math.min(
    (HEIGHT - 2 * MARGIN) / Math.max(tall, 0.2),
    (Math.max(width, 200) - 3 * MARGIN) / Math.max(wide, 0.2),
  );
  const x = scaleLinear()
    .domain([0, 1])
    .range([width / 2, width / 2 + perMile * MINUTES * squeeze]);
  const y = scaleLinear()
    .domain([0, 1])
    .range([HEIGHT / 2, HEIGHT / 2 - perMile * MINUTES]);
  const at = ({ position }: { position: { lat: number; lon: number } }) => ({
    x: x(position.lon - mid.lon),
    y: y(position.lat - mid.lat),
  });
  const times = new Map(assessment.schedule?.legs.map((leg) => [leg.to, leg.arrives]));
  const label = (pl: (typeof shown)[number], i: number) =>
    i === 0 && assessment.schedule
      ? `${pl.name} ${clock(assessment.schedule.leave, reader)}`
      : times.has(pl.id)
        ? `${pl.name} ${clock(times.get(pl.id)!, reader)}`
        : pl.name;
  const bar = BARS.find((miles) => miles * perMile <= width * BAR_AT_MOST);
  const seen = new Set<string>();
  return (
    <View style={{ gap: 4 }} onLayout={(e) => setWidth(Math.round(e.nativeEvent.layout.width))}>
      {width > 0 ? (
        <View role="img" aria-label={plainly(HALT.sketch, { places: route.map((pl) => pl.name).join(', ') })}>
          <Svg width={width} height={HEIGHT} aria-hidden>
            <Rect x={0} y={0} width={width} height={HEIGHT} fill={p.water3} stroke={p.line} />
            <Polyline
              points={route.map((pl) => `${at(pl).x},${at(pl).y}`).join(' ')}
              stroke={p.ink}
              strokeWidth={2.5}
              fill="none"
            />
            {hazards.map((pl) => (
              <Path
                key={pl.id}
                d={`M${at(pl).x - 7} ${at(pl).y + 5}l7-11l7 11`}
                stroke={p.ink}
                strokeWidth={1.6}
                fill="none"
              />
            ))}
            {shown.map((pl, i) => {
              if (seen.has(pl.id)) return null;
              seen.add(pl.id);
              const right = at(pl).x > width * 0.62;
              return (
                <G key={pl.id}>
                  {pl.kind === 'hazard' ? null : (
                    <Circle
                      cx={at(pl).x}
                      cy={at(pl).y}
                      r={5.5}
                      fill={i === 0 ? p.ink : p.raised}
                      stroke={p.ink}
                      strokeWidth={2.5}
                    />
                  )}
                  <SvgText
                    x={at(pl).x + (right ? -10 : 10)}
                    y={at(pl).y + (pl.kind === 'hazard' ? 20 : -9)}
                    textAnchor={right ? 'end' : 'start'}
                    fontFamily={FONT.narrow}
                    fontSize={SIZE.label}
                    fontWeight="600"
                    fill={p.ink}
                  >
                    {label(pl, i)}
                  </SvgText>
                </G>
              );
            })}
            {bar === undefined || (tall === 0 && wide === 0) ? null : (
              <>
                <Line
                  x1={12}
                  x2={12 + bar * perMile}
                  y1={HEIGHT - 12}
                  y2={HEIGHT - 12}
                  stroke={p.ink}
                  strokeWidth={2}
                />
                <SvgText
                  x={16 + bar * perMile}
                  y={HEIGHT - 8}
                  fontFamily={FONT.narrow}
                  fontSize={SIZE.label}
                  fill={p.ink}
                >
                  {plainly(HALT.mile, { miles: bar, metres: Math.round(bar * NAUTICAL_MILE) })}
                </SvgText>
              </>
            )}
            <Path d={`M${width - 18} 30v-18m-4 6l4-6l4 6`} stroke={p.ink} strokeWidth={1.6} fill="none" />
          </Svg>
        </View>
      ) : null}
      <T as="small">A sketch, north up. Not for navigation.</T>
    </View>
  );
}
