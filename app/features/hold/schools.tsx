import { View } from 'react-native';
import {
  holding,
  onEdge,
  poleOf,
  polesAboard,
  pullOn,
  stakedAt,
  type Anchor,
  type Lying,
  type OnHold,
} from '@escale/core/hold';
import { KNOT } from '@escale/core/units';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { SCHOOLS } from './words';

/** What the schools are shown with: a weight of two kilograms, a grapnel of one and a half, 15 knots, a metre of water. */
const WIND = 15 * KNOT,
  STEEL: Anchor = { kind: 'weight-steel', weighs: 2, usual: { low: 2, high: 2 } },
  GRAPNEL: Anchor = { kind: 'folding', weighs: 1.5, usual: { low: 1.5, high: 1.5 } },
  SHALLOW = 0.8,
  SEVEN = Math.asin(1 / 7);

/** A weight on cord, an anchor at seven to one, a pole in still shallows: each with its numbers for this boat, and when it is right. */
export function Schools({ on, lying }: { on: OnHold; lying: Lying }) {
  const { says } = useTrip();
  const wind = { speed: WIND, gust: WIND, direction: 0 };
  const bow = pullOn(lying.exposed, onEdge(lying.hull, 1, 0), { wind, wave: 0 }, lying.density).steady;
  const side = pullOn(lying.exposed, onEdge(lying.hull, 0.5, 1), { wind, wave: 0 }, lying.density).steady;
  const weight = holding(STEEL, 'sand', 0);
  const [item] = polesAboard(on);
  const pole = item ? poleOf(item) : { kind: 'glassfibre' as const, long: 2, thick: 0.02 };
  const staked = stakedAt(pole, 'mud', SHALLOW);
  return (
    <View style={{ gap: 8, padding: 12 }}>
      <T>
        {says(SCHOOLS.pulls, { wind: WIND, low: bow.low, high: bow.high, least: side.low, most: side.high })}
      </T>
      <T>{says(SCHOOLS.weight, { mass: STEEL.weighs ?? 0, ...weight })}</T>
      <T>{says(SCHOOLS.grapnel, { mass: GRAPNEL.weighs ?? 0, ...holding(GRAPNEL, 'rock', SEVEN) })}</T>
      {staked ? <T>{says(SCHOOLS.pole, { depth: SHALLOW, ...staked.hold })}</T> : null}
      <T as="soft">{SCHOOLS.which}</T>
    </View>
  );
}
