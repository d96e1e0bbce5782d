import { useMemo } from 'react';
import { View } from 'react-native';
import { onBodies, type OnBody } from '@escale/core/kit/on-body';
import { CLOTHING } from '@escale/core/model/lists';
import { phrase, render } from '@escale/core/say';
import { thingHref } from '../../data/where';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { BODIES } from './layer-words';

/** Body by body: what each has when the boat is gone. */
export function BodiesBlock() {
  const { prepared, assessment, trip, shed, says } = useTrip();
  const { kit } = prepared.match(assessment.leave);
  const people = useMemo(
    () => trip.crew.flatMap((c) => shed.people.find((who) => who.id === c.person) ?? []),
    [trip.crew, shed.people],
  );
  const { bodies, unsaid } = useMemo(() => onBodies(kit, people), [kit, people]);
  if (bodies.length === 0) return <T as="soft">{BODIES.none}</T>;
  return (
    <View style={{ gap: 12, padding: 12 }}>
      <T as="soft">{BODIES.lead}</T>
      {bodies.map((body) => (
        <Body key={body.person.id} body={body} />
      ))}
      {unsaid.length > 0 ? (
        <View>
          <T>{says(BODIES.unsaid, { things: unsaid.map(({ name }) => name) })}</T>
          {unsaid.map(({ id, name }) => (
            <TextLink key={id} href={`${thingHref('gear', id)}?at=%2Fowner`}>
              {says(BODIES.whose, { thing: name })}
            </TextLink>
          ))}
        </View>
      ) : null}
    </View>
  );
}

function Body({ body: { person, has } }: { body: OnBody }) {
  const p = usePalette();
  const { reader, says, trip } = useTrip();
  const { clothing } = trip.crew.find((member) => member.person === person.id) ?? {};
  const purpose = ({ purpose: { id } }: OnBody['has'][number]) => render(phrase(`purpose.${id}`), reader);
  const lacks = has.filter(({ things }) => things.length === 0);
  return (
    <View role="group" aria-label={person.name}>
      <T as="strong">{person.name}</T>
      <T as="soft">
        {clothing === undefined
          ? BODIES.wearsUnsaid
          : says(BODIES.wears, { what: CLOTHING[clothing].toLowerCase() })}
      </T>
      {has
        .filter(({ things }) => things.length > 0)
        .map((each) => (
          <View
            key={each.purpose.id}
            style={{
              flexDirection: 'row',
              justifyContent: 'space-between',
              gap: 12,
              paddingVertical: 4,
              borderBottomWidth: 1,
              borderColor: p.line,
            }}
          >
            <T as="soft">{purpose(each)}</T>
            <T as="strong" style={{ flex: 1, textAlign: 'right' }}>
              {each.things
                .map(({ item, sure }) => (sure ? item.name : says(BODIES.open, { thing: item.name })))
                .join(', ')}
            </T>
          </View>
        ))}
      {lacks.length > 0 ? (
        <T>{says(BODIES.lacks, { what: lacks.map((each) => purpose(each).toLowerCase()) })}</T>
      ) : null}
    </View>
  );
}
