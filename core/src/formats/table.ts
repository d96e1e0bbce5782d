import Papa from 'papaparse';
import { MOST_OF_A_KIND } from '../model/lists';

/** As many as a shed holds of one kind: a table that promises more is refused afterwards. */
export const MOST_ROWS = MOST_OF_A_KIND;
const MOST_BYTES = 4_000_000;
/** Names at the head of a table: the parser makes each row wide by them. */
const MOST_COLUMNS = 200;

export interface Table {
  columns: string[];
  rows: Record<string, string>[];
  faults: string[];
}

/** Columns at the head, whatever parts them, looked at no further than they matter. */
function headOf(text: string): number {
  let columns = 1;
  for (const c of text) {
    if (c === '\n' || c === '\r' || columns > MOST_COLUMNS) break;
    if (c === ',' || c === ';' || c === '\t' || c === '|') columns += 1;
  }
  return columns;
}

/** A table from text: byte-order mark, commas, semicolons or tabs, quoted cells. Refused whole when it is too large or torn. */
export function readTable(text: string): Table {
  if (text.length > MOST_BYTES)
    return { columns: [], rows: [], faults: [`The file is larger than ${MOST_BYTES / 1e6} MB.`] };
  if (headOf(text) > MOST_COLUMNS)
    return { columns: [], rows: [], faults: [`There are more than ${MOST_COLUMNS} columns.`] };
  const { data, errors, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => head.trim(),
    delimitersToGuess: [',', ';', '\t', '|'],
    // One more than is taken, so that too many is seen.
    preview: MOST_ROWS + 1,
  });
  const faults = errors
    .filter((e) => e.code !== 'UndetectableDelimiter')
    .slice(0, 20)
    .map(
      (e) => `${e.row === undefined ? '' : `row ${e.row + (e.type === 'Quotes' ? 1 : 2)}: `}${e.message}.`,
    );
  if (data.length > MOST_ROWS)
    faults.push(`There are more than ${MOST_ROWS} rows, which is what can be taken at once.`);
  return { columns: (meta.fields ?? []).filter(Boolean), rows: data, faults };
}
