import { View } from 'react-native';
import type { Boat, Trip } from '@escale/core/model';
import { T } from '../../ui/text';
import { Figures } from '../trip/figure-view';
import { later } from '../../ui/later';
import { useTrip } from '../trip/use-trip';
import { TripForm } from '../trip/trip-form';
import { LIMITS } from '../limits/words';
import { OneWorse } from './one-worse';

const LimitsTable = later(() => import('../limits/limits-table').then((m) => m.LimitsTable));
const LimitsNotes = later(() => import('../limits/limits-table').then((m) => m.LimitsNotes));
const ForecastBlock = later(() => import('../typed/forecast-block').then((m) => m.ForecastBlock));

export function DaySection() {
  const { trip, shed, reader } = useTrip();
  const drive = shed.boats.find((boat) => boat.id === trip.boat)?.propulsion[0]?.kind;
  return (
    <View style={{ gap: 18 }}>
      <Figures names={DAY} />
      <T as="section" heading={3}>
        When and how fast
      </T>
      <TripForm
        fields={['leave', 'speed', ...stores(trip, drive), 'homeBy', 'driveMinutes', 'checkInMinutes']}
      />
      <TripForm fields={['limits']} />
      <LimitsTable name={LIMITS.title} limits={trip.limits} reader={reader} />
      {Object.keys(trip.limits).length > 0 ? <LimitsNotes /> : null}
      <ForecastBlock />
      <OneWorse />
    </View>
  );
}

/** What she carries to go by, as far as her drive asks for it. */
function stores(trip: Trip, drive: Boat['propulsion'][number]['kind'] | undefined): string[] {
  return [
    ...(trip.fuel !== undefined || drive === 'outboard' || drive === 'inboard' ? ['fuel', 'fuelOn'] : []),
    ...(trip.charge !== undefined || drive === 'electric' ? ['charge'] : []),
  ];
}

/** What the day is told by. */
const DAY = [
  'passage/turn-back',
  'passage/latest-turn',
  'passage/home',
  'passage/overdue',
  'passage/daylight',
  'passage/fuel',
  'passage/charge',
  'water/wind',
  'water/gust',
  'body/water',
  'body/hands',
];
