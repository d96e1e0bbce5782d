import { and, eq, inArray } from 'drizzle-orm';
import { evolve, SHELF, type Bundle, type ImportChange, type ThingType } from '@escale/core/model';
import { thing } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';
import { stableJson } from '../stable-json';
import { erasedOf } from '../things/erased';

type Doc = Record<string, unknown>;
const nameOf = (doc: Doc) => String(doc.name ?? doc.title ?? doc.kind ?? doc.id);

/** A plain value as text, and no more of it than a line holds; a list or a group only differs. */
const LINE = 80;
function plain(value: unknown): string | undefined {
  if (value === undefined || (typeof value === 'object' && value !== null)) return undefined;
  const text = String(value);
  return text.length > LINE ? `${text.slice(0, LINE)}…` : text;
}

function fieldsOf(was: Doc, is: Doc): ImportChange['fields'] {
  const names = [...new Set([...Object.keys(was), ...Object.keys(is)])].sort();
  return names
    .filter((name) => stableJson(was[name]) !== stableJson(is[name]))
    .map((field) => {
      const before = plain(was[field]),
        after = plain(is[field]);
      return {
        field,
        ...(before === undefined ? {} : { was: before }),
        ...(after === undefined ? {} : { is: after }),
      };
    });
}

/**
 * What would be added and changed, before anything is. Who one's contacts are, and how they are reached, stands first: a file
 * that swaps a phone takes an alarm to somebody else.
 */
export async function previewBundle(
  db: Db,
  { household }: Principal,
  bundle: Bundle,
): Promise<ImportChange[]> {
  const docs = [
    ...(Object.entries(SHELF) as [ThingType, keyof Bundle['shed']][]).flatMap(([type, shelf]) =>
      bundle.shed[shelf].map((doc) => ({ type, doc: doc as Doc & { id: string } })),
    ),
    ...bundle.trips.map((trip) => ({ type: 'trip' as const, doc: trip as Doc & { id: string } })),
  ];
  const ids = docs.map(({ doc }) => doc.id);
  const rows =
    ids.length === 0
      ? []
      : await db
          .select()
          .from(thing)
          .where(and(eq(thing.household, household), inArray(thing.id, ids)));
  const here = new Map(rows.filter((row) => !row.deletedAt).map((row) => [row.id, row]));
  const gone = await erasedOf(db, ids);
  const changes = docs.flatMap(({ type, doc }): ImportChange[] => {
    if (gone.has(doc.id)) return [];
    const row = here.get(doc.id);
    const named = { type, id: doc.id, name: nameOf(doc) };
    if (!row) return [{ ...named, what: 'added', fields: [] }];
    const fields = fieldsOf(evolve(row.type as ThingType, row.doc, row.schema), doc);
    return fields.length > 0 ? [{ ...named, what: 'changed', fields }] : [];
  });
  const weight = ({ type, what }: ImportChange) =>
    (what === 'changed' ? 0 : 2) + (type === 'contact' ? 0 : 1);
  return changes.sort((a, b) => weight(a) - weight(b));
}
