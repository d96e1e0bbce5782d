import { View } from 'react-native';
import { T } from '../../ui/text';
import { Figures } from '../trip/figure-view';
import { later } from '../../ui/later';
import { TripForm } from '../trip/trip-form';
import { OneWorse } from './one-worse';

const ForecastBlock = later(() => import('../typed/forecast-block').then((m) => m.ForecastBlock));

export function DaySection() {
  return (
    <View style={{ gap: 18 }}>
      <Figures names={DAY} />
      <T as="section" heading={3}>
        When and how fast
      </T>
      <TripForm fields={['leave', 'speed', 'homeBy', 'driveMinutes', 'checkInMinutes']} />
      <TripForm fields={['limits']} />
      <ForecastBlock />
      <OneWorse />
    </View>
  );
}

/** What the day is told by. */
const DAY = [
  'passage/turn-back',
  'passage/latest-turn',
  'passage/home',
  'passage/overdue',
  'passage/daylight',
  'water/wind',
  'water/gust',
  'body/water',
  'body/hands',
];
