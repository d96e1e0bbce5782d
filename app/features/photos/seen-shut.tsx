import { View } from 'react-native';
import { partsOf } from '@escale/core/boat/parts';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { Photos } from './photos';
import { PHOTOS } from './words';

/** Each plug, bung and hatch of the trip’s boat, photographed where it was seen shut: “did I latch it?” is answered with its hour. */
export function SeenShut({ begin = false }: { begin?: boolean }) {
  const { held, trip, shed, says } = useTrip();
  const boat = shed.boats.find(({ id }) => id === trip.boat);
  const openings = boat ? partsOf(boat).filter(({ of }) => of === 'openings') : [];
  if (openings.length === 0) return null;
  const last = Object.values(trip.photos ?? {})
    .filter((note) => note.boat === boat?.id)
    .map(({ at }) => Date.parse(at))
    .reduce((late, at) => Math.max(late, at), -Infinity);
  return (
    <Fold
      title={PHOTOS.shut}
      note={Number.isFinite(last) ? says(PHOTOS.when, { at: last }) : PHOTOS.none}
      begin={begin}
    >
      <View style={{ padding: 12, gap: 12 }}>
        <T as="soft">{PHOTOS.shutWhy}</T>
        {openings.map(({ key, title }) => (
          <View key={key} style={{ gap: 4 }}>
            <T as="strong">{title}</T>
            <Photos held={held} of={key} boat={boat?.id ?? ''} what={title} />
          </View>
        ))}
        <T as="small">{PHOTOS.small}</T>
      </View>
    </Fold>
  );
}
