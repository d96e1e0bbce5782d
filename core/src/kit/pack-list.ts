import lastLookRows from '../../data/kit/last-look.json';
import type { Debrief, LastLook, Requirement, Stowage } from '../model';
import { STOWAGE } from '../model/lists';
import type { Piece } from './count';

/** When a thing is put in hand, in the order of the days. */
export const WHEN = {
  week: 'The week before',
  evening: 'The evening before',
  morning: 'In the morning',
  car: 'At the car',
  body: 'On the body',
} as const;
export type When = keyof typeof WHEN;

export interface PackEntry {
  /** Key of the tick. */
  key: string;
  title: string;
  place: Stowage;
  when: When;
  count: number;
  /** Forgotten on an earlier trip, with its date. */
  forgottenOn?: string;
}

/** A text as part of a key: its letters and figures, apart by dashes. */
export const slug = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60);
export const forgottenKey = (what: string) => `forgotten:${slug(what)}`;

/** What was forgotten before: when last, how often in all, and how often in a boat. */
export interface ForgottenBefore {
  what: string;
  on: string;
  times: number;
  here: number;
}

/** What was forgotten before, newest note first, each thing once. @param boat the one of the trip at hand */
export function forgottenBefore(debriefs: Debrief[], boat?: string): ForgottenBefore[] {
  const all = new Map<string, ForgottenBefore>();
  for (const { on, forgotten, boat: then } of [...debriefs].sort((a, b) => b.on.localeCompare(a.on)))
    for (const what of forgotten) {
      const held = all.get(slug(what)) ?? { what, on, times: 0, here: 0 };
      const here = boat !== undefined && then === boat ? 1 : 0;
      all.set(slug(what), { ...held, times: held.times + 1, here: held.here + here });
    }
  return [...all.values()];
}

/**
 * The packing list: forgotten-before first, then everything that a requirement leans on and everything else
 * that travels, by where it goes.
 */
export function packList(
  pieces: Piece[],
  requirements: Requirement[],
  debriefs: Debrief[],
  wornBy: ReadonlyMap<string, string>,
): PackEntry[] {
  const leaned = new Set(requirements.flatMap((r) => (r.applies === 'no' ? [] : r.metBy.map((u) => u.item))));
  const goes = pieces
    .filter(
      (p) =>
        p.place !== 'home' &&
        !p.faults.some((f) => f.code === 'other-boat' || f.code === 'host-stays' || f.code === 'none-left'),
    )
    .filter(
      (p) =>
        !p.kind.supplies.some((s) => s.capability === 'wearable') ||
        wornBy.has(p.item.id) ||
        leaned.has(p.item.id),
    );
  const things = goes.map((p): PackEntry => {
    const place = wornBy.has(p.item.id) ? 'on-body' : p.place;
    return {
      key: p.item.id,
      title: p.item.name,
      place,
      when: place === 'on-body' ? 'body' : (p.kind.when ?? 'evening'),
      count: p.item.count,
    };
  });
  const forgotten = forgottenBefore(debriefs).map(({ what, on }): PackEntry => ({
    key: forgottenKey(what),
    title: what,
    place: 'in-reach',
    when: 'evening',
    count: 1,
    forgottenOn: on,
  }));
  return [...forgotten, ...things];
}

/** The list by where things go or by when they are put in hand; what was forgotten before stands first either way. */
export function packGroups<E extends PackEntry>(
  entries: E[],
  by: 'place' | 'when' = 'place',
): { title: string; entries: E[] }[] {
  const words: Record<string, string> = by === 'place' ? STOWAGE : WHEN;
  const groups = [
    { title: 'Forgotten before', entries: entries.filter((e) => e.forgottenOn) },
    ...Object.entries(words).map(([key, title]) => ({
      title,
      entries: entries.filter((e) => !e.forgottenOn && e[by] === key),
    })),
  ];
  return groups.filter((g) => g.entries.length > 0);
}

/** The few things that sink or kill. */
const LAST_LOOK = lastLookRows as unknown as LastLook[];
/** The last look for a trip that has these: at most ten things. */
export const lastLook = (has: ReadonlySet<string>, rows: LastLook[] = LAST_LOOK): LastLook[] =>
  rows.filter((row) => row.needs.every((need) => has.has(need))).slice(0, 10);
