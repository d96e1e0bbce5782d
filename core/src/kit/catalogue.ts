import catalogue from '../../data/kit/catalogue.json';
import type { Capability, Catalogue, GearKind } from '../model';

/** The kinds of gear that ship with Escale, and what each supplies. */
export const CATALOGUE = catalogue as unknown as Catalogue;

/** A catalogue by its kinds' ids. */
export function indexCatalogue({ kinds }: Pick<Catalogue, 'kinds'>): Map<string, GearKind> {
  return new Map(kinds.map((kind) => [kind.id, kind]));
}

/** Ids of the kinds that supply one of these. */
export function kindsSupplying(...capabilities: Capability[]): ReadonlySet<string> {
  const supplies = ({ supplies: all }: GearKind) => all.some((s) => capabilities.includes(s.capability));
  return new Set(CATALOGUE.kinds.filter(supplies).map((kind) => kind.id));
}
