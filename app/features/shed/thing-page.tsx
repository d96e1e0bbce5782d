import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { THINGS, type GearKind } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Empty, Page } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { useThing, useThings } from '../../data/hooks';
import { change, newId, remove, restore } from '../../data/outbox';
import type { Held } from '../../data/things';
import { SHED_TYPES, type ShedType } from '../../data/where';
import { later } from '../../ui/later';
import { ThingForm } from '../forms/thing-form';
import { blankOf } from '../forms/schema';
import { useUndo } from '../mishap/undo';
import { CATALOGUE } from '@escale/core/kit';
import { changeOf } from '../forms/words';
import { useAdd, useCameFrom } from './on-trip';
import { WhoseRules } from './whose-rules';
import { SHED } from './words';
import { plainly } from '../../data/settings';

const HerMeasures = later(() => import('../boat/her-measures').then((m) => m.HerMeasures));
const HerAir = later(() => import('../boat/her-air').then((m) => m.HerAir));
const Photos = later(() => import('../photos/photos').then((m) => m.Photos));
const GuestLink = later(() => import('../device/guest-link').then((m) => m.GuestLink));
const PersonsLimits = later(() => import('../limits/persons-limits').then((m) => m.PersonsLimits));
const NewBoat = later(() => import('../boat/new-boat').then((m) => m.NewBoat));

const ONE: Record<ShedType, string> = {
  boat: 'boat',
  person: 'person',
  gear: 'thing',
  place: 'place',
  water: 'water',
  contact: 'contact',
};
const isShedType = (type: string): type is ShedType => (SHED_TYPES as readonly string[]).includes(type);

export function ThingPage() {
  const { type, id } = useLocalSearchParams<{ type: string; id: string }>();
  if (!isShedType(type))
    return (
      <Page title="No such shelf">
        <T as="soft">There is nothing of that kind in the shed.</T>
      </Page>
    );
  return id === 'new' ? <NewThing key={type} type={type} /> : <OldThing type={type} id={id} />;
}

/** A new thing: the same form, sent whole. */
function NewThing({ type }: { type: ShedType }) {
  const router = useRouter();
  const { kind, at } = useLocalSearchParams<{ kind?: string; at?: string }>();
  const { add, back } = useAdd(type);
  const [id] = useState(newId);
  const [blank, setBlank] = useState(type !== 'boat');
  const start = useMemo(() => startOf(type, id, kind), [type, id, kind]);
  return (
    <Page
      title={plainly(SHED.newOne, { what: ONE[type] })}
      aside={
        <Button kind="quiet" onPress={() => router.replace(back ?? '/shed')}>
          {SHED.back}
        </Button>
      }
    >
      {blank ? (
        <ThingForm
          type={type}
          doc={start}
          onCreate={(doc) => add({ ...doc, id, name: String(doc.name) })}
          at={at}
        />
      ) : (
        <NewBoat add={add} blank={() => setBlank(true)} />
      )}
    </Page>
  );
}

/** What a new thing starts from: lists empty, and for kit what its kind suggests. */
function startOf(type: ShedType, id: string, kind: string | undefined): Record<string, unknown> {
  const blank = { ...(blankOf(THINGS[type]) as Record<string, unknown>), id };
  if (type !== 'gear') return type === 'water' ? { ...blank, jurisdiction: [] } : blank;
  const known = CATALOGUE.kinds.find((k) => k.id === kind);
  return {
    ...blank,
    ...(known ? { kind: known.id, name: known.title } : {}),
    count: 1,
    stowage: known?.supplies.find((s) => s.within)?.within ?? 'in-reach',
    // Nobody has looked at it yet: that it is in order is for its owner to say.
    state: 'unknown',
  };
}

function OldThing({ type, id }: { type: ShedType; id: string }) {
  const router = useRouter();
  const undo = useUndo();
  const { ready } = useThings();
  const { at } = useLocalSearchParams<{ at?: string }>();
  const back = useCameFrom();
  const held = useThing(id);
  const [gone, setGone] = useState(false);
  if (!held || held.type !== type)
    return (
      <Page title={gone || ready ? 'Not here' : 'One moment'}>
        {ready ? (
          <Empty
            title={plainly(SHED.notHere, { what: ONE[type] })}
            why="It was removed, or this device has not heard of it yet."
          >
            <Button onPress={() => router.replace('/shed')}>The shed</Button>
          </Empty>
        ) : null}
      </Page>
    );
  const { name } = held.doc as { name: string };
  const drop = () => {
    setGone(true);
    router.replace('/shed');
    const said = plainly(SHED.removed, { name });
    void remove(held, said);
    undo(said, () => restore(held, plainly(SHED.putBack, { name })));
  };
  return (
    <Page
      title={name}
      lead="Saved as you leave each field."
      aside={back ? <TextLink href={back}>{SHED.back}</TextLink> : null}
    >
      {held.type === 'boat' ? <HerMeasures held={held as Held<'boat'>} /> : null}
      {held.type === 'gear' ? <KindNote kind={(held as Held<'gear'>).doc.kind} /> : null}
      <ThingForm
        type={type}
        doc={held.doc}
        at={at}
        basis={(held.doc as { basis?: Record<string, string> }).basis}
        onPatch={(patch) => void change(held, patch, changeOf(patch[0].pointer, name))}
      />
      {held.type === 'boat' || held.type === 'gear' ? (
        <Photos held={held as Held<'boat'> | Held<'gear'>} what={name} />
      ) : null}
      {held.type === 'boat' ? <HerAir boat={(held as Held<'boat'>).doc} /> : null}
      {held.type === 'person' ? <PersonsLimits held={held as Held<'person'>} /> : null}
      {held.type === 'person' ? <GuestLink person={(held as Held<'person'>).doc} /> : null}
      {held.type === 'water' ? <WhoseRules held={held as Held<'water'>} at={at} /> : null}
      {held.type === 'water' ? <TextLink href={`/shed/chart?water=${id}`}>{SHED.chart}</TextLink> : null}
      <Row>
        <Button onPress={drop}>{plainly(SHED.remove, { name })}</Button>
      </Row>
    </Page>
  );
}

/** How a thing of this kind is used and tested, and what it needs to count. */
function KindNote({ kind }: { kind: string }) {
  const known = CATALOGUE.kinds.find((k) => k.id === kind);
  if (!known?.test && !known?.use) return null;
  return (
    <View>
      {known.use?.map((rule) => (
        <T key={rule}>{rule}</T>
      ))}
      {known.test ? <KindTest kind={known} test={known.test} /> : null}
    </View>
  );
}

function KindTest({ kind: known, test }: { kind: GearKind; test: NonNullable<GearKind['test']> }) {
  return (
    <View>
      <T as="strong">
        {test.everyMonths < 1
          ? plainly(SHED.testTrip, { kind: known.title })
          : plainly(SHED.testMonths, { kind: known.title, months: test.everyMonths })}
      </T>
      <T as="soft">{plainly(SHED.howPasses, { how: test.how, what: test.passes })}</T>
    </View>
  );
}
