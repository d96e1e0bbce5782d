import type { Debrief, Requirement, Stowage } from '../model';
import { STOWAGE } from '../model/lists';
import type { Piece } from './count';

export interface PackEntry {
  /** Key of the tick. */
  key: string;
  title: string;
  place: Stowage;
  count: number;
  /** Forgotten on an earlier trip, with its date. */
  forgottenOn?: string;
}

const slug = (text: string) => text.toLowerCase().normalize('NFKD').replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '').slice(0, 60);
export const forgottenKey = (what: string) => `forgotten:${slug(what)}`;

/** What was forgotten before, newest note first, each thing once. */
export function forgottenBefore(debriefs: Debrief[]): { what: string; on: string }[] {
  const seen = new Set<string>();
  return [...debriefs].sort((a, b) => b.on.localeCompare(a.on)).flatMap((d) => d.forgotten.map((what) => ({ what, on: d.on }))).filter(({ what }) => !seen.has(slug(what)) && seen.add(slug(what)));
}

/** The packing list: forgotten-before first, then everything that a requirement leans on and everything else that travels, by where it goes. */
export function packList(pieces: Piece[], requirements: Requirement[], debriefs: Debrief[], wornBy: ReadonlyMap<string, string>): PackEntry[] {
  const leaned = new Set(requirements.flatMap((r) => (r.applies === 'no' ? [] : r.metBy.map((u) => u.item))));
  const goes = pieces.filter((p) => p.place !== 'home' && !p.faults.some((f) => f.code === 'other-boat' || f.code === 'host-stays' || f.code === 'none-left'))
    .filter((p) => !p.kind.supplies.some((s) => s.capability === 'wearable') || wornBy.has(p.item.id) || leaned.has(p.item.id));
  const things = goes.map((p): PackEntry => ({ key: p.item.id, title: p.item.name, place: wornBy.has(p.item.id) ? 'on-body' : p.place, count: p.item.count }));
  const forgotten = forgottenBefore(debriefs).map(({ what, on }): PackEntry => ({ key: forgottenKey(what), title: what, place: 'in-reach', count: 1, forgottenOn: on }));
  return [...forgotten, ...things];
}

export function packGroups(entries: PackEntry[]): { place: Stowage | 'forgotten'; entries: PackEntry[] }[] {
  const groups: { place: Stowage | 'forgotten'; entries: PackEntry[] }[] = [{ place: 'forgotten', entries: entries.filter((e) => e.forgottenOn) }];
  for (const place of Object.keys(STOWAGE) as Stowage[]) groups.push({ place, entries: entries.filter((e) => !e.forgottenOn && e.place === place) });
  return groups.filter((g) => g.entries.length > 0);
}
