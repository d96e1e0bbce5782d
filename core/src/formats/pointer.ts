import type { Patch } from '../model';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const parts = (pointer: string) =>
  pointer === ''
    ? []
    : pointer
        .replace(/^\//, '')
        .split('/')
        .map((p) => p.replace(/~1/g, '/').replace(/~0/g, '~'));

/** What stands at a JSON pointer (RFC 6901), or undefined. */
export function valueAt(document: unknown, pointer: string): unknown {
  return parts(pointer).reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null && Object.hasOwn(value, key)
        ? (value as Record<string, unknown>)[key]
        : undefined,
    document,
  );
}

const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype']);

/**
 * A copy of a document with the patch done. `set` and `unset` a field, `append` to a list, `drop` a list's entry.
 * Missing objects on the way of a `set` are made, so that a first answer can be set into an absent map.
 * @throws RangeError for a pointer that leads through something that is no object, or to a forbidden name
 */
export function applyPatch<T>(document: T, patch: Patch[]): T {
  const copy = structuredClone(document) as Json;
  for (const { op, pointer, value } of patch) {
    const path = parts(pointer);
    if (path.some((key) => FORBIDDEN.has(key))) throw new RangeError(`no field is called "${pointer}"`);
    if (path.length === 0) throw new RangeError('a patch needs a field');
    const last = path[path.length - 1];
    const parent = path.slice(0, -1).reduce<Json>((at, key, i) => {
      if (typeof at !== 'object' || at === null) throw new RangeError(`"${pointer}" leads nowhere`);
      const holder = at as { [key: string]: Json };
      if (holder[key] === undefined) holder[key] = op === 'append' && i === path.length - 1 ? [] : {};
      return holder[key];
    }, copy);
    if (typeof parent !== 'object' || parent === null) throw new RangeError(`"${pointer}" leads nowhere`);
    change(parent, last, op, value as Json, pointer);
  }
  return copy as T;
}

function change(
  parent: Json[] | { [key: string]: Json },
  key: string,
  op: Patch['op'],
  value: Json,
  pointer: string,
): void {
  if (Array.isArray(parent)) {
    const index = Number(key);
    if (!Number.isInteger(index) || index < 0 || index > parent.length)
      throw new RangeError(`"${pointer}" is outside its list`);
    if (op === 'set') parent[index] = value;
    else if (op === 'append') appendTo(parent[index], value, pointer);
    else parent.splice(index, 1);
    return;
  }
  if (op === 'set') parent[key] = value;
  else if (op === 'append') {
    parent[key] ??= [];
    appendTo(parent[key], value, pointer);
  } else delete parent[key];
}

function appendTo(list: Json, value: Json, pointer: string): void {
  if (!Array.isArray(list)) throw new RangeError(`"${pointer}" is no list`);
  list.push(value);
}
