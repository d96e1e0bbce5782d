import { useDeferredValue, useMemo } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { procedureOf, stepStates, type Procedure } from '@escale/core/procedure';
import type { ProcedureRow } from '@escale/core/model';
import { render } from '@escale/core/say';
import { nowOf } from '@escale/core/trip/now';
import { MS } from '@escale/core/units';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { Button } from '../../ui/button';
import { Guard } from '../../ui/guard';
import { TextLink } from '../../ui/press';
import { Alone, Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useHere } from '../../data/here';
import { OnWater } from '../go/on-water';
import { Schools, StepList } from '../go/step-list';
import { useRun } from '../go/use-run';
import { useTrip } from '../trip/use-trip';
import { Numbers, useSignals, Words } from './call-block';
import { RaftView, RightingView } from './righting-view';
import { NOW_TITLE, TROUBLE } from './words';
import { procedures } from '../../data/procedures';

/** A card: ten seconds, then the facts of here and now, then the words to say, then the steps. */
export function CardPage() {
  const { id, card } = useLocalSearchParams<{ id: string; card: string }>();
  const row = procedures().find((each) => each.id === card && each.group === 'trouble');
  const router = useRouter();
  if (!row)
    return (
      <Page title="No such card">
        <Button onPress={() => router.replace(`/trips/${id}/go/trouble`)}>{TROUBLE.all}</Button>
      </Page>
    );
  return (
    <OnWater>
      <Card trip={id} row={row} />
    </OnWater>
  );
}

function Card({ trip, row }: { trip: string; row: ProcedureRow }) {
  const p = usePalette();
  // The first ten seconds are drawn before anything is reckoned.
  const settled = useDeferredValue(true, false);
  return (
    <Alone>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', gap: 12 }}>
        <T as="title" heading={1} style={{ flex: 1 }}>
          {row.title}
        </T>
        <TextLink href={`/trips/${trip}/go/trouble`}>{TROUBLE.all}</TextLink>
      </View>
      <View role="group" aria-label={TROUBLE.ten} style={{ backgroundColor: p.ink, padding: 16 }}>
        <T as="title" color={p.paper} style={{ fontSize: 27, lineHeight: 35 }}>
          {row.card?.first}
        </T>
      </View>
      {settled ? <Rest row={row} /> : null}
    </Alone>
  );
}

function Rest({ row }: { row: ProcedureRow }) {
  const router = useRouter();
  const { trip, shed, prepared, assessment } = useTrip();
  const { made, world } = useMemo(() => {
    const { world: facts, steps } = prepared.match(assessment.leave);
    return { made: procedureOf(row, facts, [], steps), world: facts };
  }, [row, prepared, assessment.leave]);
  const { held, ticks } = useRun(row.id, trip.id);
  const states = stepStates(made.steps, ticks);
  const done = made.steps.filter((s) => states.get(s.id)?.done).length;
  const signals = useSignals();
  const where = useHere();
  const boat = shed.boats.find((b) => b.id === trip.boat);
  const { call, nature } = row.card ?? {};
  return (
    <>
      <Guard instead={() => <T as="soft">{TROUBLE.noFacts}</T>}>
        <Now made={made} signals={signals} where={where} />
      </Guard>
      {call === 'none' ? (
        <T as="soft">{TROUBLE.noRadio}</T>
      ) : boat && call ? (
        <Words boat={boat} signals={signals} where={where} matter={{ call, ...(nature ? { nature } : {}) }} />
      ) : null}
      <Numbers />
      <View style={{ gap: 10 }}>
        <T as="section" heading={2}>
          {plainly(TROUBLE.steps, { n: made.steps.length })}
        </T>
        <Button kind="main" wet onPress={() => router.push(`/trips/${trip.id}/run/${row.id}`)}>
          {held ? plainly(TROUBLE.goOn, { done, all: made.steps.length }) : TROUBLE.oneAtATime}
        </Button>
        <StepList procedure={made} states={states} />
        <T as="soft">{TROUBLE.practice}</T>
      </View>
      {row.card?.now?.includes('right') ? (
        <Guard instead={() => <T as="soft">{TROUBLE.noFacts}</T>}>
          <RightingView />
        </Guard>
      ) : null}
      {row.id === 'abandon' && world.facts['kit.life-raft'] === true ? <RaftView /> : null}
      <Schools procedure={made} />
    </>
  );
}

/** What decides, of here and now, each under its head. */
function Now({
  made,
  signals,
  where,
}: {
  made: Procedure;
  signals: string[];
  where: ReturnType<typeof useHere>;
}) {
  const p = usePalette();
  const { input, assessment, plan, reader } = useTrip();
  const now = useNow(MS.minute);
  const told = useMemo(
    () =>
      nowOf({
        input,
        assessment,
        now,
        signals,
        ...(where.here ? { position: where.here } : {}),
        ...(plan ? { plan } : {}),
      }),
    [input, assessment, now, signals, where.here, plan],
  );
  const asked = made.card?.now?.filter((id) => id !== 'right') ?? [];
  if (asked.length === 0) return null;
  return (
    <View role="group" aria-label={TROUBLE.now} style={{ gap: 0 }}>
      <T as="section" heading={2}>
        {TROUBLE.now}
      </T>
      {asked.map((id) => (
        <View key={id} style={{ paddingVertical: 8, borderBottomWidth: 1, borderColor: p.line }}>
          <T as="caps">{NOW_TITLE[id]}</T>
          {told(id).map((said, i) => (
            <T key={i} style={{ fontSize: 17, lineHeight: 24 }}>
              {render(said, reader)}
            </T>
          ))}
        </View>
      ))}
    </View>
  );
}
