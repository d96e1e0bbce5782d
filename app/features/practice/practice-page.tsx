import { useState } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import type { ProcedureRow } from '@escale/core/model';
import { CRAFT } from '@escale/core/model/lists';
import { procedureOf } from '@escale/core/procedure';
import { evaluate, type World } from '@escale/core/rules';
import { Button } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Choice, optionsOf } from '../../ui/choice';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind, useNow } from '../../data/hooks';
import { useReader, plainly } from '../../data/settings';
import { Runner } from '../go/runner';
import { useRun } from '../go/use-run';
import { CardLink } from '../../ui/press';
import { PRACTICE } from './words';
import { procedures } from '../../data/procedures';

/** Walk a procedure through at home, and see when it was last done. */
export function PracticePage() {
  const runs = useKind('run');
  const boats = useKind('boat').map((held) => held.doc.kind);
  // Those of the boats in the shed stand open; where there is none, all do.
  const ours = (row: ProcedureRow) => boats.length === 0 || boats.some((kind) => suits(row, kind));
  const last = (id: string) =>
    runs
      .filter((r) => r.doc.procedure === id && r.doc.endedAt)
      .map((r) => ({ at: Date.parse(r.doc.endedAt!), drill: r.doc.trip === undefined }))
      .sort((a, b) => b.at - a.at)[0];
  return (
    <Page
      title="Practice"
      lead="Skills go stale. Walk each one through at home, then once for real in warm shallow water."
    >
      {HEADS.map(({ title, groups }) => {
        const rows = drills().filter((row) => groups.includes(row.group));
        return (
          <View key={title} style={{ gap: 8 }}>
            <T as="section" heading={2}>
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
      <T as="section" heading={3}>
        {row.title}
      </T>
      <T as="soft">
        {done ? plainly(done.drill ? PRACTICE.walked : PRACTICE.done, { at: done.at }) : PRACTICE.never}
      </T>
    </CardLink>
  );
}

const WITH = [
  { value: 'alone', label: 'Alone' },
  { value: 'others', label: 'With others' },
];
const WHEN = [
  { value: 'day', label: 'By day' },
  { value: 'dark', label: 'In the dark' },
];
const MOVED = [
  { value: 'hand', label: 'By hand' },
  { value: 'motor', label: 'With an engine' },
  { value: 'electric', label: 'With an electric motor' },
];
const CRAFTS = optionsOf(CRAFT);

interface Drill {
  kind?: string;
  company?: string;
  light?: string;
  moved?: string;
}

/** What was said of the walk, as facts; what was not said leaves both sides in, each with the word for whom it is. */
function factsOf({ kind, company, light, moved }: Drill): World['facts'] {
  return {
    ...(kind ? { 'boat.kind': kind } : {}),
    ...(company ? { 'crew.alone': company === 'alone' } : {}),
    ...(light ? { 'day.dark': light === 'dark' } : {}),
    ...(moved ? { 'boat.motor': moved !== 'hand', 'boat.combustion': moved === 'motor' } : {}),
  };
}

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
  const kinds = CRAFTS.filter(({ value }) => suits(row, value));
  const made = procedureOf(row, { facts: factsOf(drill), crew: [] });
  const put = (key: keyof Drill) => (value: string | undefined) =>
    setDrill((old) => ({ ...old, [key]: value }));
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
      <Choice label="Which boat" options={kinds} value={drill.kind} onChange={put('kind')} clearable />
      <Choice label="With whom" options={WITH} value={drill.company} onChange={put('company')} clearable />
      <Choice label="When" options={WHEN} value={drill.light} onChange={put('light')} clearable />
      <Choice label="Moved how" options={MOVED} value={drill.moved} onChange={put('moved')} clearable />
      <T as="soft">{plainly(PRACTICE.steps, { n: made.steps.length })}</T>
      <Button kind="main" wet once onPress={() => void run.begin(now)}>
        Begin
      </Button>
    </Page>
  );
}
