import { Pressable } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { procedureOf } from '@escale/core/procedure';
import { dayOf } from '@escale/core/say';
import { PROCEDURES } from '@escale/core/trip';
import { Button } from '../../ui/button';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind, useNow } from '../../data/hooks';
import { Runner } from '../go/runner';
import { useRun } from '../go/use-run';

/** Walk a procedure through at home, and see when it was last done. */
export function PracticePage() {
  const p = usePalette();
  const router = useRouter();
  const runs = useKind('run');
  const last = (id: string) => runs.filter((r) => r.doc.procedure === id && r.doc.endedAt).map((r) => ({ at: Date.parse(r.doc.endedAt!), drill: r.doc.trip === undefined })).sort((a, b) => b.at - a.at)[0];
  return (
    <Page title="Practice" lead="Skills go stale. Walk each one through at home, then once for real in warm shallow water.">
      {PROCEDURES.map((row) => {
        const done = last(row.id);
        return (
          <Pressable key={row.id} role="link" aria-label={row.title} onPress={() => router.push(`/practice/run/${row.id}`)} style={{ borderWidth: 1, borderColor: p.ink, backgroundColor: p.raised, padding: 12, minHeight: 64 }}>
            <T as="section" heading={2}>{row.title}</T>
            <T as="soft">{done ? `Last ${done.drill ? 'walked through' : 'done'} ${dayOf(done.at, { zone: 'UTC', locale: 'en-GB' })}` : 'Never walked through yet'}</T>
          </Pressable>
        );
      })}
    </Page>
  );
}

/** The same runner without a trip: every step of the procedure stands, because no fact rules one out. */
export function DrillPage() {
  const { procedure } = useLocalSearchParams<{ procedure: string }>();
  const router = useRouter();
  const now = useNow();
  const run = useRun(procedure, undefined);
  const row = PROCEDURES.find((r) => r.id === procedure);
  const back = () => router.replace('/practice');
  if (!row) return <Page title="No such procedure"><Button onPress={back}>Practice</Button></Page>;
  return <Runner procedure={procedureOf(row, { facts: {}, crew: [] })} run={run} now={now} leave={back} />;
}
