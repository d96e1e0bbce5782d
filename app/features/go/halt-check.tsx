import { View } from 'react-native';
import { useRouter } from 'expo-router';
import type { Run } from '@escale/core/model';
import { checksOf, dueCheck, procedureOf, type Check } from '@escale/core/procedure';
import { render } from '@escale/core/say';
import { useKind, useNow } from '../../data/hooks';
import { create, newId } from '../../data/outbox';
import { procedures } from '../../data/procedures';
import { Button } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { GO } from './words';

/** By how much the trip left later than planned, where it said that it left, ms. */
export function useLater(): number {
  const { plan, assessment } = useTrip();
  const left = plan?.events.find((e) => e.kind === 'under-way')?.madeAt;
  const leave = assessment.schedule?.leave;
  return left === undefined || leave === undefined ? 0 : left - leave;
}

/** The short looks of this trip and what was kept of them. */
export function useChecks(): { checks: Check[]; runs: Run[] } {
  const { trip, assessment } = useTrip();
  const later = useLater();
  const runs = useKind('run').flatMap(({ doc }) =>
    doc.trip === trip.id && doc.halt !== undefined ? [doc] : [],
  );
  return { checks: assessment.schedule ? checksOf(assessment.schedule, later) : [], runs };
}

/** Twenty seconds on arriving at and leaving a halt, when they are due: one tap when all of it was looked at. */
export function HaltCheck() {
  const p = usePalette();
  const now = useNow();
  const router = useRouter();
  const { trip, shed, prepared, assessment, reader, says } = useTrip();
  const { checks, runs } = useChecks();
  const due = dueCheck(checks, runs, now);
  const row = due && procedures().find((each) => each.id === due.procedure);
  if (!due || !row) return null;
  const { world, steps } = prepared.match(assessment.leave);
  const made = procedureOf(row, world, [], steps);
  const place = shed.places.find((pl) => pl.id === due.place)?.name ?? GO.halt;
  const kept = (skipped: boolean) =>
    void create('run', keptRun(trip.id, due, skipped ? [] : made.steps.map((s) => s.id), now), 'a look');
  return (
    <View
      role="group"
      aria-label={GO.look}
      style={{ borderWidth: 2, borderColor: p.ink, padding: 12, gap: 8, backgroundColor: p.raised }}
    >
      <T as="section" heading={2}>
        {says(due.procedure === 'halt-arrive' ? GO.lookArriving : GO.lookLeaving, { place })}
      </T>
      {made.steps.map((step) => (
        <T key={step.id} style={{ fontSize: 17, lineHeight: 23 }}>
          {render(step.what, reader)}
        </T>
      ))}
      <Button kind="main" wet once onPress={() => kept(false)}>
        {GO.lookDone}
      </Button>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button onPress={() => kept(true)}>{GO.lookNot}</Button>
        <Button onPress={() => router.push(`/trips/${trip.id}/trouble/wrong`)}>{GO.lookWrong}</Button>
      </View>
    </View>
  );
}

function keptRun(trip: string, { procedure, halt }: Check, steps: string[], now: number): Run {
  const at = new Date(now).toISOString();
  return {
    id: newId(),
    procedure,
    trip,
    halt,
    startedAt: at,
    endedAt: at,
    ticks: steps.map((step) => ({ step, at })),
  } as Run;
}
