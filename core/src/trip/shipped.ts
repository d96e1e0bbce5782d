import catalogue from '../../data/catalogue.json';
import crew from '../../data/crew.json';
import flooding from '../../data/flooding.json';
import flotation from '../../data/flotation.json';
import handover from '../../data/handover.json';
import hulls from '../../data/hulls.json';
import lastLookRows from '../../data/last-look.json';
import officer from '../../data/officer.json';
import canada from '../../data/packs/canada.json';
import ireland from '../../data/packs/ireland.json';
import newZealand from '../../data/packs/new-zealand.json';
import practice from '../../data/packs/practice.json';
import unitedKingdomAdvice from '../../data/packs/united-kingdom-advice.json';
import unitedKingdom from '../../data/packs/united-kingdom.json';
import connecticut from '../../data/packs/us-connecticut.json';
import federal from '../../data/packs/us-federal.json';
import florida from '../../data/packs/us-florida.json';
import massachusetts from '../../data/packs/us-massachusetts.json';
import newYork from '../../data/packs/us-new-york.json';
import pennsylvania from '../../data/packs/us-pennsylvania.json';
import washington from '../../data/packs/us-washington.json';
import powering from '../../data/powering.json';
import procedures from '../../data/procedures.json';
import ready from '../../data/ready.json';
import startingPoints from '../../data/starting-points.json';
import startingSets from '../../data/starting-sets.json';
import type { FloodData, FlotationData, HullForms, PoweringData, StartingPoint } from '../boat';
import type { LastLook, OfficerRow } from '../kit';
import type { Capability, Catalogue, RulePack, Shed, Water } from '../model';
import type { ReadyRow } from '../passage';
import type { ProcedureRow } from '../procedure';
import type { CrewRow } from './crew';

/**
 * What ships with Escale as data. `shipped.test.ts` holds each file against its schema, so the casts here are proved.
 */
export const CATALOGUE = catalogue as unknown as Catalogue;
export const PACKS = [federal, connecticut, florida, massachusetts, newYork, pennsylvania, washington, canada, newZealand, ireland, unitedKingdom, unitedKingdomAdvice, practice] as unknown as RulePack[];
export const CREW = crew as unknown as CrewRow[];
/** A walk through a boat one does not know: what to do, why, and which of her fields it fills. */
export const HANDOVER = handover as { id: string; what: string; why: string; fields: string[]; kit?: true }[];
export const HULLS = hulls as unknown as HullForms;
export const FLOODING = flooding as unknown as FloodData;
export const FLOTATION = flotation as unknown as FlotationData;
export const STARTING_POINTS = startingPoints as unknown as StartingPoint[];
export const POWERING = powering as PoweringData;
export const PROCEDURES = procedures as unknown as ProcedureRow[];
export const OFFICER = officer as unknown as OfficerRow[];
export const LAST_LOOK = lastLookRows as unknown as LastLook[];
/** Kits to start a locker from, by kind of trip. */
export const STARTING_SETS = startingSets as { id: string; title: string; kinds: string[] }[];
export const READY = ready as unknown as ReadyRow[];

/** Kinds of the catalogue that supply one of these. */
export function kindsSupplying(...capabilities: Capability[]): ReadonlySet<string> {
  return new Set(CATALOGUE.kinds.filter((k) => k.supplies.some((s) => capabilities.includes(s.capability))).map((k) => k.id));
}

/** All packs a household has: what ships, and its own; of two with one id the newer version. */
export function packsOf(shed: Pick<Shed, 'packs'>): RulePack[] {
  const byId = new Map(PACKS.map((pack) => [pack.id, pack]));
  for (const { pack } of shed.packs) {
    const known = byId.get(pack.id);
    if (!known || pack.version.localeCompare(known.version, 'en', { numeric: true }) > 0) byId.set(pack.id, pack);
  }
  // An edited copy stands in for what it was copied from.
  for (const { replaces, id } of [...byId.values()]) if (replaces !== undefined && replaces !== id) byId.delete(replaces);
  return [...byId.values()];
}

/** The packs that hold on a water: those of its jurisdictions, less what was switched off there, and practice, which holds everywhere. */
export function packsFor(jurisdiction: string[], packs: RulePack[] = PACKS, without: string[] = []): RulePack[] {
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
export function packsOn(water: Pick<Water, 'jurisdiction' | 'without'> | undefined, shed: Pick<Shed, 'packs'>): RulePack[] {
  return packsFor(water?.jurisdiction ?? [], packsOf(shed), water?.without);
}
