import { useMemo } from 'react';
import { View } from 'react-native';
import { heelPhrase, onFeet, stood } from '@escale/core/boat';
import type { Boat } from '@escale/core/model';
import { render } from '@escale/core/say';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { fieldId } from '../../data/where';
import { useTripChange } from '../trip/trip-form';
import { useTrip } from '../trip/use-trip';
import type { Lie } from './use-lie';
import { STANDS } from './words';

const ANSWERS = [
  { value: 'sits', label: STANDS.sits },
  { value: 'stands', label: STANDS.stands },
];

/** Who stands up aboard, and what she does under each: for whoever sits, what she would do. */
export function WhoStands({ boat, now: { hull, spots, density } }: { boat: Boat; now: Lie }) {
  const p = usePalette();
  const { trip, shed, reader, says } = useTrip();
  const put = useTripChange();
  const rows = useMemo(() => {
    const feet = onFeet(trip, shed.people);
    return trip.crew.flatMap((member, n) => {
      const person = shed.people.find(({ id }) => id === member.person);
      if (!person) return [];
      const id = `crew/${n}`;
      const all = new Map(feet).set(id, { person, placed: member.seat !== undefined });
      const weighed = spots.some((spot) => spot.id === id);
      return [{ n, member, person, found: weighed ? stood(boat, hull, spots, all, id, density) : undefined }];
    });
  }, [trip, shed.people, boat, hull, spots, density]);
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={3}>
        {STANDS.title}
      </T>
      <T as="soft">{STANDS.why}</T>
      {rows.map(({ n, member, person, found }) => (
        <View key={person.id} style={{ gap: 4, paddingVertical: 6, borderTopWidth: 1, borderColor: p.line }}>
          <T as="strong">{person.name}</T>
          <Choice
            label={says(STANDS.of, { person: person.name })}
            id={fieldId(`/crew/${n}/stands`)}
            options={ANSWERS}
            value={member.stands === undefined ? undefined : member.stands ? 'stands' : 'sits'}
            onChange={(v) =>
              put(`/crew/${n}/stands`, v === undefined ? undefined : v === 'stands', STANDS.title)
            }
            clearable
          />
          <T as={member.stands ? 'body' : 'soft'}>
            {found ? render(heelPhrase(found), reader) : STANDS.unweighed}
          </T>
        </View>
      ))}
      <T as="small">{STANDS.own}</T>
    </View>
  );
}
