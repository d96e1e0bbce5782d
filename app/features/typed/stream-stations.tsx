import { useMemo } from 'react';
import { View } from 'react-native';
import type { StreamStation } from '@escale/core/model';
import { MS } from '@escale/core/units';
import { streamOf } from '@escale/core/water';
import { findStreams, STREAMS_CARRIED, STREAMS_FROM, streamStation } from '@escale/core/water/streams';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { StationSearch } from './station-search';
import { STREAM } from './words';

/** What is shown of a station: every two hours from leaving on. */
const STEP = 2 * MS.hour,
  STEPS = 7;
const WORDS = {
  none: STREAM.noStation,
  carried: plainly(STREAM.carried, { n: STREAMS_CARRIED }),
  source: STREAMS_FROM,
};

/** The current stations that are carried along. */
export function StreamStations({
  onUse,
  onLeave,
}: {
  onUse: (station: StreamStation) => void;
  onLeave: () => void;
}) {
  return (
    <StationSearch
      find={findStreams}
      words={WORDS}
      inside={(id) => <Hours id={id} onUse={onUse} />}
      onLeave={onLeave}
    />
  );
}

/** What a station says from the hour of leaving on, and the way to take it. */
function Hours({ id, onUse }: { id: string; onUse: (station: StreamStation) => void }) {
  const { assessment, shed, trip, says } = useTrip();
  const now = useNow(MS.hour);
  const station = useMemo(() => streamStation(id), [id]);
  const water = shed.waters.find((one) => one.id === trip.water);
  if (!station || !water) return null;
  const stream = streamOf({ ...water, stream: station }, undefined);
  const leave = assessment.leave ?? now;
  return (
    <View style={{ gap: 6, paddingBottom: 10 }}>
      {Array.from({ length: STEPS }, (_, i) => leave + i * STEP).map((at) => {
        const flow = stream?.at(at);
        return flow ? (
          <T key={at}>{says(STREAM.hour, { at, speed: flow.speed, towards: Math.round(flow.direction) })}</T>
        ) : null;
      })}
      <T as="small">{STREAM.error}</T>
      <Row>
        <Button kind="main" onPress={() => onUse(station)}>
          {STREAM.use}
        </Button>
      </Row>
    </View>
  );
}
