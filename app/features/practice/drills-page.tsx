import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { doneBy, DRILL_ROWS, whoCan } from '@escale/core/logbook';
import type { Drill, DrillKind } from '@escale/core/model';
import { CRAFT, DRILLS, type Craft } from '@escale/core/model/lists';
import { saysTo } from '@escale/core/say';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { Empty, Page } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { CELL, TableHead } from '../../ui/table-head';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind, useThings, useToday } from '../../data/hooks';
import { change, create, newId, remove, restore } from '../../data/outbox';
import { plainly, useReader } from '../../data/settings';
import type { Held } from '../../data/things';
import { ThingForm } from '../forms/thing-form';
import { useUndo } from '../mishap/undo';
import { DRILL, STATE } from './drill-words';
import { WhereNext } from './where-next';

const isKind = (kind: string | undefined): kind is DrillKind => kind !== undefined && kind in DRILLS;

/** Drills in the real world: who can what, the one gap, where and when next, and what was noted. */
export function DrillsPage() {
  const { kind } = useLocalSearchParams<{ kind?: string }>();
  const router = useRouter();
  const { shed } = useThings();
  const asked = isKind(kind) ? kind : undefined;
  return (
    <Page title={DRILL.title} lead={DRILL.lead} aside={<TextLink href="/practice">{DRILL.back}</TextLink>}>
      {shed.people.length === 0 ? (
        <Empty title={DRILL.nobody} why={DRILL.nobodyWhy}>
          <Button onPress={() => router.push('/shed/person/new')}>{DRILL.addPerson}</Button>
        </Empty>
      ) : (
        <>
          <NewDrill key={asked} asked={asked} />
          <WhoCan />
          <WhereNext />
          <Noted />
        </>
      )}
      <Fold title={DRILL.how}>
        <View style={{ gap: 10, paddingTop: 8 }}>
          {DRILL_ROWS.map(({ id, how, months }) => (
            <View key={id} style={{ gap: 2 }}>
              <T as="strong">{DRILLS[id]}</T>
              <T>{how}</T>
              <T as="soft">{plainly(DRILL.lasts, { months })}</T>
            </View>
          ))}
        </View>
      </Fold>
    </Page>
  );
}

/** The form of a new drill, open at once where one was asked for. */
function NewDrill({ asked }: { asked: DrillKind | undefined }) {
  const today = useToday();
  const [open, setOpen] = useState(asked !== undefined);
  const [id, setId] = useState(newId);
  const blank = useMemo(
    () => ({ id, who: [], on: today, ...(asked ? { kind: asked } : {}) }),
    [id, today, asked],
  );
  if (!open)
    return (
      <Button kind="main" onPress={() => setOpen(true)}>
        {DRILL.note}
      </Button>
    );
  return (
    <View style={{ gap: 10 }}>
      <T as="section" heading={2}>
        {DRILL.note}
      </T>
      <ThingForm
        type="drill"
        doc={blank}
        createLabel={DRILL.note}
        onCreate={(doc) => {
          void create('drill', { ...doc, id }, DRILL.note);
          setOpen(false);
          setId(newId());
        }}
      />
    </View>
  );
}

/** Who here can what, in a kind of boat, and the one gap to close. */
function WhoCan() {
  const { shed } = useThings();
  const today = useToday();
  const p = usePalette();
  const kinds = useMemo(() => [...new Set(shed.boats.map((boat) => boat.kind))], [shed.boats]);
  const [chosen, setChosen] = useState<Craft>();
  const craft = chosen ?? kinds.at(0);
  const { columns, rows, gap } = whoCan(
    shed.people,
    today,
    { drills: doneBy(shed.drills, today), boats: shed.boats },
    craft,
  );
  const reader = useReader('UTC');
  const says = saysTo(reader);
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        {DRILL.who}
      </T>
      {kinds.length > 1 ? (
        <Choice
          label={DRILL.boat}
          options={kinds.map((kind) => ({ value: kind, label: CRAFT[kind] }))}
          value={craft}
          onChange={(next) => next && setChosen(next as Craft)}
        />
      ) : null}
      <T as="strong">
        {gap
          ? gap.can === 0
            ? says(DRILL.gapNone, { what: gap.row.can ?? '' })
            : says(DRILL.gapFew, { can: gap.can, of: rows.length, what: gap.row.can ?? '' })
          : DRILL.noGap}
      </T>
      {gap?.nearest ? <T>{says(DRILL.nearest, { who: gap.nearest.name })}</T> : null}
      <View role="table" aria-label={DRILL.who}>
        <TableHead heads={[DRILL.name, ...columns.map(({ can }) => can ?? '')]} />
        {rows.map(({ person, cells }) => (
          <View
            key={person.id}
            role="row"
            style={{ flexDirection: 'row', borderBottomWidth: 1, borderColor: p.line }}
          >
            <View role="rowheader" style={CELL}>
              <T>{person.name}</T>
            </View>
            {cells.map(({ state, last }, i) => (
              <View key={columns[i].id} role="cell" style={CELL}>
                <T as={state === 'fresh' ? 'strong' : 'soft'}>{STATE[state]}</T>
                {last ? <T as="small">{says(DRILL.cell, { on: last.on })}</T> : null}
              </View>
            ))}
          </View>
        ))}
      </View>
    </View>
  );
}

/** What was noted, the newest first; each opens to be changed. */
function Noted() {
  const drills = useKind('drill');
  const sorted = [...drills].sort((a, b) => b.doc.on.localeCompare(a.doc.on));
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        {DRILL.noted}
      </T>
      {sorted.length === 0 ? <T as="soft">{DRILL.none}</T> : null}
      {sorted.map((held) => (
        <OneNoted key={held.id} held={held} />
      ))}
    </View>
  );
}

function OneNoted({ held }: { held: Held<'drill'> }) {
  const { shed } = useThings();
  const says = saysTo(useReader('UTC'));
  const undo = useUndo();
  const { doc }: { doc: Drill } = held;
  const what = DRILLS[doc.kind];
  const boat = shed.boats.find(({ id }) => id === doc.boat)?.name;
  const who = doc.who.map((id) => shed.people.find((person) => person.id === id)?.name ?? DRILL.gone);
  const said = says(DRILL.removed, { what, on: doc.on });
  const drop = () => {
    void remove(held, said);
    undo(said, () => restore(held, DRILL.note));
  };
  return (
    <Fold title={says(DRILL.notedIs, { what, on: doc.on })}>
      <View style={{ gap: 10, paddingTop: 8 }}>
        <T as="soft">{says(DRILL.notedBy, { who, boat: boat ? says(DRILL.inBoat, { boat }) : '' })}</T>
        <ThingForm type="drill" doc={doc} onPatch={(patch) => void change(held, patch, what)} />
        <Button onPress={drop}>{DRILL.remove}</Button>
      </View>
    </Fold>
  );
}
