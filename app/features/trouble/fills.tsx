import { useMemo } from 'react';
import { View } from 'react-native';
import type { LatLon } from '@escale/core/earth';
import { render } from '@escale/core/say';
import { T } from '../../ui/text';
import type { WhatIfJob } from '../../workers/jobs';
import { useAsked, useSaid } from '../whatif/use-what-if';
import { whenOf } from '../whatif/when';
import { useTrip } from '../trip/use-trip';
import { HAVEN } from './haven-words';

/** How long until she is full through the opening that fills her first, with nobody bailing: beside the time to each way. */
export function Fills({ at, here: { lat, lon } }: { at: number; here: LatLon }) {
  const { reader, says } = useTrip();
  const asked = useAsked(false);
  const job = useMemo<WhatIfJob>(
    () => ({ ...asked, at, here: { lat, lon }, incident: { id: 'flooding' } }),
    [asked, at, lat, lon],
  );
  const { parts, failed } = useSaid('whatif', job, 0);
  const told = parts.at(-1)?.answer?.told.filter(({ id }) => id === 'third' || id === 'full');
  if (failed) return <T role="alert">{HAVEN.fillsFailed}</T>;
  return (
    <View style={{ gap: 2 }} role="group" aria-label={HAVEN.fills}>
      <T as="caps" heading={2}>
        {HAVEN.fills}
      </T>
      {told === undefined ? <T role="status">{HAVEN.filling}</T> : null}
      {told?.map(({ id, after, says: phrases }) => (
        <View key={id}>
          {after ? <T as="strong">{whenOf(after, at, says)}</T> : null}
          <T>{phrases.map((phrase) => render(phrase, reader)).join(' ')}</T>
        </View>
      ))}
    </View>
  );
}
