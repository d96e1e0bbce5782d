import type { Sheet } from '../model';
import { phrase, render } from '../say';

/** A machine that reaches nobody says so wherever its sheet goes. */
export type Told = 'nobody' | 'contacts';

/**
 * The sheet as text that stands by itself: to be sent by any way a phone has, read out, or printed. Every hour has its day. A link
 * to this machine is never in it.
 * @param told whether the machine that keeps the plan tells the contacts by itself
 */
export function sheetText(sheet: Sheet, told: Told): string {
  const say = (what: Parameters<typeof render>[0]) =>
    render(what, { units: 'metric', zone: sheet.zone, locale: 'en-GB' });
  const numbered = (lines: string[]) => lines.map((line, i) => `${i + 1}. ${line}`);
  return [
    [sheet.title, say(phrase('sheet.filed', { at: Date.parse(sheet.filedAt), zone: sheet.zone }))],
    [say(phrase(told === 'nobody' ? 'sheet.told.nobody' : 'sheet.told.contacts'))],
    [say(phrase('sheet.head.expect')), ...numbered(sheet.expect)],
    [say(phrase('sheet.head.late')), ...numbered(sheet.ifLate)],
    ...sheet.lines.map(({ head, rows }) => [
      head.toUpperCase(),
      ...rows.map(({ label, text }) => `${label}: ${text}`),
    ]),
    [say(phrase('sheet.head.read')), sheet.read],
  ]
    .map((part) => part.join('\n'))
    .join('\n\n');
}

/** The least that somebody ashore needs, short enough for a code that a phone reads off a screen. */
export function sheetShort(sheet: Sheet, told: Told): string {
  return [
    sheet.title,
    sheet.read,
    ...sheet.ifLate,
    render(phrase(told === 'nobody' ? 'sheet.told.nobody' : 'sheet.told.contacts'), {
      units: 'metric',
      zone: sheet.zone,
      locale: 'en-GB',
    }),
  ].join('\n');
}
