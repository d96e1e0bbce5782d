import type { Sheet } from '../model';
import { phrase, render } from '../say';
import { asRead } from './sheet';

/** So many lines are read; what goes beyond is counted. */
const MOST = 12;

/**
 * What a change of the plan changed, line by line, as somebody reads it who agreed to the one before: without what is sealed. Lines
 * are known by their part and label.
 */
export function sheetChanges(before: Sheet, after: Sheet): string[] {
  const say = (what: Parameters<typeof render>[0]) =>
    render(what, { units: 'metric', zone: after.zone, locale: 'en-GB' });
  const [was, is] = [before, after].map((sheet) => rowsOf(asRead(sheet, false)));
  const lines = [...new Set([...was.keys(), ...is.keys()])].flatMap((key) => {
    const [old, now] = [was.get(key), is.get(key)];
    if (old?.text === now?.text) return [];
    const label = (now ?? old)?.label ?? key;
    if (!now) return [say(phrase('sheet.gone', { label, was: old?.text ?? '' }))];
    return [
      say(
        old
          ? phrase('sheet.became', { label, is: now.text, was: old.text })
          : phrase('sheet.new', { label, is: now.text }),
      ),
    ];
  });
  const more = lines.length - MOST;
  return more > 0 ? [...lines.slice(0, MOST), say(phrase('sheet.more', { n: more }))] : lines;
}

/** Rows by what they are; the same label a second time is another row. */
function rowsOf({ lines }: Sheet): Map<string, { label: string; text: string }> {
  const rows = new Map<string, { label: string; text: string }>();
  for (const { head, rows: part } of lines)
    for (const row of part) {
      let n = 1;
      while (rows.has(`${head}/${row.label}/${n}`)) n += 1;
      rows.set(`${head}/${row.label}/${n}`, row);
    }
  return rows;
}
