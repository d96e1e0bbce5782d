import { useState } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import type { ProcedureRow } from '@escale/core/model';
import { CRAFT, JETTIES, SURFACES } from '@escale/core/model/lists';
import { procedureOf } from '@escale/core/procedure';
import { evaluate, type World } from '@escale/core/rules';
import { Button } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Choice, optionsOf, type Option } from '../../ui/choice';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind, useNow } from '../../data/hooks';
import { useReader, plainly } from '../../data/settings';
import { Runner } from '../go/runner';
import { useRun } from '../go/use-run';
import { CardLink } from '../../ui/press';
import { ForReal } from './for-real';
import { Tries } from './tries';
import { PRACTICE } from './words';
import { procedures } from '../../data/procedures';

/** Walk a procedure through at home, and see when it was last done. */
export function PracticePage() {
  const runs = useKind('run');
  const boats = useKind('boat').map((held) => held.doc.kind);
  // What is practised with the body, for the boats in the shed, stands open; where there is no boat, for all.
  const ours = (row: ProcedureRow) =>
    (row.card === undefined || row.card.about === 'over') &&
    (boats.length === 0 || boats.some((kind) => suits(row, kind)));
  const last = (id: string) =>
    runs
      .filter((r) => r.doc.procedure === id && r.doc.endedAt)
      .map((r) => ({ at: Date.parse(r.doc.endedAt!), drill: r.doc.trip === undefined }))
      .sort((a, b) => b.at - a.at)[0];
  return (
    <Page
      title="Practice"
      lead="Skills go stale. Try them here, walk them through at home, then do them once for real."
    >
      <Tries />
      <ForReal />
      <View>
        <T as="section" heading={2}>
          {PRACTICE.walks}
        </T>
        <T as="soft">{PRACTICE.walksWhat}</T>
      </View>
      {HEADS.map(({ title, groups }) => {
        const rows = drills().filter((row) => groups.includes(row.group));
        return (
          <View key={title} style={{ gap: 8 }}>
            <T as="strong" heading={3}>
              {title}
            </T>
            {rows.filter(ours).map((row) => (
              <DrillRow key={row.id} row={row} done={last(row.id)} />
            ))}
            {rows.every(ours) ? null : (
              <Fold title={plainly(PRACTICE.others, { n: rows.filter((row) => !ours(row)).length })}>
                <View style={{ gap: 8, paddingTop: 8 }}>
                  {rows
                    .filter((row) => !ours(row))
                    .map((row) => (
                      <DrillRow key={row.id} row={row} done={last(row.id)} />
                    ))}
                </View>
              </Fold>
            )}
          </View>
        );
      })}
    </Page>
  );
}

/** What can be walked through; short checks are no drill. */
const drills = () => procedures().filter(({ group }) => group !== 'check');
const HEADS: readonly { title: string; groups: readonly ProcedureRow['group'][] }[] = [
  { title: 'Into the water', groups: ['go'] },
  { title: 'Held in a place', groups: ['hold'] },
  { title: 'When it goes wrong', groups: ['trouble'] },
  { title: 'Fish and hooks', groups: ['fish'] },
  { title: 'Out of the water', groups: ['home'] },
];
const suits = (row: ProcedureRow, kind: string) =>
  evaluate(row.for, { facts: { 'boat.kind': kind }, crew: [] }).truth !== 'no';

function DrillRow({ row, done }: { row: ProcedureRow; done: { at: number; drill: boolean } | undefined }) {
  const p = usePalette();
  return (
    <CardLink
      label={row.title}
      href={`/practice/run/${row.id}`}
      style={{ borderWidth: 1, borderColor: p.ink, backgroundColor: p.raised, padding: 12, minHeight: 64 }}
    >
      <T as="strong" heading={3}>
        {row.title}
      </T>
      <T as="soft">
        {done ? plainly(done.drill ? PRACTICE.walked : PRACTICE.done, { at: done.at }) : PRACTICE.never}
      </T>
    </CardLink>
  );
}

const YES_NO = (yes: string, no: string) => [
  { value: 'yes', label: yes },
  { value: 'no', label: no },
];

/** What is asked of a walk, each settling one fact or more; asked only where its steps hang on it. */
const ASKED: readonly {
  label: string;
  facts: readonly string[];
  options: readonly Option[];
  settles: (said: string) => World['facts'];
}[] = [
  {
    label: 'Which boat',
    facts: ['boat.kind'],
    options: optionsOf(CRAFT),
    settles: (kind) => ({ 'boat.kind': kind }),
  },
  {
    label: 'With whom',
    facts: ['crew.alone'],
    options: YES_NO('Alone', 'With others'),
    settles: (said) => ({ 'crew.alone': said === 'yes' }),
  },
  {
    label: 'When',
    facts: ['day.dark'],
    options: YES_NO('In the dark', 'By day'),
    settles: (said) => ({ 'day.dark': said === 'yes' }),
  },
  {
    label: 'Moved how',
    facts: ['boat.motor', 'boat.combustion', 'boat.inboard'],
    options: [
      { value: 'hand', label: 'By hand' },
      { value: 'motor', label: 'With an outboard engine' },
      { value: 'inboard', label: 'With an engine inside' },
      { value: 'electric', label: 'With an electric motor' },
    ],
    settles: (moved) => ({
      'boat.motor': moved !== 'hand',
      'boat.combustion': moved === 'motor' || moved === 'inboard',
      'boat.inboard': moved === 'inboard',
    }),
  },
  {
    label: 'Jetty beside the launch',
    facts: ['launch.jetty'],
    options: optionsOf(JETTIES),
    settles: (jetty) => ({ 'launch.jetty': jetty }),
  },
  {
    label: 'Ground at the launch',
    facts: ['launch.surface'],
    options: optionsOf(SURFACES),
    settles: (surface) => ({ 'launch.surface': surface }),
  },
  {
    label: 'Tide',
    facts: ['water.tidal'],
    options: YES_NO('Tidal', 'No tide'),
    settles: (said) => ({ 'water.tidal': said === 'yes' }),
  },
];
type Drill = Readonly<Record<string, string>>;

/** What was said of the walk, as facts; what was not said leaves both sides in, each with the word for whom it is. */
const factsOf = (drill: Drill): World['facts'] =>
  Object.assign(
    {},
    ...ASKED.map(({ label, settles }) => {
      const said = drill[label];
      return said === undefined ? {} : settles(said);
    }),
  ) as World['facts'];

/** Do its steps, or whom it suits, hang on one of these facts? */
const hangsOn = (row: ProcedureRow, facts: readonly string[]) => {
  const text = JSON.stringify([row.for, row.steps.map((step) => step.when)]);
  return facts.some((fact) => text.includes(`"${fact}"`));
};

/** The same runner without a trip, for the boat and the hour that one walks it for. */
export function DrillPage() {
  const { procedure } = useLocalSearchParams<{ procedure: string }>();
  const router = useRouter();
  const now = useNow();
  const reader = useReader('UTC');
  const run = useRun(procedure, undefined);
  const [drill, setDrill] = useState<Drill>({});
  const row = procedures().find((r) => r.id === procedure);
  const back = () => router.replace('/practice');
  if (!row)
    return (
      <Page title="No such procedure">
        <Button onPress={back}>Practice</Button>
      </Page>
    );
  const made = procedureOf(row, { facts: factsOf(drill), crew: [] });
  const asked = ASKED.filter(({ facts }) => hangsOn(row, facts)).map(({ label, options }) => ({
    label,
    options: label === 'Which boat' ? options.filter(({ value }) => suits(row, value)) : [...options],
  }));
  const put = (label: string) => (value: string | undefined) =>
    setDrill(({ [label]: _, ...old }) => (value === undefined ? old : { ...old, [label]: value }));
  if (run.held) return <Runner procedure={made} run={run} now={now} leave={back} reader={reader} />;
  return (
    <Page
      title={row.title}
      lead="For which walk? What you leave open keeps both sides in, each with the word for whom it is."
      aside={
        <Button kind="quiet" onPress={back}>
          practice
        </Button>
      }
    >
      {asked.map(({ label, options }) => (
        <View key={label} style={{ gap: 2 }}>
          <T as="caps">{label}</T>
          <Choice label={label} options={options} value={drill[label]} onChange={put(label)} clearable />
        </View>
      ))}
      <T as="soft">{plainly(PRACTICE.steps, { n: made.steps.length })}</T>
      <Button kind="main" wet once onPress={() => void run.begin(now)}>
        Begin
      </Button>
    </Page>
  );
}
