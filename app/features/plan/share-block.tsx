import { useRef } from 'react';
import { View, type ViewStyle } from 'react-native';
import type { Patch, Trip } from '@escale/core/model';
import {
  shareFaults,
  shareOut,
  seated,
  type Berth,
  type Rider,
  type Shares,
} from '@escale/core/boat/share-out';
import { own, render } from '@escale/core/say';
import { doTo } from '@escale/core/verdict';
import { plainly } from '../../data/settings';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useDoMend } from '../trip/mend';
import { useTrip } from '../trip/use-trip';
import { SHARE } from './words';
import { useDrop } from './use-drop';

/** Who goes in which boat: dragged from one to another, or chosen out of a list; or shared out by Escale, and undone. */
export function ShareBlock() {
  const { trip, shed } = useTrip();
  const boats: Berth[] = [trip.boat, ...(trip.company ?? []).map((c) => c.boat)].flatMap((id) => {
    const boat = shed.boats.find((b) => b.id === id);
    return boat ? [{ id: boat.id, name: boat.name, ...(boat.seats ? { seats: boat.seats } : {}) }] : [];
  });
  const people = ridersOf(trip, shed.people, shed.boats.find((b) => b.id === trip.boat)?.kind);
  const shares: Shares = new Map(
    boats.map(({ id }, i) => [id, i === 0 ? inCrew(trip) : fellowsIn(trip, id)]),
  );
  return boats.length < 2 || people.length === 0 ? null : <Shared {...{ boats, people, shares }} />;
}

function Shared({ boats, people, shares }: { boats: Berth[]; people: Rider[]; shares: Shares }) {
  const { trip, reader } = useTrip();
  const doMend = useDoMend();
  const box = useRef<View>(null);
  const put = (next: Shares) =>
    doMend({ label: own(SHARE.said, {}), ...doTo('trip', trip.id, patchOf(trip, next)) }, SHARE.said);
  const move = (person: string, to: string) =>
    put(
      new Map(
        boats.map(({ id }) => {
          const without = (shares.get(id) ?? []).filter((other) => other !== person);
          return [id, id === to ? [...without, person] : without];
        }),
      ),
    );
  useDrop(box, move);
  return (
    <View ref={box} role="group" aria-label={SHARE.title} style={{ gap: 10 }}>
      <T as="section" heading={3}>
        {SHARE.title}
      </T>
      <Row style={{ alignItems: 'stretch' }}>
        {boats.map((boat) => (
          <Column key={boat.id} boat={boat} people={people} ids={shares.get(boat.id) ?? []} />
        ))}
      </Row>
      {shareFaults(shares, people, boats).map((said, i) => (
        <T key={i}>{render(said, reader)}</T>
      ))}
      <Button onPress={() => put(shareOut(people, boats))}>{SHARE.even}</Button>
      <Fold title={SHARE.byList}>
        <View style={{ gap: 10, paddingTop: 8 }}>
          {people.map((who) => (
            <View key={who.id} style={{ gap: 2 }}>
              <T as="caps">{who.name}</T>
              <Choice
                label={plainly(SHARE.goesIn, { who: who.name })}
                options={boats.map(({ id, name }) => ({ value: id, label: name }))}
                value={boats.find(({ id }) => shares.get(id)?.includes(who.id))?.id}
                onChange={(to) => to && move(who.id, to)}
              />
            </View>
          ))}
        </View>
      </Fold>
      <T as="small">{SHARE.how}</T>
    </View>
  );
}

/** A boat with her people from the bow; each is dragged to another. */
function Column({ boat, people, ids }: { boat: Berth; people: Rider[]; ids: readonly string[] }) {
  const p = usePalette();
  const { says } = useTrip();
  const group = seated(ids.flatMap((id) => people.find((who) => who.id === id) ?? []));
  const mass = group.reduce((sum, who) => sum + (who.mass ?? 0), 0);
  return (
    <View
      role="group"
      aria-label={boat.name}
      {...{ dataSet: { drop: boat.id } }}
      style={{
        borderWidth: 1,
        borderColor: p.ink,
        backgroundColor: p.raised,
        padding: 10,
        gap: 6,
        flexGrow: 1,
        flexBasis: 160,
      }}
    >
      <T as="strong">{says(SHARE.boat, { boat: boat.name, n: group.length, mass })}</T>
      {group.map((who, i) => (
        <View key={who.id} {...{ dataSet: { drag: who.id } }} style={[{ borderColor: p.line }, MARK]}>
          <T>{plainly(SHARE.seat, { n: i + 1, who: who.name })}</T>
          {notes(who).map((note) => (
            <T key={note} as="label">
              {note}
            </T>
          ))}
        </View>
      ))}
    </View>
  );
}
const MARK = {
  minHeight: 44,
  justifyContent: 'center',
  borderTopWidth: 1,
  cursor: 'grab',
  userSelect: 'none',
  touchAction: 'none',
} as object as ViewStyle;

const notes = (who: Rider): string[] => [
  ...(who.leads ? [SHARE.leads] : []),
  ...(who.weak ? [SHARE.weak] : []),
  ...(who.shoulder ? [SHARE.shoulder] : []),
];

const inCrew = (trip: Trip) => trip.crew.map((c) => c.person);
const fellowsIn = (trip: Trip, boat: string) => trip.company?.find((c) => c.boat === boat)?.people ?? [];

type Shelf = ReturnType<typeof useTrip>['shed'];
function ridersOf(trip: Trip, people: Shelf['people'], kind: string | undefined): Rider[] {
  const all = [...inCrew(trip), ...(trip.company ?? []).flatMap((c) => c.people)];
  return [...new Set(all)].flatMap((id): Rider[] => {
    const who = people.find((person) => person.id === id);
    if (!who) return [];
    const role = trip.crew.find((c) => c.person === id)?.role;
    return [
      {
        id,
        name: who.name,
        ...(who.mass === undefined ? {} : { mass: who.mass }),
        weak: who.swimming === 'none' || who.swimming === 'weak',
        shoulder: who.weakArm === true,
        leads:
          role === 'skipper' ||
          role === 'driver' ||
          (who.skills ?? []).some((skill) => skill.craft === kind && skill.level === 'sure'),
      },
    ];
  });
}

/** Who was in the crew keeps what was said of them; who comes into it begins with their name alone. */
function patchOf(trip: Trip, next: Shares): Patch[] {
  const [mine, ...others] = [...next];
  const crew = (mine?.[1] ?? []).map(
    (person) => trip.crew.find((c) => c.person === person) ?? { person, role: 'crew' as const },
  );
  const company = (trip.company ?? []).map((fellow) => {
    const people = others.find(([id]) => id === fellow.boat)?.[1] ?? fellow.people;
    const { wears, ...rest } = fellow;
    const still = wears?.filter((id) => people.includes(id));
    return { ...rest, people: [...people], ...(still && still.length > 0 ? { wears: still } : {}) };
  });
  return [
    { op: 'set', pointer: '/crew', value: crew },
    { op: 'set', pointer: '/company', value: company },
  ];
}
