import { useMemo } from 'react';
import { View } from 'react-native';
import type { TideStation } from '@escale/core/model';
import { MS } from '@escale/core/units';
import { tideOf } from '@escale/core/water';
import { ATTRIBUTION, CARRIED, findStations, stationOf } from '@escale/core/water/stations';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { StationSearch } from './station-search';
import { STATIONS } from './words';

/** What is shown of a station's tide: from before leaving to after it. */
const BEFORE = 6 * MS.hour,
  AFTER = 20 * MS.hour;
const WORDS = {
  none: STATIONS.none,
  carried: plainly(STATIONS.carried, { n: CARRIED }),
  source: ATTRIBUTION,
};

/** The tide stations that are carried along. */
export function TideStations({
  onUse,
  onLeave,
}: {
  onUse: (station: TideStation) => void;
  onLeave: () => void;
}) {
  return (
    <StationSearch
      find={findStations}
      words={WORDS}
      inside={(id) => <Turns id={id} onUse={onUse} />}
      onLeave={onLeave}
    />
  );
}

/** The turns around the hour of leaving, as the station has them, and the way to take it. */
function Turns({ id, onUse }: { id: string; onUse: (station: TideStation) => void }) {
  const { assessment, says } = useTrip();
  const now = useNow(MS.hour);
  const station = useMemo(() => stationOf(id), [id]);
  if (!station) return null;
  const leave = assessment.leave ?? now;
  const turns = tideOf(station).extremes(leave - BEFORE, leave + AFTER);
  return (
    <View style={{ gap: 6, paddingBottom: 10 }}>
      {turns.map(({ at, height, high }) => (
        <T key={at}>{says(high ? STATIONS.high : STATIONS.low, { at, height })}</T>
      ))}
      <T as="small">
        {station.kind === 'offsets'
          ? says(STATIONS.offsets, { datum: station.datum, of: station.of.name })
          : says(STATIONS.constants, { datum: station.datum })}
      </T>
      <Row>
        <Button kind="main" onPress={() => onUse(station)}>
          {STATIONS.use}
        </Button>
      </Row>
    </View>
  );
}
