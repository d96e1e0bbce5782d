import { View } from 'react-native';
import { Fold } from '../../ui/fold';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { useToday } from '../../data/hooks';
import { plainly } from '../../data/settings';
import type { Held } from '../../data/things';
import { thingHref } from '../../data/where';
import { gearNote } from './gear-note';
import { CountStepper, Lend, lentWords, StateSelect, WhereSelect } from './locker-edit';
import { LOCKER } from './words';

/** The locker on a phone: a row a thing, which opens to what is changed most. */
export const LockerRows = ({ rows }: { rows: Held<'gear'>[] }) => (
  <View>
    {rows.map((held) => (
      <OneRow key={held.id} held={held} />
    ))}
  </View>
);

function OneRow({ held }: { held: Held<'gear'> }) {
  const today = useToday();
  const { name, lentTo } = held.doc;
  return (
    <Fold title={name} note={lentTo === undefined ? gearNote(held.doc, today) : lentWords(held.doc)}>
      <View style={{ gap: 10, padding: 12 }}>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
          <WhereSelect held={held} />
          <StateSelect held={held} />
        </View>
        <CountStepper held={held} />
        <T as="label">{LOCKER.lending}</T>
        <Lend held={held} />
        <TextLink href={thingHref('gear', held.id)} label={plainly(LOCKER.of, { what: LOCKER.all, name })}>
          {LOCKER.all}
        </TextLink>
      </View>
    </Fold>
  );
}
