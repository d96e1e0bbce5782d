import { memo, useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { metresAt, spotOf } from '@escale/core/chart';
import { NAUTICAL_MILE } from '@escale/core/units';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FONT, PALETTES, SIZE, type Palette } from '../../ui/tokens';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { drawn, middleOf, type Corner, type Drawn } from './drawn';
import { FORMS, formOf, MARK_SIZE, STROKE } from './marks';
import { placed } from './names';
import { useStops, wordsOf } from './stops';
import { SKETCH } from './words';

const HEIGHT = { screen: 240, paper: 420 },
  MARGIN = 34;
/** Nothing is drawn nearer than so many metres across. */
const LEAST = 400;
/** Lengths of the bar that tells the scale, nautical miles, and how much of the width it may take. */
const BARS = [5, 2, 1, 0.5, 0.2, 0.1, 0.05],
  BAR_AT_MOST = 0.4;

/** Ink on white, whatever the screen looks like. */
const PAPER: Palette = {
  ...PALETTES.sun,
  water1: '#000000',
  water2: '#FFFFFF',
  water3: '#FFFFFF',
  land: '#D8D8D8',
};

/** The trip’s way over its water, to scale, north up: a still picture, for a glance and for paper. */
export function SketchChart({ paper = false }: { paper?: boolean }) {
  const onScreen = usePalette();
  const p = paper ? PAPER : onScreen;
  const view = useTrip();
  const { trip, shed, says } = view;
  const stops = useStops(view);
  const [width, setWidth] = useState(0);
  const height = paper ? HEIGHT.paper : HEIGHT.screen;
  const chart = shed.waters.find(({ id }) => id === trip.water)?.chart;
  const places = useMemo(() => {
    const onWay = new Set(stops.map(({ place }) => place.id));
    return shed.places.filter(
      ({ id, kind, water }) => onWay.has(id) || (water === trip.water && kind !== 'parking'),
    );
  }, [shed.places, stops, trip.water]);
  const middle = middleOf(chart, places);
  const lines = useMemo(() => drawn(chart, middle), [chart, middle]);
  if (stops.length < 2) return null;
  const way = stops.map(({ place }) => place);
  const frame = frameOf(way, middle, width, height);
  const put = putOn(frame);
  const perMetre = frame.scale / frame.metres;
  const at = (place: (typeof places)[number]) => put([place.position.lat, place.position.lon]);
  const words = placed(wordsOf(stops, places, at), { left: 0, top: 0, right: width, bottom: height });
  const bar = BARS.find((miles) => miles * NAUTICAL_MILE * perMetre <= width * BAR_AT_MOST);
  const long = (bar ?? 0) * NAUTICAL_MILE * perMetre;
  return (
    <View style={{ gap: 4 }} onLayout={(e) => setWidth(Math.round(e.nativeEvent.layout.width))}>
      {width > 0 ? (
        <View
          role="img"
          aria-label={plainly(SKETCH.lead, { places: way.map(({ name }) => name).join(', ') })}
        >
          <Svg width={width} height={height} aria-hidden>
            <Rect x={0} y={0} width={width} height={height} fill={p.water3} stroke={p.line} />
            <Ground lines={lines} palette={p} {...frame} />
            <Path d={way.map(at).reduce(along, '')} stroke={p.ink} strokeWidth={2.5} fill="none" />
            {places.map((place) => {
              const { x, y } = at(place);
              return (
                <G key={place.id} x={x - MARK_SIZE / 2} y={y - MARK_SIZE / 2}>
                  {FORMS[formOf(place)].map(({ d, fill }) => (
                    <Path
                      key={d}
                      d={d}
                      stroke={p.ink}
                      strokeWidth={STROKE}
                      strokeLinejoin="round"
                      fill={fill === 'ink' ? p.ink : fill === 'paper' ? p.raised : 'none'}
                    />
                  ))}
                </G>
              );
            })}
            {words.map(({ id, text, x, y, dx, dy }) => (
              <SvgText
                key={id}
                x={x + dx}
                y={y + dy + SIZE.label}
                fontFamily={FONT.narrow}
                fontSize={SIZE.label}
                fontWeight="600"
                fill={p.ink}
              >
                {text}
              </SvgText>
            ))}
            {bar === undefined ? null : (
              <>
                <Line
                  x1={12}
                  x2={12 + long}
                  y1={height - 12}
                  y2={height - 12}
                  stroke={p.ink}
                  strokeWidth={2}
                />
                <SvgText
                  x={18 + long}
                  y={height - 8}
                  fontFamily={FONT.narrow}
                  fontSize={SIZE.label}
                  fill={p.ink}
                >
                  {says(SKETCH.scale, { far: bar * NAUTICAL_MILE })}
                </SvgText>
              </>
            )}
          </Svg>
        </View>
      ) : null}
      <T as="small">
        {[SKETCH.note, ...(chart ? [plainly(SKETCH.from, { source: chart.source })] : [])].join(' ')}
      </T>
    </View>
  );
}

/** Where the picture lies on the plane of the chart, and how large it is drawn. */
interface Frame {
  /** Its middle. */
  x: number;
  y: number;
  /** Pixels for one unit of the plane, and metres on the ground for the same. */
  scale: number;
  metres: number;
  /** Longitudes are told from here. */
  middle: number;
  width: number;
  height: number;
}

/** One scale for both ways, so that distances can be compared by eye, around the middle of the way. */
function frameOf(
  way: { position: { lat: number; lon: number } }[],
  middle: number,
  width: number,
  height: number,
): Frame {
  const spots = way.map(({ position }) => spotOf(position, middle));
  const [xs, ys] = [spots.map(({ x }) => x), spots.map(({ y }) => y)];
  const mid = (all: number[]) => (Math.min(...all) + Math.max(...all)) / 2;
  const over = (all: number[]) => Math.max(...all) - Math.min(...all);
  const metres = metresAt(way[0].position.lat);
  const least = LEAST / metres;
  const scale = Math.min(
    (height - 2 * MARGIN) / Math.max(over(ys), least),
    (Math.max(width, 200) - 3 * MARGIN) / Math.max(over(xs), least),
  );
  return { x: mid(xs), y: mid(ys), scale, metres, middle, width, height };
}

const putOn =
  ({ x: mx, y: my, scale, middle, width, height }: Frame) =>
  ([lat, lon]: Corner) => {
    const { x, y } = spotOf({ lat, lon }, middle);
    return { x: width / 2 + (x - mx) * scale, y: height / 2 - (y - my) * scale };
  };

type Put = (corner: Corner) => { x: number; y: number };
/** A step of a path, to a tenth of a pixel. */
const along = (path: string, { x, y }: { x: number; y: number }) =>
  path.concat(path === '' ? 'M' : 'L', x.toFixed(1), ' ', y.toFixed(1));
const pathOf = (corners: Corner[], put: Put, close: boolean) =>
  corners
    .map(put)
    .reduce(along, '')
    .concat(close ? 'Z' : '');

/** Drawn once for a frame: while the departure is dragged only hours change, and a shore may have twenty thousand points. */
const Ground = memo(function Ground({
  lines,
  palette: p,
  ...frame
}: Frame & { lines: Drawn; palette: Palette }) {
  const put = putOn(frame);
  const line = (corners: Corner[], close: boolean) => pathOf(corners, put, close);
  const rings = (all: Corner[][]) => all.map((ring) => line(ring, true)).join('');
  return (
    <>
      {[...lines.depths]
        .sort((a, b) => b.least - a.least)
        .map(({ least, rings: all }, i) => (
          <Path
            key={i}
            d={rings(all)}
            fill={least < 0 ? p.land : p.water2}
            fillOpacity={least < 0 ? 0.5 : 0.25}
            stroke={p.water1}
            strokeWidth={0.8}
            {...(least < 0 ? { strokeDasharray: '2 4' } : {})}
          />
        ))}
      {lines.land.map((all, i) => (
        <Path key={i} d={rings(all)} fillRule="evenodd" fill={p.land} stroke={p.ink} strokeWidth={1} />
      ))}
      {[...lines.water.flat(), ...lines.lines].map((corners, i) => (
        <Path key={i} d={line(corners, false)} fill="none" stroke={p.ink} strokeWidth={1} />
      ))}
    </>
  );
});
