import { View } from 'react-native';
import { T } from '../../ui/text';
import { Figures } from '../trip/figure-view';
import { TripForm } from './trip-form';

export function DaySection() {
  return (
    <View style={{ gap: 18 }}>
      <Figures names={['turnBack', 'latestTurn', 'home', 'overdue', 'daylight', 'wind', 'gust', 'water', 'hands']} />
      <T as="section" heading={3}>When and how fast</T>
      <TripForm fields={['leave', 'speed', 'homeBy', 'driveMinutes', 'checkInMinutes']} />
      <TripForm fields={['limits']} />
    </View>
  );
}
