import Papa from 'papaparse';
import { VISIBILITY, type ForecastRow, type TideRow } from '../water/typed';

/** Columns by the names by which people head them; without a head they stand in this order. */
const COLUMNS = {
  time: ['time', 'hour', 'at', 'utc', 'local'],
  wind: ['wind', 'speed', 'wind speed', 'force', 'wind kn', 'wind kt'],
  gust: ['gust', 'gusts', 'gust kn', 'gust kt'],
  from: ['from', 'dir', 'direction', 'wind dir', 'wind from'],
  waves: ['waves', 'wave', 'sea', 'swell', 'height'],
  visibility: ['visibility', 'vis'],
  weather: ['weather', 'sky'],
} as const;
type Column = keyof typeof COLUMNS;
const ORDER = Object.keys(COLUMNS) as Column[];
const MOST_ROWS = 400;
/** More text than so many rows are: what follows is no forecast, and would keep the page. */
const MOST_TEXT = 200_000;

/** Cells of a text: commas, semicolons, tabs or bars; else runs of blanks part them. */
function cellsOf(text: string): string[][] {
  const lines = text
    .slice(0, MOST_TEXT)
    .replace(/^\uFEFF/, '')
    .trim();
  const { data } = Papa.parse<string[]>(lines, {
    skipEmptyLines: 'greedy',
    delimitersToGuess: ['\t', ';', '|', ','],
    preview: MOST_ROWS,
  });
  const parted = data.some((row) => row.length > 1);
  const rows = parted ? data : lines.split(/\r?\n/).map((line) => line.trim().split(/\s+/));
  return rows.map((row) => row.map((cell) => cell.trim())).filter((row) => row.some(Boolean));
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^a-z]+/g, ' ')
    .trim();

/** A head is a first row without a figure in it. */
const isHead = (row: string[]) => row.every((cell) => !/\d/.test(cell));

/**
 * Rows of a forecast out of pasted text or CSV, as they would be typed: nothing is judged here. Units that stand in a head
 * (`wind m/s`, `force`) go to each cell under it.
 */
export function readForecastText(text: string): ForecastRow[] {
  const rows = cellsOf(text);
  const head = rows[0] && isHead(rows[0]) ? rows[0] : undefined;
  const columns: (Column | undefined)[] = head
    ? head.map((name) => ORDER.find((c) => COLUMNS[c].some((known) => plain(name).startsWith(known))))
    : ORDER;
  const unitOf = (i: number) => {
    const name = head?.[i].toLowerCase() ?? '';
    if (/m\/s/.test(name)) return ' m/s';
    return /force|bft|beaufort/.test(name) ? ' bft' : '';
  };
  // Hours under a head that says so are universal time, unless they say otherwise themselves.
  const universal = head !== undefined && /utc|gmt|zulu/i.test(head[columns.indexOf('time')] ?? '');
  return rows.slice(head ? 1 : 0).map((cells) => {
    const cell = (column: Column) => {
      const i = columns.indexOf(column);
      return i < 0 ? '' : (cells[i] ?? '');
    };
    const speed = (column: 'wind' | 'gust') => {
      const value = cell(column);
      return value && /^[\d.,]+$/.test(value) ? `${value}${unitOf(columns.indexOf(column))}` : value;
    };
    const said = `${cell('visibility')} ${cell('weather')}`.toLowerCase();
    return {
      time: `${cell('time')}${universal ? 'Z' : ''}`,
      wind: speed('wind'),
      gust: speed('gust'),
      from: cell('from'),
      waves: cell('waves'),
      visibility: VISIBILITY.find(({ id }) => said.includes(id))?.id ?? '',
      thunder: /thunder|storm|lightning/.test(said),
    };
  });
}

/** Turns of a tide out of pasted text: a time, a height, and high or low where it is said; else the higher of neighbours is the high. */
export function readTideText(text: string): TideRow[] {
  const rows = cellsOf(text).filter((row) => row.some((cell) => /\d/.test(cell)));
  const read = rows.map((row) => {
    const word = row.find((cell) => /^(h|l|high|low|hw|lw)\b/i.test(cell));
    const [time = '', height = ''] = row.filter((cell) => /\d/.test(cell));
    return { time, height: height.replace(/\s*m$/i, ''), word };
  });
  const level = (i: number) => Number((read[i]?.height ?? '').replace(',', '.'));
  return read.map(({ time, height, word }, i) => {
    const other = level(i + 1 < read.length ? i + 1 : i - 1);
    const high = word ? /^h/i.test(word) : level(i) >= other;
    return { time, height, turn: high ? 'high' : 'low' };
  });
}
