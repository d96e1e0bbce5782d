import { useMemo } from 'react';
import { forgottenBefore } from '@escale/core/kit';
import type { Run } from '@escale/core/model';
import { procedureOf, type Procedure } from '@escale/core/procedure';
import { useKind } from '../../data/hooks';
import { change, create, deviceId, newId } from '../../data/outbox';
import type { Held } from '../../data/things';
import { useTrip } from '../trip/use-trip';
import { procedures } from '../../data/procedures';

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

/** The run of a procedure on a trip (or none: a drill at home), kept tick by tick. */
export function useRun(procedure: string, trip: string | undefined) {
  const runs = useKind('run');
  const held = runs
    .filter((r) => r.doc.procedure === procedure && r.doc.trip === trip && r.doc.endedAt === undefined)
    .at(-1);
  return {
    held,
    ticks: held?.doc.ticks ?? [],
    begin: (at: number) => begin(procedure, trip, at),
    mark: (tick: Run['ticks'][number]) => mark(held, tick),
    end: (at: number) => end(held, at),
  };
}

async function begin(procedure: string, trip: string | undefined, at: number): Promise<void> {
  await create(
    'run',
    {
      id: newId(),
      procedure,
      ...(trip ? { trip } : {}),
      startedAt: new Date(at).toISOString(),
      ticks: [],
    } as Run,
    'a run',
  );
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

async function end(held: Held<'run'> | undefined, at: number): Promise<void> {
  if (held)
    await change(
      held,
      [{ op: 'set', pointer: '/endedAt', value: new Date(at).toISOString() }],
      'the end of a run',
    );
}
