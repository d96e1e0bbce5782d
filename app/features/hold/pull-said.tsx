import { View } from 'react-native';
import { surge, type Hour, type Pull } from '@escale/core/hold';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { HOLD } from './words';

/** Less than this is no pull that is felt, newtons. */
const NONE = 0.5;

/** What the line has to hold, as a band, and what of it is not known. */
export function PullSaid({ pull: { load, steady }, comes }: { pull: Pull; comes: Hour }) {
  const { says } = useTrip();
  const lacks = [
    ...(comes.wind ? [] : [HOLD.lackWind]),
    ...(comes.stream ? [] : [HOLD.lackStream]),
    ...(comes.depth === undefined ? [HOLD.lackDepth] : []),
  ];
  // Without one of them a number would be too small by nobody knows how much.
  const whole = comes.wind !== undefined && comes.stream !== undefined;
  return (
    <View>
      <T as="caps">{HOLD.pull}</T>
      <T as="figure">
        {whole
          ? says(HOLD.band, load)
          : load.low < NONE
            ? HOLD.notKnown
            : says(HOLD.atLeast, { low: load.low })}
      </T>
      {whole ? <T as="soft">{says(HOLD.steady, { ...steady, times: surge(comes.wave) })}</T> : null}
      {lacks.length > 0 ? <T>{says(HOLD.lacks, { what: lacks })}</T> : null}
    </View>
  );
}
