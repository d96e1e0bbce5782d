import { useState } from 'react';
import { View } from 'react-native';
import { HULLS, plateOf } from '@escale/core/boat';
import type { Boat } from '@escale/core/model';
import { guessed } from '@escale/core/verdict';
import { T } from '../../ui/text';
import { FindingCard } from '../trip/finding-card';
import { FindingRow } from '../trip/finding-row';
import { useTrip } from '../trip/use-trip';
import { PlanView } from './plan-view';
import { useLie, type Draft } from './use-lie';
import { usePut } from './use-put';
import { SEATS } from './words';

/** What is found of people and places. */
const KINDS = ['load/persons', 'load/seats', 'load/people'];

/** People against places, on the plan of the boat: who sits where, how many she takes and by what, and what stands against it. */
export function SeatsBlock({ still = false }: { still?: boolean }) {
  const { trip, shed, says, assessment } = useTrip();
  const [draft, setDraft] = useState<Draft>();
  const now = useLie('out', draft);
  const put = usePut();
  const boat = shed.boats.find((b) => b.id === trip.boat);
  if (!boat || trip.crew.length === 0) return null;
  const { most, word } = mostOf(boat);
  const people = now?.spots.filter((s) => s.is === 'person') ?? [];
  const over = new Set(people.slice(most).map((s) => s.id));
  const found = assessment.findings.filter((f) => KINDS.includes(f.id.split('/').slice(0, 2).join('/')));
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={3}>
        {says(SEATS.title, { n: trip.crew.length })}
      </T>
      <T as="soft">{says(word, { most })}</T>
      {now ? (
        <PlanView
          hull={now.hull}
          spots={people}
          says={says}
          draft={draft}
          onDraft={setDraft}
          onPut={(next) => {
            setDraft(undefined);
            put(next);
          }}
          over={over}
        />
      ) : (
        <T as="soft">{SEATS.noPlan}</T>
      )}
      {now ? <T as="small">{over.size > 0 ? says(SEATS.over, { n: over.size }) : SEATS.drag}</T> : null}
      {still
        ? null
        : found.map((f) =>
            f.level === 'stop' || f.level === 'fix' ? (
              <FindingCard key={f.id} finding={f} />
            ) : (
              <FindingRow key={f.id} finding={f} />
            ),
          )}
    </View>
  );
}

/** How many places she has, and how that is known. */
function mostOf(boat: Boat): { most: number; word: (typeof SEATS)['plate' | 'stated' | 'guess'] } {
  const plate = plateOf(boat)?.persons;
  if (plate !== undefined && !guessed(boat, '/plate/persons')) return { most: plate, word: SEATS.plate };
  return boat.seats !== undefined && !guessed(boat, '/seats')
    ? { most: boat.seats, word: SEATS.stated }
    : { most: boat.seats ?? HULLS[boat.kind].guess.seats, word: SEATS.guess };
}
