import officer from '../../data/kit/officer.json';
import type { Finding, Level, OfficerRow, Requirement, Truth } from '../model';

/** The stops of an inspection; loaded by the one page that shows them. */
export const OFFICER = officer as unknown as OfficerRow[];

export interface OfficerStop extends OfficerRow {
  requirements: Requirement[];
  /** What was found besides the law. */
  found: Finding[];
  passes: Truth;
}

/**
 * The law that holds for this trip, in the order in which an officer asks. What no stop names comes last,
 * under the row without capabilities.
 */
export function officersCheck(
  rows: OfficerRow[],
  requirements: Requirement[],
  findings: readonly Finding[] = [],
): OfficerStop[] {
  const law = requirements.filter((r) => r.layer === 'law' && r.applies !== 'no');
  const left = new Set(law);
  const belongs = (row: OfficerRow, r: Requirement) =>
    (row.worn === true && r.deeds?.includes('worn') === true) ||
    r.anyOf.flat().some((d) => row.capabilities.includes(d.capability));
  return rows
    .map((row) => {
      const mine =
        row.capabilities.length === 0 ? [...left] : law.filter((r) => left.has(r) && belongs(row, r));
      for (const r of mine) left.delete(r);
      const found = findings.filter(({ id }) => row.findings?.some((begins) => id.startsWith(begins)));
      const passes: Truth =
        mine.some((r) => r.applies === 'yes' && r.met === 'no') || found.some(({ level }) => BAD.has(level))
          ? 'no'
          : mine.some((r) => r.met !== 'yes') || found.some(({ open }) => open === true)
            ? 'unknown'
            : 'yes';
      return { ...row, requirements: mine, found, passes };
    })
    .filter((stop) => stop.requirements.length > 0 || stop.found.length > 0);
}

const BAD: ReadonlySet<Level> = new Set(['stop', 'fix']);
