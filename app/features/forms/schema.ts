import type * as z from 'zod';
import type { FieldMeta } from '@escale/core/model';

/** What a form needs to know of a schema: the inner type, whether it may be absent, and the words beside it. */
export interface Shape {
  kind: 'text' | 'number' | 'choice' | 'yes-no' | 'list' | 'group' | 'none-or-group' | 'unknown';
  optional: boolean;
  meta: FieldMeta;
  /** Of a list. */
  element?: z.ZodType;
  /** Of a group. */
  fields?: Record<string, z.ZodType>;
  schema: z.ZodType;
}

interface Def {
  type: string;
  innerType?: z.ZodType;
  element?: z.ZodType;
  shape?: Record<string, z.ZodType>;
  options?: z.ZodType[];
}
const defOf = (schema: z.ZodType) => schema.def as unknown as Def;

/** Read a schema for a form. Title and help stand on the outer or on the inner schema; the outer wins. */
export function shapeOf(schema: z.ZodType): Shape {
  const meta: FieldMeta = { ...(schema.meta() as FieldMeta | undefined) };
  const def = defOf(schema);
  if (def.type === 'optional' && def.innerType) {
    const inner = shapeOf(def.innerType);
    return { ...inner, optional: true, meta: { ...inner.meta, ...meta } };
  }
  const base = { optional: false, meta, schema };
  if (def.type === 'string') return { ...base, kind: 'text' };
  if (def.type === 'number') return { ...base, kind: 'number' };
  if (def.type === 'boolean') return { ...base, kind: 'yes-no' };
  if (def.type === 'enum') return { ...base, kind: 'choice' };
  if (def.type === 'array')
    return { ...base, kind: 'list', ...(def.element ? { element: def.element } : {}) };
  if (def.type === 'object') return { ...base, kind: 'group', fields: def.shape ?? {} };
  if (def.type === 'union') {
    const group = def.options?.find((o) => defOf(o).type === 'object');
    if (group && def.options?.some((o) => defOf(o).type === 'literal'))
      return { ...base, kind: 'none-or-group', fields: defOf(group).shape ?? {} };
  }
  return { ...base, kind: 'unknown' };
}

/** The smallest value that a new entry of a list or a new group starts from: lists empty, choices their first, the rest to be filled in. */
export function blankOf(schema: z.ZodType): unknown {
  const shape = shapeOf(schema);
  if (shape.optional || shape.meta.position) return undefined;
  if (shape.kind === 'list') return [];
  if (shape.kind === 'group')
    return Object.fromEntries(
      Object.entries(shape.fields ?? {})
        .map(([key, field]) => [key, blankOf(field)])
        .filter(([, value]) => value !== undefined),
    );
  return undefined;
}

export const fieldsOf = (schema: z.ZodType) =>
  Object.entries(shapeOf(schema).fields ?? {}).filter(([, field]) => !shapeOf(field).meta.hidden);
