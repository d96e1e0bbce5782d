import { useMemo } from 'react';
import { View } from 'react-native';
import { FLARE_OUT } from '@escale/core/kit';
import { toSignal } from '@escale/core/kit/to-signal';
import { MS } from '@escale/core/units';
import type { Band } from '@escale/core/numeric';
import { phrase, render } from '@escale/core/say';
import {
  CLEAR,
  COMES_AT,
  EYE,
  layersLeft,
  layersOf,
  reachOf,
  type Layer,
  type Lost,
  type Signal,
} from '@escale/core/signals';
import { seenToday, type SeenToday } from '@escale/core/trip/seen-today';
import { Tick } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useNow } from '../../data/hooks';
import { tick } from '../../data/outbox';
import { packListOf, useTrip } from '../trip/use-trip';
import { LAYERS } from './layer-words';

/** Signals layer by layer: where they are, how far they reach, what is left when boat or box are gone, and how soon one is seen. */
export function SignalsBlock() {
  const { prepared, assessment, input, trip, ticks } = useTrip();
  const now = useNow(MS.minute);
  const { pieces } = prepared.match(assessment.leave).kit;
  const signals = useMemo(() => toSignal(pieces), [pieces]);
  const today = useMemo(() => seenToday(input, assessment.schedule), [input, assessment.schedule]);
  const boxed = signals.some(({ boxed: inBox }) => inBox);
  return (
    <View style={{ gap: 12, padding: 12 }}>
      <T as="soft">{LAYERS.lead}</T>
      <View role="list" aria-label={LAYERS.title}>
        {layersOf(signals).map((layer) => (
          <LayerRow key={layer.layer.id} layer={layer} visibility={today.visibility ?? CLEAR} />
        ))}
      </View>
      <Left signals={signals} lost="boat" />
      {boxed ? <Left signals={signals} lost="box" /> : <T as="small">{LAYERS.box}</T>}
      <T as="small">{LAYERS.settled}</T>
      <T as="soft">{LAYERS.schools}</T>
      <Tick
        label={LAYERS.flareOut}
        note={LAYERS.flareWhy}
        on={ticks.has(FLARE_OUT)}
        onChange={(on) => void tick(packListOf(trip.id), FLARE_OUT, on, now)}
      />
      <TimeToBeSeen today={today} />
    </View>
  );
}

/** Both ends are bounded by the curve of the water alone. */
const same = ({ low, high }: Band) => high - low < NEAR * high;
const NEAR = 0.01;

function LayerRow({
  layer: { layer, onBody, inReach, stowed },
  visibility,
}: {
  layer: Layer;
  visibility: number;
}) {
  const p = usePalette();
  const { reader, says } = useTrip();
  const reach = reachOf(layer, visibility, EYE);
  const nameOf = (each: Signal) => {
    const name = says(each.count > 1 ? LAYERS.several : LAYERS.one, { name: each.name, count: each.count });
    return each.sure ? name : says(LAYERS.open, { name });
  };
  const named = (things: readonly Signal[]) => things.map(nameOf).join(', ');
  const places = [
    [LAYERS.onBody, onBody],
    [LAYERS.inReach, inReach],
    [LAYERS.stowed, stowed],
  ] as const;
  const there = places.filter(([, things]) => things.length > 0);
  return (
    <View role="listitem" style={{ borderBottomWidth: 1, borderColor: p.line, paddingVertical: 6 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
        <T as="strong">{render(phrase(`layer.${layer.id}`), reader)}</T>
        <T as="small">{reach ? says(same(reach) ? LAYERS.most : LAYERS.far, { ...reach }) : ''}</T>
      </View>
      {there.length === 0 ? <T as="soft">{LAYERS.none}</T> : null}
      {there.map(([where, things]) => (
        <View key={where} style={{ flexDirection: 'row', gap: 8 }}>
          <T as="small" style={{ width: 72 }}>
            {where}
          </T>
          <T style={{ flex: 1 }}>{named(things)}</T>
        </View>
      ))}
    </View>
  );
}

function Left({ signals, lost }: { signals: readonly Signal[]; lost: Lost }) {
  const { reader, says } = useTrip();
  const left = (when: 'day' | 'night') =>
    layersLeft(signals, lost, when).map(({ id }) => render(phrase(`layer.${id}`), reader).toLowerCase());
  const [day, night] = [left('day'), left('night')];
  return (
    <View>
      <T as="strong">{lost === 'boat' ? LAYERS.left : LAYERS.leftBox}</T>
      <T>{day.length > 0 ? says(LAYERS.byDay, { what: day }) : LAYERS.dayNone}</T>
      <T>{night.length > 0 ? says(LAYERS.byNight, { what: night }) : LAYERS.nightNone}</T>
    </View>
  );
}

function TimeToBeSeen({ today: { seen, visibility, wave, invented } }: { today: SeenToday }) {
  const { says } = useTrip();
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={3}>
        {LAYERS.seen}
      </T>
      <T as="soft">{says(LAYERS.seenLead, { speed: COMES_AT })}</T>
      {seen.map(({ what, day, night }) => {
        const told = ({ from, seconds }: typeof day) => ({
          ...from,
          least: Math.round(seconds.low),
          most: Math.round(seconds.high),
        });
        return (
          <View key={what}>
            <T as="strong">{LAYERS[what]}</T>
            <T>{says(LAYERS.day, told(day))}</T>
            <T>{says(LAYERS.night, told(night))}</T>
            {day.hidden === undefined ? null : (
              <T>
                {wave === undefined
                  ? says(LAYERS.hidden, { hidden: day.hidden })
                  : says(LAYERS.hides, { hidden: day.hidden, wave })}
              </T>
            )}
          </View>
        );
      })}
      <T as="small">{visibility === undefined ? LAYERS.clear : says(LAYERS.dim, { visibility })}</T>
      {invented ? <T as="small">{LAYERS.invented}</T> : null}
      <T as="small">{LAYERS.estimate}</T>
    </View>
  );
}
