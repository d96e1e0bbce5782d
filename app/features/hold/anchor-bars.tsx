import { useDeferredValue, useMemo } from 'react';
import { View } from 'react-native';
import {
  buildersLoad,
  dragsAt,
  heldAt,
  MOST_WIND,
  VOUCHED,
  type Fastening,
  type Held as HeldNow,
  type Hour,
  type Lying,
  type Over,
  type Tackle,
} from '@escale/core/hold';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { BandBar, FAR } from './bands';
import { PullSaid } from './pull-said';
import { HOLD, STANDS } from './words';

/** What the line has to hold, and what each anchor aboard holds here, as bands on one scale. */
export function AnchorBars({
  lying,
  fast,
  comes,
  overs,
  best,
  tackle,
  now,
  sounded,
}: {
  lying: Lying;
  fast: Fastening;
  comes: Hour;
  overs: Over[];
  best: Over | undefined;
  tackle: Tackle | undefined;
  now: HeldNow;
  /** The depth is that of the place, and not the least of an area. */
  sounded: boolean;
}) {
  const { says } = useTrip();
  const { load } = now.pull;
  const others = overs
    .filter(({ item }) => item.id !== best?.item.id)
    .map((over) => ({ over, held: heldAt(lying, fast, over.tackle, comes, comes.depth, sounded) }));
  const rows = [...(best ? [{ over: best, held: now }] : []), ...others];
  const most = Math.max(load.high, ...rows.map(({ held }) => Math.min(held.hold.high, FAR * load.high))) || 1;
  return (
    <View style={{ gap: 10 }}>
      <PullSaid pull={now.pull} comes={comes} />
      <Builders lying={lying} comes={comes} />
      <BandBar most={most} band={load} />
      {rows.map(({ over, held }) => (
        <View key={over.item.id} style={{ gap: 2 }}>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between', gap: 8 }}>
            <T as="strong">{says(HOLD.holds, { anchor: over.item.name })}</T>
            <T>{held.hold.high > 0 && held.taut ? says(HOLD.band, held.hold) : HOLD.noHold}</T>
          </View>
          <BandBar most={most} band={held.hold} against={load} />
          <T as="strong" {...(over === best ? { role: 'status' as const } : {})}>
            {STANDS[held.stands]}
          </T>
        </View>
      ))}
      {tackle && sounded ? <Drags lying={lying} fast={fast} tackle={tackle} comes={comes} /> : null}
    </View>
  );
}
function Builders({ lying, comes }: { lying: Lying; comes: Hour }) {
  const { says } = useTrip();
  const load =
    comes.wind && MADE_FOR.has(lying.boat.kind) && buildersLoad(lying.hull.length, comes.wind.speed);
  return load ? <T as="soft">{says(HOLD.builders, { load })}</T> : null;
}
/** Boats of which that table speaks. */
const MADE_FOR: ReadonlySet<string> = new Set(['skiff', 'trailer-boat', 'inflatable']);

/** From which wind or stream on it may drag, the other as it is; a finger that moves does not wait for it. */
function Drags({
  lying,
  fast,
  tackle,
  comes,
}: {
  lying: Lying;
  fast: Fastening;
  tackle: Tackle;
  comes: Hour;
}) {
  const { says } = useTrip();
  const [asked, at, by] = [useDeferredValue(comes), useDeferredValue(fast), useDeferredValue(tackle)];
  const drags = useMemo(() => dragsAt(lying, at, by, asked, asked.depth), [lying, at, by, asked]);
  const { weighs, kind } = tackle.anchor;
  // Of an anchor that nobody vouches for no wind is told.
  if (weighs === undefined || weighs < VOUCHED || !kind || !tackle.rode) return null;
  const { may, surely } = drags.wind;
  const wind =
    may === undefined
      ? says(HOLD.dragsNever, { most: MOST_WIND })
      : may <= 0
        ? HOLD.dragsAtOnce
        : !comes.stream
          ? says(HOLD.dragsStill, { may })
          : surely === undefined
            ? says(HOLD.dragsFrom, { may })
            : says(HOLD.dragsSurely, { may, surely });
  const stream = drags.stream.may;
  return (
    <View>
      <T>{wind}</T>
      {stream === undefined || stream <= 0 ? null : <T>{says(HOLD.dragsStream, { may: stream })}</T>}
    </View>
  );
}
