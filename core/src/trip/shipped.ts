import catalogue from '../../data/catalogue.json';
import federal from '../../data/packs/us-federal.json';
import practice from '../../data/packs/practice.json';
import procedures from '../../data/procedures.json';
import ready from '../../data/ready.json';
import type { Catalogue, RulePack } from '../model';
import type { ReadyRow } from '../passage';
import type { ProcedureRow } from '../procedure';

/**
 * What ships with Escale as data. `shipped.test.ts` holds each file against its schema, so the casts here are proved.
 */
export const CATALOGUE = catalogue as unknown as Catalogue;
export const PACKS = [federal, practice] as unknown as RulePack[];
export const PROCEDURES = procedures as unknown as ProcedureRow[];
export const READY = ready as unknown as ReadyRow[];

/** The packs that hold on a water: those of its jurisdictions, and practice, which holds everywhere. */
export function packsFor(jurisdiction: string[], packs: RulePack[] = PACKS): RulePack[] {
  return packs.filter((pack) => pack.jurisdiction === '*' || jurisdiction.includes(pack.jurisdiction));
}
