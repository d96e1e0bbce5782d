import canada from '../../data/rules/packs/canada.json';
import ireland from '../../data/rules/packs/ireland.json';
import newZealand from '../../data/rules/packs/new-zealand.json';
import practice from '../../data/rules/packs/practice.json';
import unitedKingdomAdvice from '../../data/rules/packs/united-kingdom-advice.json';
import unitedKingdom from '../../data/rules/packs/united-kingdom.json';
import connecticut from '../../data/rules/packs/us-connecticut.json';
import federal from '../../data/rules/packs/us-federal.json';
import florida from '../../data/rules/packs/us-florida.json';
import massachusetts from '../../data/rules/packs/us-massachusetts.json';
import newYork from '../../data/rules/packs/us-new-york.json';
import pennsylvania from '../../data/rules/packs/us-pennsylvania.json';
import washington from '../../data/rules/packs/us-washington.json';
import type { RulePack, Shed, Water } from '../model';

/** The rule packs that ship with Escale. */
export const PACKS = [
  federal,
  connecticut,
  florida,
  massachusetts,
  newYork,
  pennsylvania,
  washington,
  canada,
  newZealand,
  ireland,
  unitedKingdom,
  unitedKingdomAdvice,
  practice,
] as unknown as RulePack[];

/** All packs a household has: what ships, and its own; of two with one id the newer version. */
export function packsOf(shed: Pick<Shed, 'packs'>): RulePack[] {
  const byId = new Map(PACKS.map((pack) => [pack.id, pack]));
  for (const { pack } of shed.packs) {
    const known = byId.get(pack.id);
    if (!known || pack.version.localeCompare(known.version, 'en', { numeric: true }) > 0)
      byId.set(pack.id, pack);
  }
  // An edited copy stands in for what it was copied from.
  for (const { replaces, id } of [...byId.values()])
    if (replaces !== undefined && replaces !== id) byId.delete(replaces);
  return [...byId.values()];
}

/** The packs that hold on a water: those of its jurisdictions, less what was switched off there, and practice, which holds everywhere. */
export function packsFor(
  jurisdiction: string[],
  packs: RulePack[] = PACKS,
  without: string[] = [],
): RulePack[] {
  const holds = ({ jurisdiction: whose }: RulePack) => whose === '*' || jurisdiction.includes(whose);
  return packs.filter((pack) => holds(pack) && !without.includes(pack.id));
}

/**
 * A water with one rule list switched on or off. Lists of one country are switches of their own: one that goes off while
 * another stays is remembered by its name.
 */
export function switched(
  water: Pick<Water, 'jurisdiction' | 'without'>,
  pack: Pick<RulePack, 'id' | 'jurisdiction'>,
  on: boolean,
  packs: RulePack[] = PACKS,
): Pick<Water, 'jurisdiction' | 'without'> {
  const same = packs.filter((other) => other.jurisdiction === pack.jurisdiction).map((other) => other.id);
  const held = packsFor(water.jurisdiction, packs, water.without).map((other) => other.id);
  const holds = same.filter((id) => (id === pack.id ? on : held.includes(id)));
  const others = (water.without ?? []).filter((id) => !same.includes(id));
  const off = holds.length > 0 ? same.filter((id) => !holds.includes(id)) : [];
  const rest = water.jurisdiction.filter((j) => j !== pack.jurisdiction);
  const jurisdiction = holds.length > 0 ? [...rest, pack.jurisdiction] : rest;
  const without = [...others, ...off];
  return { jurisdiction, ...(without.length > 0 ? { without } : {}) };
}

/** The packs of a trip's water, out of all that a household has. */
export function packsOn(
  water: Pick<Water, 'jurisdiction' | 'without'> | undefined,
  shed: Pick<Shed, 'packs'>,
): RulePack[] {
  return packsFor(water?.jurisdiction ?? [], packsOf(shed), water?.without);
}
