import { and, eq, inArray } from 'drizzle-orm';
import { evolve, SHELF, type Bundle, type ThingType } from '@escale/core/model';
import { thing } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';
import { stableJson } from '../stable-json';

/** What taking in a bundle would do to one thing. */
export interface Change {
  type: ThingType;
  id: string;
  name: string;
  what: 'added' | 'changed';
  /** Of a changed one: the fields that would read otherwise, as text. */
  fields: { field: string; was: string; is: string }[];
}

type Doc = Record<string, unknown>;
const nameOf = (doc: Doc) => String(doc.name ?? doc.title ?? doc.kind ?? doc.id);

/** A value in a line: a word as it is, anything else as JSON, and no more of it than a line holds. */
const LINE = 80;
function inALine(value: unknown): string {
  if (value === undefined) return '';
  const text = typeof value === 'string' ? value : stableJson(value);
  return text.length > LINE ? `${text.slice(0, LINE)}…` : text;
}

function fieldsOf(was: Doc, is: Doc): Change['fields'] {
  const names = [...new Set([...Object.keys(was), ...Object.keys(is)])].sort();
  return names
    .filter((name) => stableJson(was[name]) !== stableJson(is[name]))
    .map((field) => ({ field, was: inALine(was[field]), is: inALine(is[field]) }));
}

/**
 * What would be added and changed, before anything is. Who one's contacts are, and how they are reached, stands first: a file
 * that swaps a phone takes an alarm to somebody else.
 */
export async function previewBundle(db: Db, { household }: Principal, bundle: Bundle): Promise<Change[]> {
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
  const changes = docs.flatMap(({ type, doc }): Change[] => {
    const row = here.get(doc.id);
    const named = { type, id: doc.id, name: nameOf(doc) };
    if (!row) return [{ ...named, what: 'added', fields: [] }];
    const fields = fieldsOf(evolve(row.type as ThingType, row.doc, row.schema), doc);
    return fields.length > 0 ? [{ ...named, what: 'changed', fields }] : [];
  });
  const weight = ({ type, what }: Change) => (what === 'changed' ? 0 : 2) + (type === 'contact' ? 0 : 1);
  return changes.sort((a, b) => weight(a) - weight(b));
}
