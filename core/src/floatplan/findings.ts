import type { Channel, Contact, Finding, PlanView, Schedule, Trip, Water } from '../model';
import { phrase } from '../say';
import { MS } from '../units';
import { goTo } from '../verdict';
import { sheetFindings, type OnSheet } from './find-sheet';
import { isOpen } from './fold';
import { isDialled } from './identity';
import { FLOATPLAN } from './limits';

/** A filed plan as far as findings look at it. */
export type FiledPlan = Pick<PlanView, 'state' | 'times' | 'filed' | 'contacts' | 'channel'>;

export interface Ashore extends OnSheet {
  water?: Water;
  plan?: FiledPlan;
  /** How messages leave this machine, as far as it is known. */
  channels?: readonly Channel[];
}

/** By which ways somebody outside can be told, and what a contact needs for it. */
const WAYS = { telephone: 'phone', mail: 'mail' } as const;

/** Could a contact be told by anything that is set up here? Where nobody said what is, a phone counts. */
const isReached = (contact: Contact, channels: readonly Channel[] | undefined): boolean =>
  (channels ?? [{ name: 'telephone' as const }]).some(
    ({ name }) => name in WAYS && contact[WAYS[name as keyof typeof WAYS]],
  ) ||
  (channels?.length === 0 && (contact.phone ?? contact.mail) !== undefined);

const section = goTo.section('pack/float-plan');

/** Who ashore knows, and whether what they know still holds. */
export function planFindings(ashore: Ashore, schedule: Schedule | undefined): Finding[] {
  const { trip, water, contacts, plan, channels } = ashore;
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
  // Who can't be reached can't be told: the alarm would be written and heard by nobody.
  for (const contact of contacts) {
    if (isReached(contact, channels)) continue;
    const { id, name } = contact;
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
  if (water?.rescueNumber && !isDialled(water.rescueNumber))
    found.push(
      FLOATPLAN.finding('plan/dialled', 'phone', water.id, {
        title: phrase('plan.dialled.title', {
          contact: water.rescueName ?? phrase('sheet.rescue'),
          phone: water.rescueNumber,
        }),
        because: [phrase('plan.dialled.why')],
        mend: { label: phrase('plan.rescue.mend'), ...goTo.water(water.id, '/rescueNumber') },
      }),
    );
  if (trip.status !== 'done') found.push(...sheetFindings(ashore, schedule?.sooner));
  const reachable = contacts.every((c) => isReached(c, channels));
  if (plan && isOpen(plan.state)) return [...found, ...filedFindings(trip, plan, schedule, reachable)];
  // A trip that is over needs no plan any more.
  if (trip.status === 'done') return found;
  const broken = channels?.filter((c) => c.name in WAYS && c.failing) ?? [];
  const none = channels?.every((c) => !(c.name in WAYS) || c.failing) ?? false;
  return [
    ...found,
    ...(none ? [silentFinding(trip, broken.length > 0)] : []),
    FLOATPLAN.finding('plan/filed', 'none', trip.id, {
      title: phrase('plan.none.title'),
      because: [phrase('plan.none.why')],
      mend: { label: phrase('plan.none.mend'), ...section },
    }),
  ];
}

/** No message would leave this machine: none is set up, or those that are fail. */
const silentFinding = (trip: Trip, failing: boolean): Finding =>
  FLOATPLAN.finding('plan/channel', 'none', trip.id, {
    title: phrase('plan.channel.title'),
    because: [phrase(failing ? 'plan.channel.failing' : 'plan.channel.why')],
    mend: { label: phrase('plan.channel.mend'), ...section },
  });

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
  if (unheard) found.push(silentFinding(trip, false));
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
