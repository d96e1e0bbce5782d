import { countryNames } from '@escale/core/rules';
import { View } from 'react-native';
import { useLocalSearchParams } from 'expo-router';
import type { Trip } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { fieldId } from '../../data/where';
import { useGoTo } from '../forms/go-to';
import { newOnTrip } from '../shed/on-trip';
import { Figures } from '../trip/figure-view';
import { useTrip } from '../trip/use-trip';
import { SketchChart } from './sketch-chart';
import { useTripChange } from '../trip/trip-form';
import { Stepper } from '../../ui/stepper';
import { HALT } from './words';
import { TextLink } from '../../ui/press';
import { later } from '../../ui/later';

const TideBlock = later(() => import('../typed/tide-block').then((m) => m.TideBlock));

type Halt = Trip['halts'][number];
const MINUTES_STEP = 10,
  MINUTES_FIRST = 30;

export function WaterSection() {
  const p = usePalette();
  const { trip, shed, assessment, says } = useTrip();
  const change = useTripChange();
  const { at } = useLocalSearchParams<{ at?: string }>();
  useGoTo(at);
  const water = shed.waters.find((w) => w.id === trip.water);
  const places = shed.places.map((pl) => ({ value: pl.id, label: pl.name }));
  const launches = shed.places
    .filter((pl) => pl.kind === 'launch')
    .map((pl) => ({ value: pl.id, label: pl.name }));
  const put = (halts: Halt[]) => change('/halts', halts, 'the way');
  const edit = (i: number, next: Partial<Halt> | undefined) =>
    put(trip.halts.flatMap((h, n) => (n === i ? (next ? [{ ...h, ...next }] : []) : [h])));
  const arrives = (i: number) => assessment.schedule?.legs[i]?.arrives;
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
      <View style={{ gap: 8 }} id={fieldId('/halts')} tabIndex={-1} role="group" aria-label="Halts">
        <T as="label" style={{ fontSize: 14 }}>
          Halts, in order
        </T>
        {trip.halts.map((halt, i) => (
          <View
            key={`${halt.place}-${i}`}
            style={{ borderWidth: 1, borderColor: p.line, backgroundColor: p.raised, padding: 10, gap: 6 }}
          >
            <Choice
              label={says(HALT.label, { n: i + 1 })}
              options={places}
              value={halt.place}
              onChange={(place) => place && edit(i, { place })}
            />
            <Row>
              <Stepper
                what={HALT.stay}
                said={says(HALT.minutes, { n: halt.minutes })}
                less="Shorter halt"
                more="Longer halt"
                onLess={() => edit(i, { minutes: Math.max(0, halt.minutes - MINUTES_STEP) })}
                onMore={() => edit(i, { minutes: halt.minutes + MINUTES_STEP })}
              />
              {arrives(i) === undefined ? null : <T as="soft">{says(HALT.there, { at: arrives(i)! })}</T>}
              {i > 0 ? (
                <Button
                  kind="quiet"
                  label={says(HALT.earlier, { n: i + 1 })}
                  onPress={() => put(swapped(trip.halts, i))}
                >
                  earlier
                </Button>
              ) : null}
              <Button
                kind="quiet"
                label={says(HALT.leaveOut, { n: i + 1 })}
                onPress={() => edit(i, undefined)}
              >
                leave out
              </Button>
            </Row>
          </View>
        ))}
        {places.length > 0 ? (
          <Row>
            <Button
              onPress={() =>
                put([
                  ...trip.halts,
                  {
                    place: shed.places.find((pl) => pl.id !== trip.launch)?.id ?? shed.places[0].id,
                    minutes: MINUTES_FIRST,
                  },
                ])
              }
            >
              Add a halt
            </Button>
          </Row>
        ) : null}
      </View>
      <Labelled title="Return to">
        <Choice
          label="Return to"
          id={fieldId('/return')}
          options={[{ value: '', label: 'The launch' }, ...launches.filter((l) => l.value !== trip.launch)]}
          value={trip.return ?? ''}
          onChange={(v) => change('/return', v ? v : undefined, 'the return')}
        />
      </Labelled>
      <TideBlock />
      <SketchChart />
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

const swapped = (halts: Halt[], i: number): Halt[] =>
  halts.map((h, n) => (n === i - 1 ? halts[i] : n === i ? halts[i - 1] : h));

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
