import { upAt } from '../passage';
import type { Finding, ReadyTask, Schedule } from '../model';
import { wallTime } from '../earth';
import { phrase } from '../say';
import { MS } from '../units';
import { isOpen } from '../floatplan';
import { finding, type Context } from './context';
import { SHORT_NIGHT, PLAN_DRIFT } from './limits';

/** What stands ashore: the float plan and its contacts, getting up and getting ready. */
export function shoreFindings(context: Context, schedule: Schedule | undefined, ready: ReadyTask[]): Finding[] {
  return [...planFindings(context, schedule), ...readyFindings(context, schedule, ready)];
}

function planFindings({ trip, plan, shed, water }: Context, schedule: Schedule | undefined): Finding[] {
  const section = 'pack/float-plan' as const;
  const found: Finding[] = [];
  const contacts = trip.contacts.flatMap((id) => shed.contacts.find((c) => c.id === id) ?? []);
  if (contacts.length === 0) found.push(finding({ id: `plan/contact/${trip.id}`, level: 'fix', section, title: phrase('plan.contact.title'), because: [phrase('plan.contact.why')], source: 'overdue', mend: { label: phrase('plan.contact.mend'), go: { type: 'trip', id: trip.id, pointer: '/contacts' } } }));
  if (water && !water.rescueNumber) found.push(finding({ id: `plan/rescue/${water.id}`, level: 'know', section, title: phrase('plan.rescue.title', { water: water.name }), because: [phrase('plan.rescue.why')], mend: { label: phrase('plan.rescue.mend'), go: { type: 'water', id: water.id, pointer: '/rescueNumber' } } }));
  if (!plan || !isOpen(plan.state)) {
    // A trip that is over needs no plan any more.
    if (trip.status !== 'done') found.push(finding({ id: `plan/filed/${trip.id}`, level: 'fix', section, title: phrase('plan.none.title'), because: [phrase('plan.none.why')], source: 'overdue', mend: { label: phrase('plan.none.mend'), open: section } }));
    return found;
  }
  // A simulated telephone reaches nobody either, but says so where it speaks.
  if (plan.channel === 'none') found.push(finding({ id: `plan/channel/${trip.id}`, level: 'fix', section, title: phrase('plan.channel.title'), because: [phrase('plan.channel.why')], source: 'practice', mend: { label: phrase('plan.channel.mend'), open: section } }));
  const waiting = plan.contacts.filter((c) => !c.accepted);
  for (const contact of waiting) found.push(finding({ id: `plan/accept/${contact.id}`, level: 'fix', section, title: phrase('plan.accept.title', { contact: contact.name }), because: [phrase('plan.accept.why')], source: 'practice', mend: { label: phrase('plan.accept.mend'), open: section } }));
  const drifted = schedule?.home !== undefined && Math.abs(schedule.home - plan.times.home) > PLAN_DRIFT.value;
  if (drifted && schedule?.home !== undefined) found.push(finding({ id: `plan/changed/${trip.id}`, level: PLAN_DRIFT.level, section, title: phrase('plan.changed.title'), because: [phrase('plan.changed.why', { filed: plan.times.home, home: schedule.home })], source: PLAN_DRIFT.source, mend: { label: phrase('plan.changed.mend'), open: section } }));
  if (waiting.length === 0 && !drifted) found.push(finding({ id: `plan/filed/${trip.id}`, level: plan.channel === 'none' ? 'know' : 'ready', section, title: phrase('plan.filed.title'), because: [phrase('plan.filed.why', { contacts: plan.contacts.map((c) => c.name), overdue: plan.times.overdue })], source: 'overdue' }));
  return found;
}

function readyFindings({ trip, zone }: Context, schedule: Schedule | undefined, ready: ReadyTask[]): Finding[] {
  if (!schedule || zone === undefined || trip.status === 'done') return [];
  const section = 'pack/ready' as const;
  const up = upAt(ready);
  if (trip.driveMinutes === undefined || up === undefined) return [finding({ id: `ready/drive/${trip.id}`, level: 'know', section, title: phrase('ready.drive.title'), because: [phrase('ready.drive.why')], mend: { label: phrase('ready.drive.mend'), go: { type: 'trip', id: trip.id, pointer: '/driveMinutes' } } })];
  const drive = trip.driveMinutes * 60;
  const work = (schedule.leave - up) / MS.second - drive;
  const hour = Number(wallTime(up, zone).slice(0, 2));
  const early = hour < SHORT_NIGHT.until || hour >= SHORT_NIGHT.from;
  return [finding({
    id: `ready/up/${trip.id}`, level: early ? SHORT_NIGHT.level : 'ready', section, title: phrase('ready.title', { at: up }),
    because: [phrase('ready.why', { leave: schedule.leave, work, drive }), ...(early ? [phrase('ready.early.why')] : [])], source: early ? SHORT_NIGHT.source : 'practice',
  })];
}
