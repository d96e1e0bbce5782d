import { useMemo } from 'react';
import { forgottenBefore } from '@escale/core/kit';
import type { Run } from '@escale/core/model';
import { procedureOf, type Procedure } from '@escale/core/procedure';
import { useKind } from '../../data/hooks';
import { change, create, deviceId, newId } from '../../data/outbox';
import { procedures } from '../../data/procedures';
import type { Held } from '../../data/things';
import { useTrip } from '../trip/use-trip';

/** A procedure made for this trip: its boat, hour, crew, and what was forgotten before. */
export function useProcedure(id: string): Procedure | undefined {
  const { prepared, assessment, shed, trip } = useTrip();
  return useMemo(() => {
    const row = procedures().find((r) => r.id === id);
    if (!row) return undefined;
    const forgotten = forgottenBefore(shed.debriefs.filter((d) => d.trip !== trip.id)).map((f) => f.what);
    const { world, home, steps } = prepared.match(assessment.leave);
    return procedureOf(row, row.group === 'home' ? home : world, forgotten, steps);
  }, [id, prepared, assessment.leave, shed.debriefs, trip.id]);
}

type Hands = NonNullable<Run['hands']>;
const inTime = (a: Held<'run'>, b: Held<'run'>) =>
  a.doc.startedAt.localeCompare(b.doc.startedAt) || a.id.localeCompare(b.id);

/**
 * The run of a procedure on a trip (or none: a drill at home), kept tick by tick. Two phones that began it apart, without
 * signal, are one run: what either ticked is ticked.
 */
export function useRun(procedure: string, trip: string | undefined) {
  const runs = useKind('run');
  const open = runs
    .filter((r) => r.doc.procedure === procedure && r.doc.trip === trip && r.doc.endedAt === undefined)
    .sort(inTime);
  const [held] = open;
  return {
    held,
    ticks: open.flatMap((run) => run.doc.ticks),
    hands: open.find((run) => run.doc.hands)?.doc.hands ?? [],
    begin: (at: number, hands: Hands = []) => begin(procedure, trip, at, hands),
    share: (hands: Hands) => share(held, hands),
    mark: (tick: Run['ticks'][number]) => mark(held, tick),
    end: async (at: number) => {
      for (const run of open) await end(run, at);
    },
  };
}

async function begin(procedure: string, trip: string | undefined, at: number, hands: Hands): Promise<void> {
  await create(
    'run',
    {
      id: newId(),
      procedure,
      ...(trip ? { trip } : {}),
      ...(hands.length > 0 ? { hands } : {}),
      startedAt: new Date(at).toISOString(),
      ticks: [],
    } as Run,
    'a run',
  );
}

async function share(held: Held<'run'> | undefined, hands: Hands): Promise<void> {
  if (held) await change(held, [{ op: 'set', pointer: '/hands', value: hands }], 'who does what');
}

async function mark(held: Held<'run'> | undefined, tick: Run['ticks'][number]): Promise<void> {
  // Without a name it is whoever holds this device: another phone is another eye.
  if (held)
    await change(
      held,
      [{ op: 'append', pointer: '/ticks', value: { by: await deviceId(), ...tick } }],
      'a step',
    );
}

async function end(held: Held<'run'>, at: number): Promise<void> {
  await change(
    held,
    [{ op: 'set', pointer: '/endedAt', value: new Date(at).toISOString() }],
    'the end of a run',
  );
}
