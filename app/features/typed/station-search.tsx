import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { LatLon } from '@escale/core/earth';
import { Button, Row } from '../../ui/button';
import { Press } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH } from '../../ui/tokens';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { FORECAST, STATIONS } from './words';

/** So many are offered at once. */
const SHOWN = 8;

/** A station as the search shows it. */
interface Shown {
  id: string;
  name: string;
  where: string;
  metres?: number;
  bearing?: number;
}

/** Stations that are carried along, by nearness to the launch and by name; each shows what it says before it is taken. */
export function StationSearch({
  find,
  words: { none, carried, source },
  inside,
  onLeave,
}: {
  find: (words: string, here: LatLon | undefined, most: number) => Shown[];
  words: { none: string; carried: string; source: string };
  /** What an opened station shows. */
  inside: (id: string) => ReactNode;
  onLeave: () => void;
}) {
  const { trip, shed } = useTrip();
  const [words, setWords] = useState('');
  const [open, setOpen] = useState<string>();
  const here = shed.places.find((place) => place.id === trip.launch)?.position;
  const found = useMemo(() => find(words, here, SHOWN), [find, words, here]);
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
      {found.length === 0 && (words !== '' || here) ? <T role="status">{none}</T> : null}
      <View role="list" style={{ gap: 0 }}>
        {found.map((one) => (
          <Station
            key={one.id}
            one={one}
            open={open === one.id}
            onOpen={() => setOpen(open === one.id ? undefined : one.id)}
          >
            {open === one.id ? inside(one.id) : null}
          </Station>
        ))}
      </View>
      <T as="small">{carried}</T>
      <T as="small">{plainly(STATIONS.whose, { source })}</T>
      <Row>
        <Button kind="quiet" onPress={onLeave}>
          {FORECAST.leave}
        </Button>
      </Row>
    </>
  );
}

function Station({
  one: { name, where, metres, bearing },
  open,
  onOpen,
  children,
}: {
  one: Shown;
  open: boolean;
  onOpen: () => void;
  children: ReactNode;
}) {
  const p = usePalette();
  const { says } = useTrip();
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
      {children}
    </View>
  );
}
