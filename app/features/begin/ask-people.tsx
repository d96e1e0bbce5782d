import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { GROWN } from '@escale/core/boat';
import { saysTo } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { Choice, Tick } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useThings } from '../../data/hooks';
import { plainly, useReader } from '../../data/settings';
import type { Asking } from './ask';
import { ASK_PEOPLE } from './words';

const AGES = [
  { value: 'grown', label: ASK_PEOPLE.grown },
  { value: 'child', label: ASK_PEOPLE.child },
];

/** Those who are here already, and new ones by name. */
export function AskPeople({ draft, put }: Asking) {
  const p = usePalette();
  const { shed } = useThings();
  const reader = useReader('UTC');
  const { people } = draft;
  const set = (next: typeof people) => put({ ...draft, people: next });
  const fresh = people.flatMap((who, i) => (who.id === undefined ? [{ ...who, i }] : []));
  const change = (i: number, next: Partial<(typeof people)[number]>) =>
    set(people.map((who, n) => (n === i ? { ...who, ...next } : who)));
  return (
    <View style={{ gap: 12 }}>
      {shed.people.length > 0 ? (
        <View role="group" aria-label={ASK_PEOPLE.here}>
          {shed.people.map((who) => (
            <Tick
              key={who.id}
              label={who.name}
              on={people.some((one) => one.id === who.id)}
              onChange={(on) =>
                set(
                  on
                    ? [
                        ...people.filter((one) => one.id || one.name),
                        { id: who.id, name: who.name, child: false },
                      ]
                    : people.filter((one) => one.id !== who.id),
                )
              }
            />
          ))}
        </View>
      ) : null}
      {fresh.map(({ i, name, child, age }, n) => (
        <View
          key={i}
          style={{ borderWidth: 1, borderColor: p.line, backgroundColor: p.raised, padding: 10, gap: 8 }}
        >
          <TextInput
            mode="outlined"
            label="Name"
            accessibilityLabel={plainly(ASK_PEOPLE.person, { n: n + 1 })}
            value={name}
            onChangeText={(next) => change(i, { name: next })}
            maxLength={120}
          />
          <Choice
            label={plainly(ASK_PEOPLE.which, { n: n + 1 })}
            options={AGES}
            value={child ? 'child' : 'grown'}
            onChange={(value) => change(i, { child: value === 'child' })}
          />
          {child ? (
            <TextInput
              mode="outlined"
              label={ASK_PEOPLE.years}
              accessibilityLabel={plainly(ASK_PEOPLE.age, { n: n + 1 })}
              inputMode="numeric"
              value={age ?? ''}
              onChangeText={(next) => change(i, { age: next })}
              maxLength={2}
            />
          ) : null}
          {people.length > 1 ? (
            <Row>
              <Button
                kind="quiet"
                label={plainly(ASK_PEOPLE.drop, { n: n + 1 })}
                onPress={() => set(people.filter((_, m) => m !== i))}
              >
                leave out
              </Button>
            </Row>
          ) : null}
        </View>
      ))}
      <Row>
        <Button onPress={() => set([...people, { name: '', child: false }])}>{ASK_PEOPLE.another}</Button>
      </Row>
      <T as="small">{saysTo(reader)(ASK_PEOPLE.skipper, { mass: GROWN })}</T>
    </View>
  );
}
