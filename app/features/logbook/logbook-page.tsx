import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import {
  forgottenWhen,
  groupedBy,
  PARTS_OF_DAY,
  speedAgainstWind,
  sumsOf,
  tookOf,
  type Entry,
  type Sums,
} from '@escale/core/logbook/entries';
import { render, saysTo, type Says } from '@escale/core/say';
import { format } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { Empty, Page } from '../../ui/page';
import { CardLink, TextLink } from '../../ui/press';
import { save } from '../../ui/save';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind, useThings } from '../../data/hooks';
import { procedures } from '../../data/procedures';
import { useReader } from '../../data/settings';
import { sectionHref } from '../../data/where';
import { EntryRow } from './entry-row';
import { Learnt } from './learnt';
import { SpeedChart } from './speed-chart';
import { useEntries } from './use-entries';
import { LOG, PARTS } from './words';

/** The zone of this device: hours of trips are read on the clock that hangs on the wall at home. */
const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** What trips taught: sums, pictures, and every trip. */
export function LogbookPage() {
  const router = useRouter();
  const all = useEntries();
  const says = useSays();
  return (
    <Page title={LOG.title} lead={LOG.lead} aside={<TextLink href="/practice">{LOG.back}</TextLink>}>
      {all.length === 0 ? (
        <Empty title={LOG.emptyTitle} why={LOG.emptyWhy}>
          <Button onPress={() => router.push('/trips')}>{LOG.emptyGo}</Button>
        </Empty>
      ) : (
        <Filled all={all} says={says} />
      )}
    </Page>
  );
}

function useSays(): Says {
  const reader = useReader(HERE);
  return useMemo(() => saysTo(reader), [reader]);
}

function Filled({ all, says }: { all: Entry[]; says: Says }) {
  const boats = useKind('boat');
  const named = boats.filter(({ id }) => all.some(({ boatId }) => boatId === id));
  const [chosen, setChosen] = useState<string>();
  const boat = named.find(({ id }) => id === chosen);
  const entries = boat ? all.filter(({ boatId }) => boatId === boat.id) : all;
  return (
    <>
      {named.length > 1 ? (
        <Choice
          label={LOG.boat}
          options={[
            { value: '', label: LOG.all },
            ...named.map(({ id, doc }) => ({ value: id, label: doc.name })),
          ]}
          value={boat?.id ?? ''}
          onChange={(next) => setChosen(next === '' ? undefined : next)}
        />
      ) : null}
      <InAll sums={sumsOf(entries)} says={says} />
      <TextLink href="/practice/envelope">{LOG.envelope}</TextLink>
      <BySorts entries={entries} says={says} />
      <Speeds boats={boat ? [boat] : named} says={says} />
      <Forgotten entries={entries} says={says} />
      <Minutes says={says} />
      <Trips entries={entries} says={says} />
      <Row>
        <Button onPress={() => void asTable(entries)}>{LOG.csv}</Button>
        <TextLink href="/practice/logbook-paper">{LOG.paper}</TextLink>
      </Row>
    </>
  );
}

async function asTable(entries: readonly Entry[]) {
  const { logbookTable } = await import('@escale/core/logbook/logbook-csv');
  save('escale-logbook.csv', 'text/csv', logbookTable(entries));
}

function InAll({ sums, says }: { sums: Sums; says: Says }) {
  const reader = useReader(HERE);
  return (
    <View role="group" aria-label={LOG.sums} style={{ gap: 2 }}>
      <Row style={{ columnGap: 24 }}>
        <View>
          <T as="figure">{String(sums.trips)}</T>
          <T as="label">{LOG.trips}</T>
        </View>
        <View>
          <T as="figure">{says('{out:span}', { out: sums.seconds })}</T>
          <T as="label">{LOG.hours}</T>
        </View>
        <View>
          <T as="figure">{format(sums.metres, 'distance', reader.units)}</T>
          <T as="label">{LOG.way}</T>
        </View>
      </Row>
      {sums.withoutHours > 0 ? <T as="small">{says(LOG.lacksHours, { n: sums.withoutHours })}</T> : null}
      {sums.withoutWay > 0 ? <T as="small">{says(LOG.lacksWay, { n: sums.withoutWay })}</T> : null}
    </View>
  );
}

function Section({ title, children }: { title: string; children: React.ReactNode }) {
  const p = usePalette();
  return (
    <View style={{ borderTopWidth: 2, borderColor: p.ink, paddingTop: 8, gap: 8 }}>
      <T as="section" heading={2}>
        {title}
      </T>
      {children}
    </View>
  );
}

function BySorts({ entries, says }: { entries: Entry[]; says: Says }) {
  return (
    <Fold title={LOG.by}>
      <View style={{ gap: 12, paddingTop: 8 }}>
        {(['boat', 'water'] as const).map((sort) => (
          <View key={sort} style={{ gap: 2 }}>
            {groupedBy(entries, sort).map(({ name, sums }) => (
              <View
                key={name ?? ''}
                style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}
              >
                <T as="strong">{name ?? LOG.noName}</T>
                <T>{says(LOG.row, { n: sums.trips, out: sums.seconds, metres: sums.metres })}</T>
              </View>
            ))}
          </View>
        ))}
      </View>
    </Fold>
  );
}

function Speeds({ boats, says }: { boats: ReturnType<typeof useKind<'boat'>>; says: Says }) {
  const { shed } = useThings();
  const reader = useReader(HERE);
  const each = boats.map((boat) => ({ boat, points: speedAgainstWind(shed.debriefs, boat.id) }));
  // The boat with the most to show stands first; of those with nothing one sentence is enough.
  const [first, ...others] = [...each].sort((a, b) => b.points.length - a.points.length);
  if (!first) return null;
  return (
    <Section title={LOG.speed}>
      {[first, ...others.filter(({ points }) => points.length > 0)].map(({ boat, points }) => (
        <View key={boat.id} style={{ gap: 10 }}>
          <SpeedChart points={points} boat={boat.doc.name} reader={reader} says={says} />
          <Learnt boat={boat} debriefs={shed.debriefs} says={says} />
        </View>
      ))}
    </Section>
  );
}

function Forgotten({ entries, says }: { entries: Entry[]; says: Says }) {
  const p = usePalette();
  const all = useMemo(() => forgottenWhen(entries, HERE), [entries]);
  const most = Math.max(1, ...all.map(({ times }) => times));
  return (
    <Section title={LOG.forgotten}>
      {all.length === 0 ? <T as="soft">{LOG.forgottenNone}</T> : null}
      {all.map(({ what, times, on, parts, boats }) => (
        <View key={what} style={{ gap: 2 }}>
          <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
            <T as="strong">{what}</T>
            <T>{says(LOG.forgottenRow, { n: times, on })}</T>
          </View>
          <View style={{ height: 8, backgroundColor: p.line }} aria-hidden>
            <View style={{ height: 8, width: `${(times / most) * 100}%`, backgroundColor: p.water1 }} />
          </View>
          <T as="small">
            {[
              ...PARTS_OF_DAY.flatMap((part) =>
                parts[part] === undefined
                  ? []
                  : says(LOG.forgottenBoat, { name: PARTS[part], n: parts[part] }),
              ),
              ...(boats.length > 0
                ? [
                    says(LOG.forgottenBoats, {
                      boats: boats.map((one) => says(LOG.forgottenBoat, { name: one.name, n: one.times })),
                    }),
                  ]
                : []),
            ].join(', ')}
          </T>
        </View>
      ))}
    </Section>
  );
}

/** Of a walk so many of its longest steps are shown. */
const LONGEST = 4;

function Minutes({ says }: { says: Says }) {
  const runs = useKind('run');
  const reader = useReader(HERE);
  const took = useMemo(() => {
    const rows = procedures().filter(({ group }) => group === 'go' || group === 'home');
    return tookOf(
      runs.map(({ doc }) => doc),
      rows,
    );
  }, [runs]);
  return (
    <Section title={LOG.took}>
      {took.length === 0 ? <T as="soft">{LOG.tookNone}</T> : null}
      {took.map(({ procedure, title, runs: all, mean, steps }) => (
        <View key={procedure} style={{ gap: 2 }}>
          <T as="strong">{title}</T>
          <T>{says(LOG.tookRow, { mean, n: all.length, last: all[all.length - 1].seconds })}</T>
          <T as="label">{LOG.tookSteps}</T>
          {steps.slice(0, LONGEST).map((step) => (
            <View key={step.id} style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
              <T style={{ flex: 1 }}>{render(step.what, reader)}</T>
              <T as="strong">{says(LOG.tookStep, { mean: step.mean })}</T>
            </View>
          ))}
        </View>
      ))}
    </Section>
  );
}

/** So many trips stand on the page at first, and so many come with each tap. */
const SHOWN = 20;

function Trips({ entries, says }: { entries: Entry[]; says: Says }) {
  const [shown, setShown] = useState(SHOWN);
  const left = Math.min(SHOWN, entries.length - shown);
  return (
    <Section title={LOG.list}>
      <View role="list" aria-label={LOG.list} style={{ gap: 8 }}>
        {entries.slice(0, shown).map((entry) => (
          <View role="listitem" key={entry.id}>
            <CardLink
              href={sectionHref(entry.trip, 'home/debrief')}
              label={says(LOG.entry, { on: entry.on, title: entry.title ?? LOG.untitled })}
              style={{ paddingVertical: 6 }}
            >
              <EntryRow entry={entry} says={says} />
            </CardLink>
          </View>
        ))}
      </View>
      {left > 0 ? (
        <Button onPress={() => setShown(shown + SHOWN)}>{says(LOG.more, { n: left })}</Button>
      ) : null}
    </Section>
  );
}
