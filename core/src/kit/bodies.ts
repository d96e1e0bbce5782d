import type { NearMiss, Person, Requirement, Truth } from '../model';
import type { Asked } from '../rules';
import { assign } from './assign';
import { reason, type Piece } from './count';
import type { JacketPlan } from './jackets';

/** What the shed answers to a demand: met, by what, what lacks, what nearly counts. */
export type BodyAnswer = Pick<Requirement, 'met' | 'metBy' | 'missing' | 'nearMisses'>;

/** The worst of several truths: no before unknown before yes. */
export const worst = (truths: readonly Truth[]): Truth =>
  truths.includes('no') ? 'no' : truths.includes('unknown') ? 'unknown' : 'yes';

/** What a unit costs for a body beside another: first that everyone has one at all, then that it surely counts, then whose it is. */
const NONE = 1e9,
  OPEN = 1e6,
  NOBODYS = 1;

/**
 * One unit for each body, exactly, as jackets are: what is fixed to a worn jacket serves its wearer alone, what belongs to
 * somebody aboard serves its owner, everything else serves anybody, each unit once.
 */
export function bodyAnswer(
  demand: Asked,
  people: Person[],
  candidates: { piece: Piece; faults: NearMiss['reasons'] }[],
): BodyAnswer {
  const aboard = new Set(people.map((p) => p.id));
  const units = candidates
    .filter((c) => c.faults.every((f) => f.unknown))
    .flatMap((c) => Array.from({ length: Math.min(c.piece.item.count, people.length) }, () => c));
  const whose = ({ item, wearer }: Piece) =>
    wearer ?? (item.owner !== undefined && aboard.has(item.owner) ? item.owner : undefined);
  const cost = people.map((person) => [
    ...units.map(({ piece, faults }) => {
      const owner = whose(piece);
      if (owner !== undefined && owner !== person.id) return NONE + 1;
      return (faults.length > 0 ? OPEN : 0) + (owner === undefined ? NOBODYS : 0);
    }),
    ...people.map(() => NONE),
  ]);
  const columns = people.length === 0 ? [] : assign(cost);
  const served = people.flatMap((person, i) =>
    cost[i][columns[i]] < NONE ? [{ person: person.id, unit: units[columns[i]] }] : [],
  );
  const lacking = people.filter((p) => !served.some((s) => s.person === p.id)).map((p) => p.id);
  const open = served.filter((s) => s.unit.faults.length > 0);
  const used = new Set(served.map((s) => s.unit.piece.item.id));
  const near = candidates.filter(
    (c) => c.faults.length > 0 && (lacking.length > 0 || used.has(c.piece.item.id)),
  );
  const taken = lacking.length > 0 ? served.filter((s) => s.unit.faults.length === 0) : [];
  return {
    met: lacking.length > 0 ? 'no' : open.length > 0 || people.length === 0 ? 'unknown' : 'yes',
    metBy: served.map((s) => ({ item: s.unit.piece.item.id, person: s.person, count: 1 })),
    missing:
      lacking.length > 0
        ? [{ capability: demand.capability, need: people.length, have: served.length, persons: lacking }]
        : [],
    nearMisses: [
      ...near.map((c) => ({ item: c.piece.item.id, reasons: c.faults })),
      ...taken.map(({ person, unit }) => ({
        item: unit.piece.item.id,
        reasons: [reason('taken', { person: people.find((p) => p.id === person)?.name ?? '' })],
      })),
    ],
  };
}

/** The jackets of these people, out of the plan for all bodies. */
export function jacketAnswer(people: Person[], plan: JacketPlan): BodyAnswer {
  const fits = people.flatMap((p) => {
    const fit = plan.fits.get(p.id);
    return fit ? [{ person: p.id, fit }] : [];
  });
  const lacking = people.filter((p) => !plan.fits.has(p.id));
  const open = fits.some(({ fit }) => fit.faults.length > 0);
  const doubtful = lacking.length > 0 ? lacking : people.filter((p) => plan.misses.has(p.id));
  return {
    met: lacking.length > 0 ? 'no' : open || people.length === 0 ? 'unknown' : 'yes',
    metBy: fits.map(({ person, fit }) => ({ item: fit.piece.item.id, person, count: 1 })),
    missing:
      lacking.length > 0
        ? [
            {
              capability: 'wearable',
              need: people.length,
              have: people.length - lacking.length,
              persons: lacking.map((p) => p.id),
            },
          ]
        : [],
    nearMisses: doubtful
      .flatMap((p) => plan.misses.get(p.id) ?? [])
      .filter((m) => m.faults.length > 0)
      .map((m) => ({ item: m.piece.item.id, reasons: m.faults })),
  };
}
