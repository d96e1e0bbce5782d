import type { Contact, Finding, PlanView, Schedule, Trip, Water } from '../model';
import { phrase } from '../say';
import { MS } from '../units';
import { goTo } from '../verdict';
import { isOpen } from './fold';
import { FLOATPLAN } from './limits';

/** A filed plan as far as findings look at it. */
export type FiledPlan = Pick<PlanView, 'state' | 'times' | 'filed' | 'contacts' | 'channel'>;

export interface Ashore {
  trip: Trip;
  water?: Water;
  /** The contacts that the trip names, as far as they are in the shed. */
  contacts: Contact[];
  plan?: FiledPlan;
}

const section = goTo.section('pack/float-plan');

/** Who ashore knows, and whether what they know still holds. */
export function planFindings(
  { trip, water, contacts, plan }: Ashore,
  schedule: Schedule | undefined,
): Finding[] {
  const found: Finding[] = [];
  if (contacts.length === 0) {
    found.push(
      FLOATPLAN.finding('plan/contact', 'none', trip.id, {
        title: phrase('plan.contact.title'),
        because: [phrase('plan.contact.why')],
        mend: { label: phrase('plan.contact.mend'), ...goTo.trip(trip.id, '/contacts') },
      }),
    );
  }
  // Who has no phone can't be told: the alarm would be written and heard by nobody.
  for (const { id, name, phone } of contacts) {
    if (phone) continue;
    found.push(
      FLOATPLAN.finding('plan/reach', 'none', id, {
        title: phrase('plan.reach.title', { contact: name }),
        because: [phrase('plan.reach.why')],
        mend: { label: phrase('plan.reach.mend'), ...goTo.contact(id, '/phone') },
      }),
    );
  }
  if (water && !water.rescueNumber) {
    found.push(
      FLOATPLAN.finding('plan/rescue', 'unknown', water.id, {
        title: phrase('plan.rescue.title', { water: water.name }),
        because: [phrase('plan.rescue.why')],
        mend: { label: phrase('plan.rescue.mend'), ...goTo.water(water.id, '/rescueNumber') },
      }),
    );
  }
  const reachable = contacts.every((c) => c.phone);
  if (plan && isOpen(plan.state)) return [...found, ...filedFindings(trip, plan, schedule, reachable)];
  // A trip that is over needs no plan any more.
  if (trip.status === 'done') return found;
  return [
    ...found,
    FLOATPLAN.finding('plan/filed', 'none', trip.id, {
      title: phrase('plan.none.title'),
      because: [phrase('plan.none.why')],
      mend: { label: phrase('plan.none.mend'), ...section },
    }),
  ];
}

const DRIFT = FLOATPLAN.at('plan/changed', 'drifted') * MS.second;

function filedFindings(
  trip: Trip,
  plan: FiledPlan,
  schedule: Schedule | undefined,
  reachable: boolean,
): Finding[] {
  const found: Finding[] = [];
  // A simulated telephone reaches nobody either, but says so where it speaks.
  const unheard = plan.channel === 'none';
  if (unheard) {
    found.push(
      FLOATPLAN.finding('plan/channel', 'none', trip.id, {
        title: phrase('plan.channel.title'),
        because: [phrase('plan.channel.why')],
        mend: { label: phrase('plan.channel.mend'), ...section },
      }),
    );
  }
  const still = plan.contacts.filter((c) => !c.withdrawn);
  if (still.length === 0)
    found.push(
      FLOATPLAN.finding('plan/contact', 'none', `${trip.id}.filed`, {
        title: phrase('plan.contact.title'),
        because: [phrase('plan.contact.withdrawn')],
        mend: { label: phrase('plan.contact.mend'), ...goTo.trip(trip.id, '/contacts') },
      }),
    );
  const waiting = still.filter((c) => !c.accepted);
  for (const { id, name, declined } of waiting) {
    found.push(
      declined
        ? FLOATPLAN.finding('plan/accept', 'declined', id, {
            title: phrase('plan.declined.title', { contact: name }),
            because: [phrase('plan.declined.why')],
            mend: { label: phrase('plan.contact.mend'), ...goTo.trip(trip.id, '/contacts') },
          })
        : FLOATPLAN.finding('plan/accept', 'waiting', id, {
            title: phrase('plan.accept.title', { contact: name }),
            because: [phrase('plan.accept.why')],
            mend: { label: phrase('plan.accept.mend'), ...section },
          }),
    );
  }
  const home = schedule?.home;
  // Home put off under way was told to the contacts: only the trip that was changed since its filing has drifted.
  const filed = (plan.filed ?? plan.times).home;
  const drifted = home !== undefined && Math.abs(home - filed) > DRIFT;
  if (drifted) {
    found.push(
      FLOATPLAN.finding('plan/changed', 'drifted', trip.id, {
        title: phrase('plan.changed.title'),
        because: [phrase('plan.changed.why', { filed, home })],
        mend: { label: phrase('plan.changed.mend'), ...section },
      }),
    );
  }
  if (waiting.length > 0 || drifted || !reachable || still.length === 0) return found;
  const contacts = still.map((c) => c.name);
  return [
    ...found,
    FLOATPLAN.finding('plan/filed', unheard ? 'unheard' : 'filed', trip.id, {
      title: phrase('plan.filed.title'),
      because: [phrase('plan.filed.why', { contacts, overdue: plan.times.overdue })],
    }),
  ];
}
