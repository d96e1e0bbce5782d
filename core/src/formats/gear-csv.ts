import Papa from 'papaparse';
import { GearItem, type Catalogue } from '../model';
import { STOWAGE } from '../model/lists';
import { faultsOf } from './json';
import type { Table } from './table';

/** Fields of a thing that a table may carry, and the names by which people head such a column. */
const FIELDS = {
  id: ['id'],
  name: ['name', 'item', 'what', 'thing', 'description'],
  kind: ['kind', 'type', 'category'],
  count: ['count', 'qty', 'quantity', 'number', 'how many'],
  stowage: ['stowage', 'where', 'travels', 'location', 'place'],
  state: ['state', 'condition'],
  approval: ['approval', 'label'],
  made: ['made', 'manufactured'],
  expires: ['expires', 'expiry', 'ends', 'best before', 'use by'],
  inspected: ['inspected', 'last tested', 'tested'],
  charge: ['charge', 'battery'],
  minMass: ['minmass', 'fits from', 'min kg', 'from kg'],
  maxMass: ['maxmass', 'fits to', 'max kg', 'to kg'],
  line: ['line', 'length', 'line m'],
  registered: ['registered'],
  borrowedFrom: ['borrowed from', 'borrowed', 'lender'],
} as const;
export type GearField = keyof typeof FIELDS;
export const GEAR_FIELDS = Object.keys(FIELDS) as GearField[];
const NUMBERS: ReadonlySet<GearField> = new Set(['count', 'charge', 'minMass', 'maxMass', 'line']);

const plain = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, ' ');

/** Which column most likely is which field. A column serves one field. */
export function suggestColumns(columns: string[]): Partial<Record<GearField, string>> {
  const free = new Set(columns);
  const found: Partial<Record<GearField, string>> = {};
  for (const field of GEAR_FIELDS) {
    const column = [...free].find(
      (c) => plain(c) === plain(field) || (FIELDS[field] as readonly string[]).includes(plain(c)),
    );
    if (!column) continue;
    found[field] = column;
    free.delete(column);
  }
  return found;
}

export interface RowPreview {
  row: number;
  what: 'new' | 'changed' | 'same' | 'refused';
  name: string;
  item?: GearItem;
  faults: string[];
}

/**
 * What taking a table in would do, row by row: nothing is taken yet. A row is known by its id, else by name and kind.
 * @param newId makes an id for a thing that is not here yet
 */
export function previewGear(
  table: Table,
  columns: Partial<Record<GearField, string>>,
  existing: GearItem[],
  catalogue: Catalogue,
  newId: () => string,
): RowPreview[] {
  const kinds = new Map(
    catalogue.kinds.flatMap((k) => [
      [plain(k.id), k.id],
      [plain(k.title), k.id],
    ]),
  );
  const places = new Map(
    Object.entries(STOWAGE).flatMap(([key, words]) => [
      [plain(key), key],
      [plain(words), key],
    ]),
  );
  const byId = new Map(existing.map((g) => [g.id, g])),
    byName = new Map(existing.map((g) => [`${plain(g.name)} ${g.kind}`, g]));
  const seen = new Map<string, number>();
  return table.rows.map((cells, i): RowPreview => {
    const row = i + 2;
    const cell = (field: GearField) =>
      unquoted(columns[field] === undefined ? '' : (cells[columns[field]] ?? ''));
    const name = cell('name');
    const faults: string[] = [];
    const kind = kinds.get(plain(cell('kind')));
    if (!kind) faults.push(cell('kind') === '' ? 'no kind' : `no kind is called "${cell('kind')}"`);
    const known = byId.get(cell('id')) ?? byName.get(`${plain(name)} ${kind ?? ''}`);
    const values: Record<string, unknown> = {
      stowage: 'in-reach',
      state: 'ready',
      count: 1,
      ...known,
      ...(kind ? { kind } : {}),
      id: known?.id ?? newId(),
    };
    for (const field of GEAR_FIELDS) {
      const text = cell(field);
      if (field === 'id' || field === 'kind' || columns[field] === undefined || text === '') continue;
      if (NUMBERS.has(field)) {
        const number = numberFrom(text, field === 'charge');
        if (number === undefined) faults.push(`${field}: "${text}" is no number`);
        else values[field] = number;
      } else values[field] = field === 'stowage' ? (places.get(plain(text)) ?? text) : text;
    }
    const read = GearItem.safeParse(values);
    // A kind that is not there was said already, in the words of the table.
    if (!read.success)
      faults.push(...faultsOf(read.error).filter((fault) => kind || !fault.startsWith('/kind:')));
    const key = `${plain(name)} ${kind ?? ''}`;
    const before = seen.get(key);
    if (before !== undefined && cell('id') === '') faults.push(`the same as row ${before}`);
    else seen.set(key, row);
    if (faults.length > 0 || !read.success) return { row, what: 'refused', name, faults };
    const same = known !== undefined && JSON.stringify(sorted(known)) === JSON.stringify(sorted(read.data));
    return { row, what: known ? (same ? 'same' : 'changed') : 'new', name, item: read.data, faults };
  });
}

const sorted = (item: object) => Object.entries(item).sort(([a], [b]) => (a < b ? -1 : 1));

/** A cell that another program guarded against being read as a formula comes with an apostrophe before it. */
const unquoted = (text: string) => text.trim().replace(/^'(?=[=+\-@])/, '');

/** Decimals with a point or a comma; a charge may be a percentage. */
function numberFrom(text: string, share: boolean): number | undefined {
  const percent = share && text.endsWith('%');
  const number = Number(text.replace('%', '').trim().replace(',', '.'));
  if (!Number.isFinite(number)) return undefined;
  return percent ? number / 100 : number;
}

const NEWLINE = '\r\n';
/** Things as a table. Cells that a spreadsheet would run as a formula are guarded. */
export function gearTable(gear: GearItem[]): string {
  const data = gear.map((g) => GEAR_FIELDS.map((field) => g[field as keyof GearItem] ?? ''));
  const table = Papa.unparse({ fields: [...GEAR_FIELDS], data }, { escapeFormulae: true, newline: NEWLINE });
  return `${table}${NEWLINE}`;
}
