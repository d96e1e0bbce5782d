import { memo, useMemo } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import {
  heap,
  pulledOver,
  rollsIn,
  type Fastening,
  type Hour,
  type Lying,
  type Pull,
} from '@escale/core/hold';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { section } from '../boat/outline';
import { useTrip } from '../trip/use-trip';
import { HEEL } from './words';

const HIGH = 170,
  WIDE = 260;
const degrees = (radians: number) => (radians * 180) / Math.PI;
/** A load this small from the side is none, newtons. */
const NONE = 0.5;

/** How far the pull heels her from where she is made fast, by her own balance. */
export const HeelView = memo(function HeelView({
  lying,
  fast,
  pull,
  comes,
  down,
}: {
  lying: Lying;
  fast: Fastening;
  pull: Pull;
  comes: Hour;
  down: number;
}) {
  const { says } = useTrip();
  const found = useMemo(() => pulledOver(lying, fast, pull, down), [lying, fast, pull, down]);
  // Ten balances: asked for when she is made fast elsewhere or it blows otherwise, not for each step of a stream.
  const steep = Math.round(down / STEEP) * STEEP;
  const { wind, wave } = comes;
  const limit = useMemo(
    () =>
      fast.y === 0
        ? undefined
        : rollsIn(lying, fast, { ...(wind ? { wind } : {}), ...(wave === undefined ? {} : { wave }) }, steep),
    [lying, fast, wind, wave, steep],
  );
  const heaped = fast.y === 0 ? 0 : heap(comes.stream?.speed ?? 0);
  const { across, least, most } = found;
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={2}>
        {HEEL.title}
      </T>
      <Drawing lying={lying} heel={most?.heel} fast={fast} />
      {across.most < NONE ? (
        <T>{HEEL.straight}</T>
      ) : (
        <T as="strong">
          {most && least
            ? says(most.free.lowest > heaped ? HEEL.heels : HEEL.edge, {
                low: across.least,
                high: across.most,
                least: Math.min(Math.abs(least.heel), Math.abs(most.heel)),
                most: Math.max(Math.abs(least.heel), Math.abs(most.heel)),
                free: most.free.lowest,
              })
            : says(HEEL.over, { high: across.most })}
        </T>
      )}
      {most && most.heel < 0 && across.most >= NONE ? <T as="soft">{HEEL.leeward}</T> : null}
      {fast.y === 0 ? null : <T>{limit === undefined ? HEEL.none : says(HEEL.limit, { ...limit })}</T>}
    </View>
  );
});
const STEEP = 0.05;

function Drawing({ lying, heel, fast }: { lying: Lying; heel: number | undefined; fast: Fastening }) {
  const p = usePalette();
  const { hull, exposed } = lying;
  const scale = Math.min((WIDE - 90) / hull.beam, (HIGH - 40) / (hull.depth * 2.2));
  const middle = WIDE / 2,
    sea = HIGH * 0.6;
  const y = (metres: number) => middle - metres * scale;
  const z = (metres: number) => sea - (metres - exposed.waterline) * scale;
  // Gone over she lies on her side.
  const turned = heel === undefined ? 100 : degrees(heel);
  return (
    <View role="img" aria-label={HEEL.drawn}>
      <Svg width={WIDE} height={HIGH} aria-hidden>
        <Rect x={0} y={sea} width={WIDE} height={HIGH - sea} fill={p.water3} />
        <G transform={`rotate(${-turned} ${middle} ${sea})`}>
          {section(hull, y, z).map((d) => (
            <Path key={d} d={d} fill={p.raised} stroke={p.ink} strokeWidth={1.6} />
          ))}
          {fast.y === 0 ? null : (
            <Rect x={y(fast.y) - 4} y={z(fast.z) - 4} width={8} height={8} fill={p.ink} />
          )}
        </G>
        {fast.y === 0 ? null : (
          <Line x1={6} x2={y(fast.y)} y1={z(fast.z) + 14} y2={z(fast.z)} stroke={p.ink} strokeWidth={2} />
        )}
        <Line x1={0} x2={WIDE} y1={sea} y2={sea} stroke={p.water1} strokeWidth={2} />
      </Svg>
    </View>
  );
}
