import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Polygon, Rect } from 'react-native-svg';
import type { Boat } from '@escale/core/model';
import type { Given, Righting, Rigged } from '@escale/core/recover';
import { SvgLabel } from '../../ui/svg-label';
import { usePalette } from '../../ui/theme';
import type { Palette } from '../../ui/tokens';
import { useTrip } from '../trip/use-trip';
import { RIGHT } from './righting-words';

/** Drawn only, never told, m: a body, her hulls, and how far people stand over the water. */
const TALL = 1.75,
  HULL = 0.22,
  FEET = 0.12,
  HANDS = 0.7,
  MIDDLE = 0.55,
  HEAD = 0.12,
  /** Across her by hand: nearly lying, legs under the surface. */
  ACROSS = 1.05,
  IN_WATER = -0.35;
const MOST = 150,
  BELOW = 58,
  MARGIN = 14,
  ARROW = 46;

const degrees = (radians: number) => Math.round((radians * 180) / Math.PI);

interface Scene {
  /** Metres from the edge on which people stand, and up. */
  x: (metres: number) => number;
  y: (metres: number) => number;
  scale: number;
  p: Palette;
}

/**
 * The free body, to scale: her on her side or upside down, who leans out, and the two weights with their levers about the
 * edge on which she turns.
 */
export function FreeBody({
  boat,
  found,
  given,
  rig,
}: {
  boat: Boat;
  found: Righting;
  given: Given;
  rig: Rigged | undefined;
}) {
  const p = usePalette();
  const { says } = useTrip();
  const [width, setWidth] = useState(0);
  const { lean, lever, way, rest, need } = found;
  // Who lies across her hangs from the edge, legs in the water.
  const angle = lean ? (lean.low + lean.high) / 2 : ACROSS;
  const feet = lean ? FEET : IN_WATER;
  const hung = lever ? (lever.low + lever.high) / 2 : MIDDLE * TALL * Math.sin(angle);
  const beam = way === 'mast' ? rig?.beam : boat.beam;
  if (beam === undefined) return null;
  const mast = way === 'mast' && rig && rest !== undefined ? { ...rig, rest } : undefined;
  const right = mast ? mast.mast + 0.6 : beam + 0.6;
  const left = TALL + 0.5;
  const high = Math.max(beam, TALL * Math.cos(angle) + feet) + HULL + HEAD;
  const scale = Math.min((width - 2 * MARGIN) / (left + right), MOST / high);
  const water = MARGIN + high * scale;
  const height = water + BELOW;
  const scene: Scene = {
    x: (metres) => MARGIN + (left + metres) * scale,
    y: (metres) => water - metres * scale,
    scale,
    p,
  };
  const middle = (need.low + need.high) / 2;
  const mass = mast ? mast.mass + given.water : (boat.mass ?? 0);
  const hangs = mass > 0 ? middle / (9.80665 * mass) : beam / 2;
  const who = found.people.filter((h) => found.together?.ids.includes(h.id)).map((h) => h.name);
  const label = says(mast ? RIGHT.drawnMast : lean ? RIGHT.drawnEdge : RIGHT.drawnHand, {
    who: who.join(', '),
    angle: degrees(angle),
  });
  const fastening = mast
    ? { across: beam * Math.sin(mast.rest), up: beam * Math.cos(mast.rest) }
    : { across: beam, up: HULL };
  return (
    <View
      role="img"
      aria-label={label}
      onLayout={(event) => setWidth(Math.round(event.nativeEvent.layout.width))}
    >
      {width > 0 ? (
        <Svg width={width} height={height} aria-hidden>
          <Rect x={0} y={water} width={width} height={height - water} fill={p.water3} />
          <Line x1={0} x2={width} y1={water} y2={water} stroke={p.water1} strokeWidth={2} />
          {mast ? <OnHerSide scene={scene} rig={mast} /> : <UpsideDown scene={scene} beam={beam} />}
          {given.on?.length === 0 ? null : <Leaning scene={scene} angle={angle} feet={feet} to={fastening} />}
          <Weight scene={scene} at={-hung} up={Math.max(feet, 0) + MIDDLE * TALL * Math.cos(angle)} />
          <Weight scene={scene} at={hangs} up={beam / 2.6} />
          <Circle cx={scene.x(0)} cy={water} r={4} fill={p.paper} stroke={p.ink} strokeWidth={2} />
          <SvgLabel ink={p.ink} x={MARGIN} y={water + 28} anchor="start">
            {found.together ? says(RIGHT.gives, { ...found.together.gives }) : RIGHT.unknown}
          </SvgLabel>
          <SvgLabel ink={p.ink} x={MARGIN} y={water + 46} anchor="start">
            {lean
              ? says(RIGHT.lean, { low: degrees(lean.low), high: degrees(lean.high) })
              : says(RIGHT.hangs, { ...(lever ?? need) })}
          </SvgLabel>
          <SvgLabel ink={p.ink} x={width - MARGIN} y={water + 28} anchor="end">
            {says(RIGHT.gives, { ...need })}
          </SvgLabel>
          <SvgLabel ink={p.ink} x={width - MARGIN} y={water + 46} anchor="end">
            {RIGHT.holds}
          </SvgLabel>
        </Svg>
      ) : (
        <View style={{ height: MOST + BELOW }} />
      )}
    </View>
  );
}

function OnHerSide({ scene: { x, y, scale, p }, rig }: { scene: Scene; rig: Rigged & { rest: number } }) {
  const { beam, mast, rest } = rig;
  const top = { x: beam * Math.sin(rest), y: beam * Math.cos(rest) };
  const foot = { x: top.x / 2, y: top.y / 2 };
  const tip = { x: foot.x + mast * Math.cos(rest), y: foot.y - mast * Math.sin(rest) };
  return (
    <G>
      <Path
        d={`M${x(foot.x)} ${y(foot.y)}L${x(tip.x)} ${y(tip.y)}L${x(foot.x + 0.9)} ${y(foot.y + 0.35)}Z`}
        fill={p.water2}
        opacity={0.5}
      />
      <Line x1={x(0)} y1={y(0)} x2={x(top.x)} y2={y(top.y)} stroke={p.ink} strokeWidth={3} />
      <Line x1={x(foot.x)} y1={y(foot.y)} x2={x(tip.x)} y2={y(tip.y)} stroke={p.ink} strokeWidth={3} />
      {[{ x: 0, y: 0 }, top].map((hull, i) => (
        <Circle
          key={i}
          cx={x(hull.x)}
          cy={y(hull.y)}
          r={HULL * scale}
          fill={p.raised}
          stroke={p.ink}
          strokeWidth={2}
        />
      ))}
      {rig.float ? (
        <Circle cx={x(tip.x)} cy={y(tip.y)} r={5} fill={p.raised} stroke={p.ink} strokeWidth={2} />
      ) : null}
    </G>
  );
}

function UpsideDown({ scene: { x, y, p }, beam }: { scene: Scene; beam: number }) {
  const points = [
    [0, -0.08],
    [0.12 * beam, HULL],
    [0.88 * beam, HULL],
    [beam, -0.08],
  ];
  return (
    <Polygon
      points={points.map(([mx, my]) => `${x(mx)},${y(my)}`).join(' ')}
      fill={p.raised}
      stroke={p.ink}
      strokeWidth={2}
    />
  );
}

function Leaning({
  scene: { x, y, scale, p },
  angle,
  feet: from,
  to,
}: {
  scene: Scene;
  angle: number;
  /** Over the water, m. */
  feet: number;
  to: { across: number; up: number };
}) {
  const at = (share: number) => ({
    x: x(-share * TALL * Math.sin(angle)),
    y: y(from + share * TALL * Math.cos(angle)),
  });
  const [feet, hands, head] = [at(0), at(HANDS), at(0.95)];
  return (
    <G>
      <Line
        x1={feet.x}
        y1={feet.y}
        x2={head.x}
        y2={head.y}
        stroke={p.ink}
        strokeWidth={6}
        strokeLinecap="round"
      />
      <Circle cx={head.x} cy={head.y} r={HEAD * scale + 2} fill={p.ink} />
      <Line
        x1={hands.x}
        y1={hands.y}
        x2={x(to.across)}
        y2={y(to.up)}
        stroke={p.ink}
        strokeWidth={1.4}
        strokeDasharray="5 3"
      />
    </G>
  );
}

/** A weight as an arrow down, with its lever along the water to the edge on which she turns. */
function Weight({ scene: { x, y, p }, at, up }: { scene: Scene; at: number; up: number }) {
  const [px, from] = [x(at), y(up)];
  const to = Math.min(from + ARROW, y(0) - 2);
  return (
    <G>
      <Line x1={px} x2={px} y1={from} y2={to} stroke={p.ink} strokeWidth={2.4} />
      <Polygon points={`${px - 5},${to - 8} ${px + 5},${to - 8} ${px},${to + 1}`} fill={p.ink} />
      <Line x1={px} x2={x(0)} y1={y(0) + 9} y2={y(0) + 9} stroke={p.ink} strokeWidth={1.2} />
      {[px, x(0)].map((end) => (
        <Line key={end} x1={end} x2={end} y1={y(0) + 4} y2={y(0) + 14} stroke={p.ink} strokeWidth={1.2} />
      ))}
    </G>
  );
}
