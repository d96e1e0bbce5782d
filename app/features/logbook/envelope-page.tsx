import { useMemo } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import {
  AXES,
  colder,
  farther,
  nextForce,
  provenBy,
  wholeForce,
  type Axis,
  type Proven,
} from '@escale/core/logbook/envelope';
import type { Boat, Person } from '@escale/core/model';
import { saysTo, type Says } from '@escale/core/say';
import { Button } from '../../ui/button';
import { Empty, Page } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { CELL, TableHead } from '../../ui/table-head';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useThings, useToday } from '../../data/hooks';
import { useReader } from '../../data/settings';
import { StonePart } from './stone';
import { ENVELOPE } from './words';

/** How far each person has really been in each boat, what one step on would be, and the smaller trip before a leap. */
export function EnvelopePage() {
  const { trip } = useLocalSearchParams<{ trip?: string }>();
  const router = useRouter();
  const { shed } = useThings();
  const today = useToday();
  const reader = useReader('UTC');
  const says = useMemo(() => saysTo(reader), [reader]);
  const all = useMemo(
    () =>
      shed.people.flatMap((person) =>
        shed.boats.flatMap((boat) => {
          const proven = provenBy(shed.debriefs, person, boat, today);
          return proven ? [{ person, boat, proven }] : [];
        }),
      ),
    [shed, today],
  );
  const known = new Set(all.map(({ person }) => person.id));
  const never = shed.people.filter(({ id }) => !known.has(id));
  return (
    <Page
      title={ENVELOPE.title}
      lead={ENVELOPE.lead}
      aside={<TextLink href="/practice/logbook">{ENVELOPE.back}</TextLink>}
    >
      {trip === undefined ? null : <StonePart key={trip} id={trip} />}
      {shed.people.length === 0 || shed.boats.length === 0 ? (
        <Empty title={ENVELOPE.never} why={ENVELOPE.nobody}>
          <Button onPress={() => router.push('/shed')}>{ENVELOPE.shed}</Button>
        </Empty>
      ) : null}
      {all.map((one) => (
        <One key={`${one.person.id}.${one.boat.id}`} {...one} says={says} />
      ))}
      {never.map(({ id, name }) => (
        <View key={id}>
          <T as="strong">{name}</T>
          <T as="soft">{ENVELOPE.never}</T>
        </View>
      ))}
      <T as="small">{ENVELOPE.steps}</T>
      <T as="small">{ENVELOPE.stepsOwn}</T>
    </Page>
  );
}

function One({ person, boat, proven, says }: { person: Person; boat: Boat; proven: Proven; says: Says }) {
  const p = usePalette();
  const title = says(ENVELOPE.inBoat, { who: person.name, boat: boat.name });
  return (
    <View style={{ gap: 4, borderTopWidth: 2, borderColor: p.ink, paddingTop: 8 }}>
      <T as="section" heading={2}>
        {title}
      </T>
      <T as="soft">{says(ENVELOPE.trips, { n: proven.trips, last: proven.last })}</T>
      <View role="table" aria-label={title}>
        <TableHead heads={['', ENVELOPE.been, ENVELOPE.next]} />
        {AXES.map((axis) => (
          <View
            key={axis}
            role="row"
            style={{ flexDirection: 'row', borderBottomWidth: 1, borderColor: p.line }}
          >
            <View role="rowheader" style={CELL}>
              <T>{ENVELOPE.axis[axis]}</T>
            </View>
            {cellsOf(axis, proven, says).map((cell, i) => (
              <View key={i} role="cell" style={CELL}>
                <T as={i === 0 ? 'strong' : 'soft'}>{cell}</T>
              </View>
            ))}
          </View>
        ))}
      </View>
    </View>
  );
}

/** What was done along an axis, and what one step more is. */
function cellsOf(axis: Axis, proven: Proven, says: Says): [string, string] {
  if (axis === 'alone' || axis === 'dark') {
    const done = proven[axis];
    const said = done === undefined ? ENVELOPE.unsaid : done ? ENVELOPE.yes : ENVELOPE.no;
    return [said, done === true ? ENVELOPE.any : ENVELOPE.yes];
  }
  const value = proven[axis];
  if (value === undefined) return [ENVELOPE.unsaid, ENVELOPE.unsaid];
  const force = (of: number) => says(ENVELOPE.force, { force: of });
  if (axis === 'wind') return [force(wholeForce(value)), force(nextForce(value))];
  const as = ENVELOPE[axis];
  return [says(as, { at: value }), says(as, { at: axis === 'off' ? farther(value) : colder(value) })];
}
