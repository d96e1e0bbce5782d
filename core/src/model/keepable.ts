/**
 * What a document may hold at all, whatever its schema says: no database keeps NUL or half a character, and nothing that a
 * person made is nested so deep or has so many parts.
 */
export const BOUNDS = { deep: 64, parts: 1_000_000 } as const;

/** NUL, and one half of a character that takes two. */
const BROKEN = /\0|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;
const isBroken = (text: string) => text.search(BROKEN) >= 0;

const FAULTS = {
  text: 'holds a character that can’t be kept (half of one, or none)',
  deep: 'is nested deeper than anything of ours',
  parts: 'has more parts than anything of ours',
} as const;

/** Why a value can't be kept, in plain words; undefined when it can. Does not recurse: a tree may be as deep as its sender likes. */
export function unkeepable(value: unknown): string | undefined {
  const open: [unknown, number][] = [[value, 0]];
  let parts = 0;
  for (let next = open.pop(); next; next = open.pop()) {
    const [one, depth] = next;
    parts += 1;
    if (parts > BOUNDS.parts) return FAULTS.parts;
    if (typeof one === 'string' && isBroken(one)) return FAULTS.text;
    if (typeof one !== 'object' || one === null) continue;
    if (depth >= BOUNDS.deep) return FAULTS.deep;
    for (const [key, inner] of Object.entries(one)) {
      if (isBroken(key)) return FAULTS.text;
      open.push([inner, depth + 1]);
    }
  }
  return undefined;
}

/** The same with what can't be kept left out of its texts: what somebody pastes is not refused for a character nobody sees. */
export function keepable<V>(value: V): V {
  if (typeof value === 'string') return value.replace(BROKEN, '') as V;
  if (Array.isArray(value)) return value.map(keepable) as V;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, keepable(inner)])) as V;
}
