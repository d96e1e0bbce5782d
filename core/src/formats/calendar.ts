import ical, { ICalAlarmType } from 'ical-generator';
import { planReminders } from '../floatplan';
import type { Reminder } from '../kit';
import type { PlanView, ReadyTask, Trip } from '../model';
import { render } from '../say';
import { MS } from '../units';

/**
 * Dates of the kit as an iCalendar file (RFC 5545): a whole day for each test that falls due and each thing that ends.
 * A thing keeps its entry's id, so that a calendar that takes the file again changes it instead of adding a second.
 * @param now epoch ms, the stamp of the file
 */
export function kitCalendar(reminders: Reminder[], now: number): string {
  const calendar = ical({
    name: 'Escale: kit',
    prodId: { company: 'Escale', product: 'kit', language: 'EN' },
  });
  for (const { id, what, on, title, boat, how } of reminders) {
    const name = boat === undefined ? title : `${boat}: ${title}`;
    const start = Date.parse(`${on}T00:00:00Z`);
    calendar.createEvent({
      id: `${id}-${what}@escale`,
      start: new Date(start),
      end: new Date(start + MS.day),
      allDay: true,
      stamp: new Date(now),
      summary: `${ENTRY[what]}: ${name}`,
      ...(how ? { description: how } : {}),
    });
  }
  return calendar.toString();
}

const ENTRY = { test: 'Test', ends: 'Ends', back: 'Back from loan' } as const;

/**
 * The hours of a float plan as an iCalendar file, each with an alarm at its time: a calendar rings with the phone in a pocket and
 * this application closed.
 * @param now epoch ms, the stamp of the file
 */
export function planCalendar(
  plan: Pick<PlanView, 'id' | 'title' | 'state' | 'times' | 'zone'>,
  now: number,
): string {
  const calendar = ical({
    name: `Escale: ${plan.title}`,
    prodId: { company: 'Escale', product: 'plan', language: 'EN' },
  });
  const reader = { units: 'metric', zone: plan.zone, locale: 'en-GB' } as const;
  for (const { name, at, what } of planReminders(plan)) {
    const summary = render(what, reader);
    calendar
      .createEvent({
        id: `${plan.id}-${name}@escale`,
        start: new Date(at),
        end: new Date(at + QUARTER),
        stamp: new Date(now),
        summary,
      })
      .createAlarm({ type: ICalAlarmType.display, trigger: 0, description: summary });
  }
  return calendar.toString();
}
const QUARTER = 15 * MS.minute;

/**
 * What comes before leaving as an iCalendar file, each task with an alarm when it begins. What is done or left out is not in it; a
 * task keeps its entry's id, so that a calendar that takes the file again moves it with a trip that leaves at another hour.
 * @param now epoch ms, the stamp of the file
 */
export function readyCalendar(
  { id, title }: Pick<Trip, 'id' | 'title'>,
  tasks: readonly ReadyTask[],
  now: number,
): string {
  const calendar = ical({
    name: `Escale: before ${title}`,
    prodId: { company: 'Escale', product: 'beforehand', language: 'EN' },
  });
  for (const task of tasks) {
    if (task.said === 'done' || task.said === 'out') continue;
    calendar
      .createEvent({
        id: `${id}-${task.id}@escale`,
        start: new Date(task.starts),
        end: new Date(task.ends),
        stamp: new Date(now),
        summary: task.title,
        ...(task.why ? { description: task.why } : {}),
      })
      .createAlarm({ type: ICalAlarmType.display, trigger: 0, description: task.title });
  }
  return calendar.toString();
}

/**
 * What is to be done after a trip as an iCalendar file, each at the hour until which it should be done, with an alarm. A task keeps
 * its entry’s id.
 * @param now epoch ms, the stamp of the file
 */
export function afterCalendar(
  trip: Pick<Trip, 'id' | 'title'>,
  tasks: readonly { key: string; what: string; why?: string; due: number }[],
  now: number,
): string {
  const calendar = ical({
    name: trip.title,
    prodId: { company: 'Escale', product: 'after the trip', language: 'EN' },
  });
  for (const { key, what, why, due } of tasks)
    calendar
      .createEvent({
        id: `${trip.id}-${key}@escale`,
        start: new Date(due),
        end: new Date(due),
        stamp: new Date(now),
        summary: what,
        ...(why ? { description: why } : {}),
      })
      .createAlarm({ type: ICalAlarmType.display, trigger: 0, description: what });
  return calendar.toString();
}
