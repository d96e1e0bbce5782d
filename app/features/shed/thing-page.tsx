import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { THINGS } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Choice, Tick } from '../../ui/choice';
import { Empty, Page } from '../../ui/page';
import { T } from '../../ui/text';
import { useThing, useThings } from '../../data/hooks';
import { change, create, newId, remove, restore } from '../../data/outbox';
import type { Held } from '../../data/things';
import { fieldId, SHED_TYPES, type ShedType } from '../../data/where';
import { later } from '../../ui/later';
import { useGoTo } from '../forms/go-to';
import { ThingForm } from '../forms/thing-form';
import { blankOf } from '../forms/schema';
import { useUndo } from '../shell/undo';
import { CATALOGUE } from '@escale/core/kit';
import { PACKS, switched } from '@escale/core/rules';

const HerMeasures = later(() => import('../boat/her-measures').then((m) => m.HerMeasures));
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
  const { kind, back, at } = useLocalSearchParams<{ kind?: string; back?: string; at?: string }>();
  const [id] = useState(newId);
  const [blank, setBlank] = useState(type !== 'boat');
  const start = useMemo(() => startOf(type, id, kind), [type, id, kind]);
  const add = (doc: Record<string, unknown>) => {
    void create(type, { ...doc, id: id }, String(doc.name));
    router.replace(back && /^\/(trips|shed)\//.test(back) ? back : `/shed/${type}/${id}`);
  };
  return (
    <Page title={`A new ${ONE[type]}`}>
      {blank ? (
        <ThingForm type={type} doc={start} onCreate={add} at={at} />
      ) : (
        <NewBoat blank={() => setBlank(true)} />
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
    state: 'ready',
  };
}

function OldThing({ type, id }: { type: ShedType; id: string }) {
  const router = useRouter();
  const undo = useUndo();
  const { ready } = useThings();
  const { at } = useLocalSearchParams<{ at?: string }>();
  const held = useThing(id);
  const [gone, setGone] = useState(false);
  if (!held || held.type !== type)
    return (
      <Page title={gone || ready ? 'Not here' : 'One moment'}>
        {ready ? (
          <Empty
            title={`This ${ONE[type]} is not here`}
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
    void remove(held, `Removed ${name}`);
    undo(`Removed ${name}`, () => restore(held, `Put ${name} back`));
  };
  return (
    <Page title={name} lead="Saved as you leave each field.">
      {held.type === 'boat' ? <HerMeasures held={held as Held<'boat'>} /> : null}
      {held.type === 'gear' ? <KindNote kind={(held as Held<'gear'>).doc.kind} /> : null}
      <ThingForm
        type={type}
        doc={held.doc}
        at={at}
        basis={(held.doc as { basis?: Record<string, string> }).basis}
        onPatch={(patch) => void change(held, patch, `${patch[0].pointer.slice(1)} of ${name}`)}
      />
      {held.type === 'water' ? <Rules held={held as Held<'water'>} at={at} /> : null}
      <Row>
        <Button onPress={drop}>{`Remove ${name}`}</Button>
      </Row>
    </Page>
  );
}

/** How a thing of this kind is tested, and what it needs to count. */
function KindNote({ kind }: { kind: string }) {
  const known = CATALOGUE.kinds.find((k) => k.id === kind);
  if (!known?.test) return null;
  return (
    <View>
      <T as="strong">
        {known.title}: test every {known.test.everyMonths < 1 ? 'trip' : `${known.test.everyMonths} months`}
      </T>
      <T as="soft">
        {known.test.how} Passes: {known.test.passes}
      </T>
    </View>
  );
}

/** Whose rules hold on a water, and the questions that their packs ask about it. */
function Rules({ held, at }: { held: Held<'water'>; at: string | undefined }) {
  useGoTo(at);
  const water = held.doc;
  const packs = PACKS.filter((pack: (typeof PACKS)[number]) => pack.jurisdiction !== '*');
  const questions = packs
    .filter((pack) => water.jurisdiction.includes(pack.jurisdiction) && !water.without?.includes(pack.id))
    .flatMap((pack) => pack.questions ?? []);
  const holds = (pack: (typeof PACKS)[number]) =>
    water.jurisdiction.includes(pack.jurisdiction) && !water.without?.includes(pack.id);
  const toggle = (pack: (typeof PACKS)[number], on: boolean) => {
    const { jurisdiction, without } = switched(water, pack, on);
    void change(
      held,
      [
        { op: 'set', pointer: '/jurisdiction', value: jurisdiction },
        without ? { op: 'set', pointer: '/without', value: without } : { op: 'unset', pointer: '/without' },
      ],
      'which rule lists hold',
    );
  };
  const answer = (id: string, value: string | undefined) => {
    const { [id]: _old, ...rest } = water.answers ?? {};
    void change(
      held,
      [
        {
          op: 'set',
          pointer: '/answers',
          value: value === undefined ? rest : { ...rest, [id]: value === 'yes' },
        },
      ],
      'an answer about this water',
    );
  };
  return (
    <View style={{ gap: 10 }}>
      <T as="section" heading={2}>
        Whose rules hold
      </T>
      {packs.map((pack) => (
        <Tick
          key={pack.id}
          label={pack.title}
          note={`Version ${pack.version}, from memory, not verified. Ask ${pack.authority}.`}
          on={holds(pack)}
          onChange={(on) => toggle(pack, on)}
        />
      ))}
      {questions.map((q) => (
        <View key={q.id} style={{ gap: 4 }}>
          <T as="label" style={{ fontSize: 14 }}>
            {q.ask}
          </T>
          <Choice
            label={q.ask}
            id={fieldId(`/answers/${q.id}`)}
            options={[
              { value: 'yes', label: 'Yes' },
              { value: 'no', label: 'No' },
            ]}
            value={
              water.answers?.[q.id] === true ? 'yes' : water.answers?.[q.id] === false ? 'no' : undefined
            }
            clearable
            onChange={(v) => answer(q.id, v)}
          />
          {q.help ? <T as="small">{q.help}</T> : null}
        </View>
      ))}
    </View>
  );
}
