import { View } from 'react-native';
import type { Trip } from '@escale/core/model';
import { movedHalt } from '@escale/core/trip';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Stepper } from '../../ui/stepper';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { fieldId } from '../../data/where';
import { useTripChange } from '../trip/trip-form';
import { useTrip } from '../trip/use-trip';
import { HALT } from './words';

type Halt = Trip['halts'][number];
const MINUTES_STEP = 10,
  MINUTES_FIRST = 30;

/** The halts of a trip in order: which, for how long, when one is there. */
export function Halts() {
  const p = usePalette();
  const { trip, shed, assessment, says } = useTrip();
  const change = useTripChange();
  // One does not halt at a rock; what was chosen before stays to be seen.
  const chosen = new Set(trip.halts.map(({ place }) => place));
  const places = shed.places.filter(({ id, kind }) => kind !== 'hazard' || chosen.has(id));
  const options = places.map((pl) => ({ value: pl.id, label: pl.name }));
  const put = (halts: Halt[]) => change('/halts', halts, 'the way');
  const edit = (i: number, next: Partial<Halt> | undefined) =>
    put(trip.halts.flatMap((h, n) => (n === i ? (next ? [{ ...h, ...next }] : []) : [h])));
  const arrives = (i: number) => assessment.schedule?.legs[i]?.arrives;
  const first = places.find((pl) => pl.id !== trip.launch) ?? places[0];
  return (
    <View style={{ gap: 8 }} id={fieldId('/halts')} tabIndex={-1} role="group" aria-label="Halts">
      <T as="label" style={{ fontSize: 14 }}>
        {HALT.halts}
      </T>
      {trip.halts.map((halt, i) => (
        <View
          key={`${halt.place}-${i}`}
          style={{ borderWidth: 1, borderColor: p.line, backgroundColor: p.raised, padding: 10, gap: 6 }}
        >
          <Choice
            label={says(HALT.label, { n: i + 1 })}
            options={options}
            value={halt.place}
            onChange={(place) => place && put(trip.halts.map((h, n) => (n === i ? movedHalt(h, place) : h)))}
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
            <Button kind="quiet" label={says(HALT.leaveOut, { n: i + 1 })} onPress={() => edit(i, undefined)}>
              leave out
            </Button>
          </Row>
        </View>
      ))}
      {first ? (
        <Row>
          <Button onPress={() => put([...trip.halts, { place: first.id, minutes: MINUTES_FIRST }])}>
            Add a halt
          </Button>
        </Row>
      ) : null}
    </View>
  );
}

const swapped = (halts: Halt[], i: number): Halt[] =>
  halts.map((h, n) => (n === i - 1 ? halts[i] : n === i ? halts[i - 1] : h));
