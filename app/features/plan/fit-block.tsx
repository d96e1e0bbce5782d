import { useMemo } from 'react';
import { View } from 'react-native';
import { render } from '@escale/core/say';
import type { Phrase } from '@escale/core/model';
import { fitToday } from '@escale/core/trip/fit-today';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { FIT } from './words';

/** Is this boat for this water: the answer, and every reason behind it. */
export function FitBlock() {
  const { input, prepared, assessment, reader, shed, trip, says } = useTrip();
  const { schedule } = assessment;
  const fit = useMemo(
    () => fitToday(input, schedule, prepared.match(assessment.leave).world),
    [input, schedule, prepared, assessment.leave],
  );
  const boat = shed.boats.find(({ id }) => id === trip.boat);
  if (!fit || !boat) return null;
  const lists = [
    [FIT.against, fit.against],
    [FIT.unsaid, fit.unsaid],
    [FIT.for, fit.for],
  ] as const;
  const list = (phrases: Phrase[]) => phrases.map((phrase, i) => <T key={i}>{render(phrase, reader)}</T>);
  return (
    <Fold title={says(FIT.title, { boat: boat.name })} note={FIT.short[fit.answer]}>
      <View style={{ padding: 12, gap: 8 }}>
        <T as="strong">{says(FIT.answer[fit.answer], { boat: boat.name, near: fit.near })}</T>
        {lists.map(([title, phrases]) =>
          phrases.length === 0 ? null : (
            <View key={title} style={{ gap: 4 }}>
              <T as="caps">{title}</T>
              {list(phrases)}
            </View>
          ),
        )}
        <T as="small">{FIT.own}</T>
      </View>
    </Fold>
  );
}
