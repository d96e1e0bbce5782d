import { useMemo } from 'react';
import { View } from 'react-native';
import { drives } from '@escale/core/boat';
import {
  bandIn,
  burnsIn,
  drawsIn,
  meanOf,
  speedsIn,
  tripsIn,
  type Lesson,
} from '@escale/core/logbook/learnt';
import type { Debrief } from '@escale/core/model';
import type { Says } from '@escale/core/say';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { useToday } from '../../data/hooks';
import { change } from '../../data/outbox';
import type { Held } from '../../data/things';
import { LOG } from './words';

/** Lessons of one band of wind; those whose wind nobody said are in none. */
const inBand = (lessons: Lesson[], band: number) => lessons.filter(({ debrief }) => bandIn(debrief) === band);

/** What one boat’s trips teach, by bands of wind, and whether plans go by it. */
export function Learnt({
  boat,
  debriefs,
  says,
}: {
  boat: Held<'boat'>;
  debriefs: readonly Debrief[];
  says: Says;
}) {
  const today = useToday();
  const told = useMemo(() => {
    const trips = tripsIn(debriefs, boat.doc, today);
    const [speeds, burns, draws] = [speedsIn(trips), burnsIn(trips), drawsIn(trips, boat.doc)];
    return LOG.bands.map((band, i) => ({
      band,
      speeds: inBand(speeds, i),
      burns: inBand(burns, i),
      draws: inBand(draws, i),
    }));
  }, [debriefs, boat.doc, today]);
  const { name, unlearnt } = boat.doc;
  return (
    <View style={{ gap: 6 }} role="group" aria-label={says(LOG.learnt, { boat: name })}>
      <T as="strong" heading={3}>
        {says(LOG.learnt, { boat: name })}
      </T>
      {told.map(({ band, speeds, burns, draws }) => (
        <View key={band}>
          {speeds.length > 0 ? (
            <T>
              {says(speeds.length === 1 ? LOG.learntOnce : LOG.learntSpeed, {
                band,
                ...meansOf(speeds, 'speed'),
              })}
            </T>
          ) : null}
          {burns.length > 0 ? <T>{says(LOG.learntBurn, { band, ...meansOf(burns, 'burn') })}</T> : null}
          {draws.length > 0 ? <T>{says(LOG.learntDraw, { band, ...meansOf(draws, 'draw') })}</T> : null}
        </View>
      ))}
      <T as="soft">{drives(boat.doc).human === true ? LOG.learntArms : LOG.learntFew}</T>
      <T as="label">{LOG.learntUse}</T>
      <Choice
        label={LOG.learntUse}
        options={[
          { value: 'yes', label: LOG.learntYes },
          { value: 'no', label: LOG.learntNo },
        ]}
        value={unlearnt === true ? 'no' : 'yes'}
        onChange={(said) =>
          void change(
            boat,
            said === 'no'
              ? [{ op: 'set', pointer: '/unlearnt', value: true }]
              : [{ op: 'unset', pointer: '/unlearnt' }],
            says(LOG.learntSaid, { boat: name }),
          )
        }
      />
    </View>
  );
}

/** The mean as what it is called, with its spread, number and days. */
function meansOf<N extends 'speed' | 'burn' | 'draw'>(lessons: Lesson[], name: N) {
  const { value, spread, from } = meanOf(lessons);
  const days = { newest: from[0].on, oldest: from[from.length - 1].on };
  return { [name]: value, spread, n: lessons.length, ...days } as Record<N | 'spread' | 'n', number> &
    typeof days;
}
