import ical from 'ical-generator';
import type { Reminder } from '../kit';
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
  for (const { item, what, on, title, how } of reminders) {
    const start = Date.parse(`${on}T00:00:00Z`);
    calendar.createEvent({
      id: `${item.id}-${what}@escale`,
      start: new Date(start),
      end: new Date(start + MS.day),
      allDay: true,
      stamp: new Date(now),
      summary: what === 'test' ? `Test: ${title}` : `Ends: ${title}`,
      ...(how ? { description: how } : {}),
    });
  }
  return calendar.toString();
}
