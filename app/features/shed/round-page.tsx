import { useState } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { TextInput } from 'react-native-paper';
import { plusDays } from '@escale/core/earth';
import { CATALOGUE } from '@escale/core/kit';
import { lastOut } from '@escale/core/boat/parts';
import { reminders, roundOf, type RoundTest } from '@escale/core/kit/round';
import { Button, Row } from '../../ui/button';
import { Empty, Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH } from '../../ui/tokens';
import { useNow, useThings, useToday } from '../../data/hooks';
import { change } from '../../data/outbox';
import { save } from '../../ui/save';
import { partsHref } from '../../data/where';
import { SHED } from './words';
import { plainly } from '../../data/settings';

const MONTH = 31,
  MONTHS_AHEAD = 12;

/** One test at a time: how it is done, what passes, and the result on record. */
export function RoundPage() {
  const router = useRouter();
  const { by, trip, boat: one } = useLocalSearchParams<{ by?: string; trip?: string; boat?: string }>();
  const { ready, shed, things, trips } = useThings();
  const now = useNow(60_000);
  const today = useToday();
  const [done, setDone] = useState<{ key: string; name: string; passed: boolean }[]>([]);
  const boat = shed.boats.find(({ id }) => id === one);
  const [later, setLater] = useState<ReadonlySet<string>>(new Set());
  const until = by && /^\d{4}-\d\d-\d\d$/.test(by) ? by : boat ? today : plusDays(today, MONTH);
  const due = roundOf({
    shed,
    catalogue: CATALOGUE,
    by: until,
    today,
    boat: boat?.id,
    out: lastOut(trips),
  });
  const next = due.find((d) => !later.has(d.key));
  // It is said once it is kept: what waits to be written still stands among what is due.
  const kept = done.filter(({ key }) => due.every((d) => d.key !== key));
  const record = (d: RoundTest, passed: boolean, note: string) => {
    const thing = things.find(({ id }) => id === d.of.id);
    const result = { on: today, passed, ...(note.trim() ? { note: note.trim() } : {}) };
    if (thing) void change(thing, d.patch(result), plainly(SHED.testOf, { name: d.name }));
    setDone([...done, { key: d.key, name: d.name, passed }]);
  };
  const back = () => router.push(trip ? `/trips/${trip}/pack/kit` : boat ? partsHref(boat.id) : '/shed');
  return (
    <Page
      title={boat ? plainly(SHED.roundOver, { boat: boat.name }) : SHED.round}
      lead={plainly(SHED.due, { until, n: due.length })}
      aside={
        <Button kind="quiet" onPress={back}>
          leave
        </Button>
      }
    >
      {next ? (
        <OneTest
          key={next.key}
          due={next}
          record={(passed, note) => record(next, passed, note)}
          later={() => setLater(new Set([...later, next.key]))}
          left={due.length}
        />
      ) : ready ? (
        <Empty
          title={later.size > 0 ? plainly(SHED.putOff, { n: later.size }) : SHED.nothingDue}
          why="What was tested drops off this list until its time comes again."
        />
      ) : null}
      {kept.length > 0 ? (
        <View style={{ gap: 2 }}>
          <T as="caps">This round</T>
          {kept.map((d, i) => (
            <T key={i}>
              {d.name}: {d.passed ? 'passed' : 'failed, and counts no more'}
            </T>
          ))}
        </View>
      ) : null}
      <Row>
        <Button onPress={() => void calendar(shed, today, now)}>Dates for the calendar</Button>
      </Row>
      <T as="small">Tests that fall due and things that end in the next twelve months, as a calendar file.</T>
    </Page>
  );
}

function OneTest({
  due,
  record,
  later,
  left,
}: {
  due: RoundTest;
  record: (passed: boolean, note: string) => void;
  later: () => void;
  left: number;
}) {
  const p = usePalette();
  const [note, setNote] = useState('');
  return (
    <View style={{ borderWidth: 2, borderColor: p.ink, backgroundColor: p.raised, padding: 14, gap: 10 }}>
      <T as="label">
        {due.on ? plainly(SHED.toGo, { left, on: due.on }) : plainly(SHED.toGoNever, { left })}
      </T>
      <T as="title" heading={2}>
        {due.count > 1 ? plainly(SHED.roundMany, { name: due.name, n: due.count }) : due.name}
      </T>
      {due.boat === undefined ? null : <T as="label">{due.boat}</T>}
      {due.how ? <T style={{ fontSize: 18, lineHeight: 26 }}>{due.how}</T> : null}
      {due.passes ? (
        <T as="strong" style={{ fontSize: 17 }}>
          {plainly(SHED.passes, { what: due.passes })}
        </T>
      ) : null}
      {due.why ? <T as="soft">{due.why}</T> : null}
      <TextInput
        mode="outlined"
        dense
        accessibilityLabel="Note"
        placeholder="Note"
        style={{ minHeight: TOUCH }}
        value={note}
        onChangeText={setNote}
        maxLength={400}
      />
      <Row>
        <Button once onPress={later} style={{ flex: 1 }}>
          Later
        </Button>
        <Button once onPress={() => record(false, note)} style={{ flex: 1 }}>
          Failed
        </Button>
      </Row>
      <Button kind="main" wet once onPress={() => record(true, note)}>
        Passed
      </Button>
    </View>
  );
}

/** The calendar's writer is loaded when it is asked for. */
async function calendar(shed: Parameters<typeof reminders>[0], today: string, now: number): Promise<void> {
  const { kitCalendar } = await import('@escale/core/formats/calendar');
  save('escale-kit.ics', 'text/calendar', kitCalendar(reminders(shed, CATALOGUE, today, MONTHS_AHEAD), now));
}
