import { countryNames } from '@escale/core/rules';
import { View } from 'react-native';
import { useLocalSearchParams } from 'expo-router';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { fieldId } from '../../data/where';
import { useGoTo } from '../forms/go-to';
import { newOnTrip } from '../shed/on-trip';
import { Figures } from '../trip/figure-view';
import { useTrip } from '../trip/use-trip';
import { BackToCar } from './back-to-car';
import { Halts } from './halts';
import { SketchChart } from '../sketch/sketch-chart';
import { useTripChange } from '../trip/trip-form';
import { HALT } from './words';
import { TextLink } from '../../ui/press';
import { later } from '../../ui/later';

const FitBlock = later(() => import('./fit-block').then((m) => m.FitBlock));
const StreamBlock = later(() => import('../typed/stream-block').then((m) => m.StreamBlock));
const TideBlock = later(() => import('../typed/tide-block').then((m) => m.TideBlock));

export function WaterSection() {
  const { trip, shed, assessment, says } = useTrip();
  const change = useTripChange();
  const { at } = useLocalSearchParams<{ at?: string }>();
  useGoTo(at);
  const water = shed.waters.find((w) => w.id === trip.water);
  const launches = shed.places
    .filter((pl) => pl.kind === 'launch')
    .map((pl) => ({ value: pl.id, label: pl.name }));
  return (
    <View style={{ gap: 14 }}>
      <Labelled title="Water">
        <Choice
          label="Water"
          id={fieldId('/water')}
          options={shed.waters.map((w) => ({ value: w.id, label: w.name }))}
          value={trip.water}
          onChange={(v) => change('/water', v, 'the water')}
          clearable
        />
      </Labelled>
      {water && water.jurisdiction.length > 0 ? (
        <T as="small">{says(HALT.rules, { rules: countryNames(water.jurisdiction) })}</T>
      ) : null}
      <Labelled title="Launch">
        <Choice
          label="Launch"
          id={fieldId('/launch')}
          options={launches}
          value={trip.launch}
          onChange={(v) => change('/launch', v, 'the launch')}
          clearable
        />
      </Labelled>
      <Halts />
      <Labelled title="Return to">
        <Choice
          label="Return to"
          id={fieldId('/return')}
          options={[{ value: '', label: 'The launch' }, ...launches.filter((l) => l.value !== trip.launch)]}
          value={trip.return ?? ''}
          onChange={(v) => change('/return', v ? v : undefined, 'the return')}
        />
      </Labelled>
      <FitBlock />
      <BackToCar />
      <TideBlock />
      <StreamBlock />
      <SketchChart />
      <TextLink href={`/trips/${trip.id}/chart`}>{HALT.chart}</TextLink>
      <Figures names={['passage/distance', 'passage/speed', 'water/tide-leave']} />
      {assessment.schedule?.legs
        .filter(({ metres }) => metres > 0)
        .map(({ departs, from, to, metres, bearing }) => (
          <T key={departs} as="small">
            {says(HALT.leg, { from: name(from), to: name(to), far: metres, bearing })}
          </T>
        ))}
      <TextLink href={newOnTrip('place', trip.id, 'plan/water')}>A new place</TextLink>
    </View>
  );

  function name(id: string): string {
    return shed.places.find((pl) => pl.id === id)?.name ?? '?';
  }
}

function Labelled({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View style={{ gap: 4 }}>
      <T as="label" style={{ fontSize: 14 }}>
        {title}
      </T>
      {children}
    </View>
  );
}
