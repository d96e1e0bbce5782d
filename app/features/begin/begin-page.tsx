import { useMemo, useState, type ComponentType } from 'react';
import { ScrollView, View } from 'react-native';
import { useRouter } from 'expo-router';
import { startBoat, STARTING_POINTS } from '@escale/core/boat/start';
import { civilDate } from '@escale/core/earth';
import { readPosition } from '@escale/core/earth/read-position';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useNow, useThings } from '../../data/hooks';
import { create, newId } from '../../data/outbox';
import { plainly } from '../../data/settings';
import type { Asking } from './ask';
import { AskBoat } from './ask-boat';
import { AskPeople } from './ask-people';
import { AskPlace } from './ask-place';
import { AskWhen } from './ask-when';
import { EMPTY, madeFrom, useDraft, type Draft } from './draft';
import { faultOf } from './faults';
import { whereIs } from '../where/where-is';
import { ASK_BOAT, ASK_PEOPLE, ASK_PLACE, ASK_WHEN, BEGIN } from './words';

const STEPS: { title: string; Ask: ComponentType<Asking> }[] = [
  { title: ASK_BOAT.title, Ask: AskBoat },
  { title: ASK_PEOPLE.title, Ask: AskPeople },
  { title: ASK_PLACE.title, Ask: AskPlace },
  { title: ASK_WHEN.title, Ask: AskWhen },
];
const MINUTE = 60_000;

/** One question at a time, then the answer. What was given is kept on this device until it is a trip. */
export function BeginPage() {
  const { ready } = useThings();
  // What a new trip shares with the last one is known when everything is here.
  return ready ? <Questions /> : <T style={{ padding: 14 }}>One moment</T>;
}

function Questions() {
  const p = usePalette();
  const router = useRouter();
  const now = useNow(MINUTE);
  const { shed, trips } = useThings();
  const first = useMemo(() => likeLast(trips, shed), [trips, shed]);
  const { draft, put, forget } = useDraft(first);
  const [fault, setFault] = useState<string>();
  const [busy, setBusy] = useState(false);
  if (!draft) return <T style={{ padding: 14 }}>One moment</T>;
  const { title, Ask } = STEPS[draft.step];
  const last = draft.step === STEPS.length - 1;
  const go = (step: number) => {
    setFault(undefined);
    put({ ...draft, step });
  };
  const finish = async () => {
    setBusy(true);
    const position = draft.place.id === undefined ? readPosition(draft.place.where ?? '') : undefined;
    const launch = shed.places.find((pl) => pl.id === draft.place.id);
    const { zone, guessed: zoneGuessed, country } = await whereIs(position);
    const made = madeFrom(draft, {
      shed,
      newId,
      today: civilDate(now, zone),
      position,
      zone,
      zoneGuessed,
      country,
      points: STARTING_POINTS,
      startBoat,
      title: draft.place.name?.trim() || launch?.name || BEGIN.title,
      last: trips.toSorted((a, b) => b.leave.date.localeCompare(a.leave.date))[0],
    });
    if (made.boat) await create('boat', made.boat, made.boat.name);
    for (const person of made.people) await create('person', person, person.name);
    if (made.water) await create('water', made.water, made.water.name);
    if (made.place) await create('place', made.place, made.place.name);
    await create('trip', made.trip, made.trip.title);
    await forget();
    router.replace(`/trips/${made.trip.id}`);
  };
  const next = () => {
    const lacks = faultOf(draft, shed.places);
    if (lacks) return setFault(lacks);
    if (!last) return go(draft.step + 1);
    void finish();
  };
  return (
    <View style={{ flex: 1, backgroundColor: p.paper }}>
      <ScrollView
        role="main"
        style={{ flex: 1 }}
        contentContainerStyle={{ padding: 14, gap: 12, maxWidth: 640, width: '100%', alignSelf: 'center' }}
      >
        <T as="label">{plainly(BEGIN.step, { n: draft.step + 1, all: STEPS.length })}</T>
        <T as="title" heading={1}>
          {title}
        </T>
        {draft.step === 0 ? <T as="soft">{BEGIN.lead}</T> : null}
        <Ask draft={draft} put={put} />
      </ScrollView>
      <View style={{ padding: 12, gap: 6, borderTopWidth: 2, borderColor: p.ink }}>
        {fault ? (
          <T role="alert" as="strong">
            {fault}
          </T>
        ) : null}
        <Row style={{ justifyContent: 'space-between' }}>
          {draft.step > 0 ? (
            <Button onPress={() => go(draft.step - 1)}>{BEGIN.back}</Button>
          ) : (
            <Button kind="quiet" onPress={() => router.replace('/trips')}>
              {BEGIN.leave}
            </Button>
          )}
          <Button kind="main" busy={busy} onPress={next} style={{ minWidth: 150 }}>
            {last ? BEGIN.finish : BEGIN.next}
          </Button>
        </Row>
      </View>
    </View>
  );
}

type Things = ReturnType<typeof useThings>;

/** The answers that the last trip gives, as far as they are still here. */
function likeLast(trips: Things['trips'], shed: Things['shed']): Draft {
  const last = trips.toSorted((a, b) => b.leave.date.localeCompare(a.leave.date))[0];
  if (!last) return EMPTY;
  const people = last.crew.flatMap(({ person }) => {
    const who = shed.people.find((one) => one.id === person);
    return who ? [{ id: who.id, name: who.name, child: false }] : [];
  });
  const boat = shed.boats.find((b) => b.id === last.boat),
    launch = shed.places.find((pl) => pl.id === last.launch);
  return {
    ...EMPTY,
    boat: boat ? { id: boat.id } : {},
    people: people.length > 0 ? people : EMPTY.people,
    place: launch ? { id: launch.id } : {},
  };
}
