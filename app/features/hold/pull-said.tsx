import { View } from 'react-native';
import { surge, type Hour, type Pull } from '@escale/core/hold';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { HOLD } from './words';

/** What the line has to hold, as a band, and what of it is not known. */
export function PullSaid({ pull: { load, steady }, comes }: { pull: Pull; comes: Hour }) {
  const { says } = useTrip();
  const lacks = [
    ...(comes.wind ? [] : [HOLD.lackWind]),
    ...(comes.stream ? [] : [HOLD.lackStream]),
    ...(comes.depth === undefined ? [HOLD.lackDepth] : []),
  ];
  return (
    <View>
      <T as="caps">{HOLD.pull}</T>
      <T as="figure">{says(HOLD.band, load)}</T>
      <T as="soft">{says(HOLD.steady, { ...steady, times: surge(comes.wave) })}</T>
      {lacks.length > 0 ? <T>{says(HOLD.lacks, { what: lacks })}</T> : null}
    </View>
  );
}
