import { memo, useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg';
import { metresAt, shoreOf, spotOf } from '@escale/core/chart';
import type { Held, Stay } from '@escale/core/hold';
import type { Place, Water } from '@escale/core/model';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FONT, SIZE } from '../../ui/tokens';
import { drawn, middleOf, type Corner } from '../sketch/drawn';
import { useTrip } from '../trip/use-trip';
import { HOLD, SWING } from './words';

const HIGH = 240;
/** Her circle takes so much of the picture; a shore further off than twice the picture is not gone after. */
const SHARE = 0.36,
  BARS = [200, 100, 50, 20, 10, 5];

/** The circle over which she swings, north up, against the shore and the hazards that are drawn. */
export function SwingView({
  stay,
  water,
  places,
  now,
}: {
  stay: Stay;
  water: Water | undefined;
  places: readonly Place[];
  now: Held;
}) {
  const { says } = useTrip();
  const { swing, pull } = now;
  const { place } = stay;
  const nearest = useMemo(() => shoreOf(water?.chart)?.nearest(place.position), [water, place]);
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={2}>
        {SWING.title}
      </T>
      {swing ? (
        <>
          <Drawing stay={stay} water={water} places={places} now={now} />
          <T>{says(SWING.says, swing)}</T>
        </>
      ) : (
        <T as="soft">{HOLD.noHold}</T>
      )}
      <T as="soft">
        {nearest
          ? says(SWING.shore, { metres: nearest.metres, bearing: Math.round(nearest.bearing) })
          : SWING.noShore}
      </T>
      {pull.lies.heading === undefined ? null : (
        <T as="soft">{says(SWING.lies, { heading: Math.round(pull.lies.heading) })}</T>
      )}
    </View>
  );
}

function Drawing({
  stay: { place },
  water,
  places,
  now,
}: {
  stay: Stay;
  water: Water | undefined;
  places: readonly Place[];
  now: Held;
}) {
  const p = usePalette();
  const { says } = useTrip();
  const [width, setWidth] = useState(340);
  const { swing, pull } = now;
  const middle = middleOf(water?.chart, [place]);
  const radius = swing?.high ?? 0;
  const scale = (SHARE * HIGH) / Math.max(radius, 1);
  const frame = useMemo(() => {
    const here = spotOf(place.position, middle);
    const perUnit = metresAt(place.position.lat);
    return ([lat, lon]: Corner) => {
      const spot = spotOf({ lat, lon }, middle);
      return { x: (spot.x - here.x) * perUnit, y: (here.y - spot.y) * perUnit };
    };
  }, [place, middle]);
  const bar = BARS.find((metres) => metres * scale < width / 3) ?? BARS[BARS.length - 1];
  const lies = ((pull.lies.towards ?? 0) * Math.PI) / 180;
  return (
    <View
      role="img"
      aria-label={SWING.drawn}
      onLayout={(e) => setWidth(Math.round(e.nativeEvent.layout.width))}
    >
      <Svg width="100%" height={HIGH} style={{ backgroundColor: p.water3 }} aria-hidden>
        <Shore water={water} middle={middle} frame={frame} scale={scale} width={width} />
        {places
          .filter(({ kind, id }) => kind === 'hazard' && id !== place.id)
          .map((hazard) => {
            const at = frame([hazard.position.lat, hazard.position.lon]);
            return (
              <Circle
                key={hazard.id}
                cx={width / 2 + at.x * scale}
                cy={HIGH / 2 + at.y * scale}
                r={Math.max(3, (hazard.reach ?? 0) * scale)}
                fill="none"
                stroke={p.ink}
                strokeDasharray="2 3"
              />
            );
          })}
        <Circle cx={width / 2} cy={HIGH / 2} r={radius * scale} fill="none" stroke={p.ink} strokeWidth={2} />
        <Circle
          cx={width / 2}
          cy={HIGH / 2}
          r={(swing?.low ?? 0) * scale}
          fill="none"
          stroke={p.ink}
          strokeDasharray="4 3"
        />
        {pull.lies.towards === undefined ? null : (
          <Line
            x1={width / 2}
            y1={HIGH / 2}
            x2={width / 2 + (swing?.low ?? 0) * scale * Math.sin(lies)}
            y2={HIGH / 2 - (swing?.low ?? 0) * scale * Math.cos(lies)}
            stroke={p.ink}
            strokeWidth={3}
          />
        )}
        <Circle cx={width / 2} cy={HIGH / 2} r={4} fill={p.ink} />
        <Line x1={12} x2={12 + bar * scale} y1={HIGH - 12} y2={HIGH - 12} stroke={p.ink} strokeWidth={2} />
        <SvgText
          x={18 + bar * scale}
          y={HIGH - 8}
          fontFamily={FONT.narrow}
          fontSize={SIZE.label}
          fill={p.ink}
        >
          {says(SWING.bar, { metres: bar })}
        </SvgText>
      </Svg>
    </View>
  );
}

/** Drawn once for a scale. */
const Shore = memo(function Shore({
  water,
  middle,
  frame,
  scale,
  width,
}: {
  water: Water | undefined;
  middle: number;
  frame: (corner: Corner) => { x: number; y: number };
  scale: number;
  width: number;
}) {
  const p = usePalette();
  const lines = useMemo(() => drawn(water?.chart, middle), [water, middle]);
  const path = (corners: Corner[], close: boolean) =>
    corners
      .map(frame)
      .reduce(
        (all, { x, y }, i) =>
          all.concat(
            i === 0 ? 'M' : 'L',
            (width / 2 + x * scale).toFixed(1),
            ' ',
            (HIGH / 2 + y * scale).toFixed(1),
          ),
        '',
      )
      .concat(close ? 'Z' : '');
  return (
    <>
      {lines.land.map((rings, i) => (
        <Path
          key={i}
          d={rings.map((ring) => path(ring, true)).join('')}
          fillRule="evenodd"
          fill={p.land}
          stroke={p.ink}
        />
      ))}
      {[...lines.water.flat(), ...lines.lines].map((corners, i) => (
        <Path key={i} d={path(corners, false)} fill="none" stroke={p.ink} />
      ))}
    </>
  );
});
