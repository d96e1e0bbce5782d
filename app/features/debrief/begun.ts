import { civilDate } from '@escale/core/earth';
import { debriefIdOf } from '@escale/core/logbook/debrief-id';
import type { Debrief, PlanView } from '@escale/core/model';
import { MS } from '@escale/core/units';
import { useKind, useNow } from '../../data/hooks';
import { create } from '../../data/outbox';
import { useTrip } from '../trip/use-trip';
import { DEBRIEF } from './words';

/** When the plan heard that they had left, and that they were home. */
function heardOf(plan: PlanView | undefined): Pick<Debrief, 'left' | 'home'> {
  const left = plan?.events.find(({ kind }) => kind === 'under-way')?.at;
  const home = plan?.events.findLast(({ kind }) => kind === 'closed')?.at;
  const iso = (at: number) => new Date(at).toISOString();
  return {
    ...(left === undefined ? {} : { left: iso(left) }),
    ...(home === undefined ? {} : { home: iso(home) }),
  };
}

/** The debrief of the trip at hand, or how it is begun. */
export function useDebrief() {
  const { trip, shed, plan, reader } = useTrip();
  const now = useNow(MS.minute);
  const held = useKind('debrief').find((d) => d.doc.trip === trip.id);
  const people = trip.crew.flatMap(({ person }) => shed.people.find(({ id }) => id === person) ?? []);
  const boat = shed.boats.find(({ id }) => id === trip.boat);
  const today = civilDate(now, reader.zone);
  /** @param whole who went, in what and when as the plan has it: only where they are told that it is kept so */
  const begin = (whole: boolean) => {
    const heard = whole ? heardOf(plan) : {};
    const day = heard.left === undefined ? trip.leave.date : civilDate(Date.parse(heard.left), reader.zone);
    const doc: Debrief = {
      id: debriefIdOf(trip.id),
      trip: trip.id,
      // The day it is about, not the one on which it is told.
      on: day < today ? day : today,
      forgotten: [],
      broken: [],
      ...(whole && boat ? { boat: boat.id } : {}),
      ...(whole && people.length > 0 ? { who: people.map(({ id }) => id) } : {}),
      ...heard,
    };
    void create('debrief', doc, DEBRIEF.said);
  };
  return { held, people, boat, begin };
}
