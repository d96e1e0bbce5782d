import { View } from 'react-native';
import {
  leadShare,
  ratioOf,
  surge,
  type Fastening,
  type Held,
  type Hour,
  type Lying,
  type Tackle,
} from '@escale/core/hold';
import { windAtHeight } from '@escale/core/water';
import { SourceLine } from '../trip/finding-card';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { RESTS } from './words';

/** Where pull and holding come from: what went in, the formula in words, the sources and how sure each is. */
export function Rests({
  lying: { exposed, guessed },
  fast,
  comes,
  tackle,
  now,
}: {
  lying: Lying;
  fast: Fastening;
  comes: Hour;
  tackle?: Tackle | undefined;
  now: Held;
}) {
  const { says } = useTrip();
  const { air, water, height } = exposed;
  const two = (value: number) => Math.round(100 * value) / 100;
  const { anchor, seabed } = tackle ?? {};
  const ratio = ratioOf(anchor?.kind, seabed);
  const share = leadShare(now.taut?.anchor ?? 0);
  return (
    <View style={{ gap: 8, padding: 12 }}>
      <T>{RESTS.formula}</T>
      <T>
        {says(RESTS.air, {
          low: two(air.bow.low),
          high: two(air.bow.high),
          least: two(air.beam.low),
          most: two(air.beam.high),
          height,
        })}
      </T>
      {comes.wind ? (
        <T>{says(RESTS.wind, { wind: comes.wind.speed, there: windAtHeight(comes.wind.speed, height) })}</T>
      ) : null}
      <T>
        {says(RESTS.water, {
          low: two(water.bow.low),
          high: two(water.bow.high),
          least: two(water.beam.low),
          most: two(water.beam.high),
        })}
      </T>
      <T>{says(RESTS.surge, { times: surge(comes.wave) })}</T>
      <T>{says(RESTS.made, { z: Math.max(0, fast.z - exposed.waterline) })}</T>
      {guessed ? <T>{RESTS.guessed}</T> : null}
      <SourceLine finding={{ id: 'hold', source: { id: 'wind-force' } }} />
      {ratio ? (
        <>
          <T>{says(RESTS.ratio, ratio)}</T>
          <T>{says(RESTS.lead, share)}</T>
          <SourceLine finding={{ id: 'hold', source: { id: 'anchor-tests', confidence: 'L' } }} />
        </>
      ) : (
        <>
          <T>{RESTS.weight}</T>
          <SourceLine finding={{ id: 'hold', source: { id: 'dead-weight', confidence: 'M' } }} />
        </>
      )}
      <SourceLine finding={{ id: 'hold', source: { id: 'scope', confidence: 'H' } }} />
    </View>
  );
}
