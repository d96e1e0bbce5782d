import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { TideStation } from '@escale/core/model';
import { MS } from '@escale/core/units';
import { tideOf } from '@escale/core/water';
import {
  ATTRIBUTION,
  CARRIED,
  findStations,
  stationOf,
  type StationFound,
} from '@escale/core/water/stations';
import { Button, Row } from '../../ui/button';
import { Press } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH } from '../../ui/tokens';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { FORECAST, STATIONS } from './words';

/** So many are offered at once. */
const SHOWN = 8;
/** What is shown of a station's tide: from before leaving to after it. */
const BEFORE = 6 * MS.hour,
  AFTER = 20 * MS.hour;

/** The tide stations that are carried along, by nearness to the launch and by name; each shows its turns before it is taken. */
export function TideStations({
  onUse,
  onLeave,
}: {
  onUse: (station: TideStation) => void;
  onLeave: () => void;
}) {
  const { trip, shed } = useTrip();
  const [words, setWords] = useState('');
  const [open, setOpen] = useState<string>();
  const here = shed.places.find((place) => place.id === trip.launch)?.position;
  const found = useMemo(() => findStations(words, here, SHOWN), [words, here]);
  return (
    <>
      <TextInput
        mode="outlined"
        label={STATIONS.find}
        accessibilityLabel={STATIONS.find}
        value={words}
        onChangeText={setWords}
        maxLength={80}
      />
      {here ? null : <T as="small">{STATIONS.noLaunch}</T>}
      {found.length === 0 && (words !== '' || here) ? <T role="status">{STATIONS.none}</T> : null}
      <View role="list" style={{ gap: 0 }}>
        {found.map((one) => (
          <Station
            key={one.id}
            one={one}
            open={open === one.id}
            onOpen={() => setOpen(open === one.id ? undefined : one.id)}
            onUse={onUse}
          />
        ))}
      </View>
      <T as="small">{plainly(STATIONS.carried, { n: CARRIED })}</T>
      <T as="small">{plainly(STATIONS.whose, { source: ATTRIBUTION })}</T>
      <Row>
        <Button kind="quiet" onPress={onLeave}>
          {FORECAST.leave}
        </Button>
      </Row>
    </>
  );
}

function Station({
  one,
  open,
  onOpen,
  onUse,
}: {
  one: StationFound;
  open: boolean;
  onOpen: () => void;
  onUse: (station: TideStation) => void;
}) {
  const p = usePalette();
  const { says } = useTrip();
  const { name, where, metres, bearing } = one;
  const far = metres === undefined ? where : says(STATIONS.far, { where, metres, bearing: bearing ?? 0 });
  return (
    <View role="listitem" style={{ borderBottomWidth: 1, borderColor: p.line }}>
      <Press
        label={plainly(STATIONS.line, { name, far })}
        expanded={open}
        onPress={onOpen}
        style={{ minHeight: TOUCH, paddingVertical: 6 }}
      >
        <T as="strong">{name}</T>
        <T as="label">{far}</T>
      </Press>
      {open ? <Turns id={one.id} onUse={onUse} /> : null}
    </View>
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
