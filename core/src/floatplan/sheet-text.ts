import { wholeRow } from './sheet-rows';
import type { Phrase, Sheet } from '../model';
import { phrase, render } from '../say';

const sayer =
  ({ zone }: Sheet) =>
  (what: Phrase) =>
    render(what, { units: 'metric', zone, locale: 'en-GB' });

/**
 * The sheet as text that stands by itself: to be sent by any way a phone has, read out, or printed. Every hour has its day. A link
 * to this machine is never in it, and it says that no machine tells anybody.
 */
export function sheetText(sheet: Sheet): string {
  const say = sayer(sheet);
  const numbered = (lines: string[]) => lines.map((line, i) => `${i + 1}. ${line}`);
  return [
    [sheet.title, say(phrase('sheet.filed', { at: Date.parse(sheet.filedAt), zone: sheet.zone }))],
    [say(phrase('sheet.told'))],
    [say(phrase('sheet.head.expect')), ...numbered(sheet.expect)],
    [say(phrase('sheet.head.late')), ...numbered(sheet.ifLate)],
    ...sheet.lines.map(({ head, rows }) => [
      head.toUpperCase(),
      ...rows.map((row) => `${row.label}: ${wholeRow(row)}`),
    ]),
    [say(phrase('sheet.head.read')), sheet.read],
  ]
    .map((part) => part.join('\n'))
    .join('\n\n');
}

/** The least that somebody ashore needs, short enough for a code that a phone reads off a screen. */
export function sheetShort(sheet: Sheet): string {
  return [sheet.title, sheet.read, ...sheet.ifLate, sayer(sheet)(phrase('sheet.told'))].join('\n');
}
