import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import {
  poleHours,
  poleLine,
  poleOf,
  polesAboard,
  pullOn,
  stakedAt,
  type AtStay,
  type Lying,
  type Staked,
} from '@escale/core/hold';
import { guessed } from '@escale/core/verdict';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { profile } from '../boat/outline';
import { useTrip } from '../trip/use-trip';
import { BandBar, FAR } from './bands';
import { HeelView } from './heel-view';
import { PullSaid } from './pull-said';
import { Sliders } from './sliders';
import { useTried } from './use-tried';
import { WhichHour } from './which-hour';
import { HOLD, POLE, POLE_STANDS } from './words';

/** One hour of a stay to try out on a pole: what pulls, what the ground and the pole hold, how it bends, how long its line is. */
export function PoleBench({ at, lying }: { at: AtStay; lying: Lying }) {
  const { says } = useTrip();
  const [item] = polesAboard(at.on);
  const { place } = at.stay;
  const all = useMemo(() => (item ? poleHours(at, item) : []), [at, item]);
  const worst = all.reduce<(typeof all)[number] | undefined>(
    (bad, each) => (!bad || each.pull.load.high > bad.pull.load.high ? each : bad),
    undefined,
  )?.hour.at;
  const trying = useTried(at, lying, worst);
  const { comes, fast } = trying;
  const pull = useMemo(() => pullOn(lying.exposed, fast, comes, lying.density), [lying, fast, comes]);
  const seabed = guessed(place, '/seabed') ? undefined : place.seabed;
  const staked = item && comes.depth !== undefined ? stakedAt(poleOf(item), seabed, comes.depth) : undefined;
  const line = poleLine(lying.hull.length, comes.wave);
  const [followed, after, led] = [useDeferredValue(pull), useDeferredValue(comes), useDeferredValue(fast)];
  return (
    <View style={{ gap: 18 }}>
      <WhichHour hours={at.hours} worst={worst} trying={trying} />
      <PullSaid pull={pull} comes={comes} />
      {item && staked ? (
        <Stands name={item.name} pull={pull.load} staked={staked} known={!!comes.wind && !!comes.stream} />
      ) : (
        <T as="soft">{item ? POLE.noMeasures : POLE.none}</T>
      )}
      <Sliders trying={trying} lying={lying} />
      {staked && comes.depth !== undefined ? (
        <PoleDrawing lying={lying} staked={staked} depth={comes.depth} pull={pull.load.high} />
      ) : null}
      <T>{says(POLE.line, line)}</T>
      <T as="soft">{POLE.lines}</T>
      <HeelView lying={lying} fast={led} pull={followed} comes={after} down={0} />
    </View>
  );
}

function Stands({
  name,
  pull,
  staked: { hold, breaks, bend, depth },
  known,
}: {
  name: string;
  pull: { low: number; high: number };
  staked: Staked;
  known: boolean;
}) {
  const { says } = useTrip();
  const stands = !known ? 'unknown' : pull.low > hold.high ? 'drags' : pull.high < hold.low ? 'holds' : 'may';
  return (
    <View style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between', gap: 8 }}>
        <T as="strong">{says(HOLD.holds, { anchor: name })}</T>
        <T>{says(HOLD.band, hold)}</T>
      </View>
      <BandBar band={hold} against={pull} most={Math.max(pull.high, Math.min(hold.high, FAR * pull.high))} />
      <T as="strong" role="status">
        {POLE_STANDS[stands]}
      </T>
      <T as="soft">{says(POLE.ground, depth)}</T>
      <T as="soft">{says(POLE.bends, { low: bend.low * pull.low, high: bend.high * pull.high })}</T>
      <T as="soft">{says(POLE.breaks, breaks)}</T>
    </View>
  );
}

const HIGH = 170,
  MARGIN = 12;

/** The pole in the ground as it bends at the most of the pull, one scale for both ways. */
function PoleDrawing({
  lying: { hull, exposed },
  staked: { depth, height, bend },
  depth: water,
  pull,
}: {
  lying: Lying;
  staked: Staked;
  depth: number;
  pull: number;
}) {
  const p = usePalette();
  const [width, setWidth] = useState(340);
  const deep = Math.max(depth.high, 0.1);
  const over = Math.max(height - water + 0.2, hull.depth);
  const scale = Math.min(
    (HIGH - 2 * MARGIN) / (water + deep + over),
    (width - 2 * MARGIN) / (hull.length + 1),
  );
  const ground = HIGH - MARGIN - deep * scale;
  const z = (metres: number) => ground - metres * scale;
  const foot = MARGIN + 0.3 * scale;
  const tip = foot + Math.min(0.8 * height, (bend.high + bend.low) * 0.5 * pull) * scale;
  // She lies behind it, her bow to the pole.
  const from = tip + 0.3 * scale;
  const her = profile(
    hull,
    (m) => from + (hull.length - m) * scale,
    (m) => z(water + m - exposed.waterline),
  );
  return (
    <View
      role="img"
      aria-label={POLE.drawn}
      onLayout={(e) => setWidth(Math.round(e.nativeEvent.layout.width))}
    >
      <Svg width="100%" height={HIGH} aria-hidden>
        <Rect x={0} y={z(water)} width={width} height={water * scale} fill={p.water3} />
        <Line x1={0} x2={width} y1={z(water)} y2={z(water)} stroke={p.water1} strokeWidth={1.5} />
        <Rect x={0} y={ground} width={width} height={HIGH - ground} fill={p.land} />
        <Line x1={0} x2={width} y1={ground} y2={ground} stroke={p.ink} strokeWidth={1.5} />
        <Path
          d={`M${foot} ${z(-depth.low)}L${foot} ${z(0)}Q${foot} ${z(height / 2)} ${tip} ${z(height)}`}
          fill="none"
          stroke={p.ink}
          strokeWidth={3}
        />
        <Line x1={tip} x2={from} y1={z(height)} y2={z(water + hull.depth * 0.6)} stroke={p.ink} />
        <Path d={her} fill={p.raised} stroke={p.ink} strokeWidth={1.4} />
      </Svg>
    </View>
  );
}
