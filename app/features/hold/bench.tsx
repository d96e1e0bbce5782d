import { useDeferredValue, useMemo } from 'react';
import { View } from 'react-native';
import {
  deepest,
  heightOver,
  heldAt,
  needed,
  onEdge,
  outOf,
  rodeOf,
  soundingOf,
  type Lying,
  type Tackle,
} from '@escale/core/hold';
import { Choice } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { useWide } from '../../ui/page';
import { useTripChange } from '../trip/trip-form';
import { AnchorBars } from './anchor-bars';
import { HeelView } from './heel-view';
import { Rests } from './rests';
import { ScopeView } from './scope-view';
import { Sliders } from './sliders';
import { SwingView } from './swing-view';
import type { Held } from './use-hold';
import { useTried } from './use-tried';
import { WhichHour } from './which-hour';
import { HOLD, RESTS } from './words';

const NOTHING: Tackle = { anchor: { usual: { low: 0, high: 0 } } };

/** One hour of a stay to try out at anchor: chart and section, and sliders by which everything follows. */
export function Bench({ held, lying }: { held: Held; lying: Lying }) {
  const wide = useWide();
  const { at, overs, best } = held;
  const worst = best?.worst?.hour.at;
  const trying = useTried(at, lying, worst);
  const { comes, fast, tried } = trying;
  const { item, tackle: usual } = best ?? {};
  // All that is aboard of it, not what is let out.
  const rode = useMemo(() => item && rodeOf(item), [item]);
  const there = rode && rode.line + rode.chain;
  const out = tried.out ?? (usual?.rode && usual.rode.line + usual.rode.chain);
  const tackle = useMemo<Tackle | undefined>(
    () => usual && { ...usual, ...(rode && out !== undefined ? { rode: outOf(rode, out) } : {}) },
    [usual, rode, out],
  );
  // What somebody moved is what they sounded.
  const sounded = tried.depth !== undefined || soundingOf(at.stay.place, at.on.water)?.least !== true;
  const now = useMemo(
    () => heldAt(lying, fast, tackle ?? NOTHING, comes, comes.depth, sounded),
    [lying, fast, tackle, comes, sounded],
  );
  const height = comes.depth === undefined ? undefined : heightOver(lying, fast, comes.depth);
  const deep = deepest(at);
  const need = deep && needed('usual', heightOver(lying, onEdge(lying.hull, 1, 0), deep.depth));
  const lacks = !item
    ? HOLD.noAnchor
    : !rode
      ? HOLD.noLine
      : comes.depth === undefined
        ? HOLD.noDepth
        : HOLD.short;
  // Ten balances of her: a finger that moves does not wait for them.
  const [followed, after, led] = [useDeferredValue(now), useDeferredValue(comes), useDeferredValue(fast)];
  return (
    <View style={{ gap: 18 }}>
      <WhichHour hours={at.hours} worst={worst} trying={trying} />
      <AnchorBars
        lying={lying}
        fast={fast}
        comes={comes}
        overs={overs}
        best={best}
        tackle={tackle}
        now={now}
        sounded={sounded}
      />
      {overs.length > 1 ? <WhichAnchor held={held} /> : null}
      <Sliders trying={trying} lying={lying} there={there} out={out} />
      <View style={{ flexDirection: wide ? 'row' : 'column', gap: 18 }}>
        <View style={{ flex: wide ? 1 : undefined }}>
          <SwingView stay={at.stay} water={at.on.water} places={at.on.places} now={now} lacks={lacks} />
        </View>
        <View style={{ flex: wide ? 1 : undefined }}>
          <ScopeView
            lying={lying}
            now={now}
            lacks={lacks}
            {...(tackle?.rode ? { rode: tackle.rode } : {})}
            {...(height === undefined ? {} : { height })}
            {...(comes.depth === undefined ? {} : { depth: comes.depth })}
            {...(need === undefined ? {} : { need })}
            {...(there === undefined ? {} : { there })}
          />
        </View>
      </View>
      <HeelView lying={lying} fast={led} pull={followed.pull} comes={after} down={followed.taut?.boat ?? 0} />
      <Fold title={RESTS.title}>
        <Rests lying={lying} fast={fast} comes={comes} tackle={tackle} now={now} />
      </Fold>
    </View>
  );
}

function WhichAnchor({ held: { overs, best, at } }: { held: Held }) {
  const change = useTripChange();
  return (
    <Choice
      label={HOLD.anchor}
      options={overs.map(({ item }) => ({ value: item.id, label: item.name }))}
      value={best?.item.id}
      onChange={(id) => change(`/halts/${at.stay.n}/anchor`, id, at.stay.place.name)}
    />
  );
}
