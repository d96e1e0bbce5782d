import { View } from 'react-native';
import { T } from '../../ui/text';
import { TripForm } from '../trip/trip-form';
import { useTrip } from '../trip/use-trip';
import { HALT } from './words';

/** Where a trip ends elsewhere: who brings one back to the car. */
export function BackToCar() {
  const { trip } = useTrip();
  if (trip.return === undefined || trip.return === trip.launch) return null;
  return (
    <View style={{ gap: 4 }}>
      <T as="small">{HALT.oneWay}</T>
      <TripForm fields={FIELDS} />
    </View>
  );
}
const FIELDS = ['backToCar'];
