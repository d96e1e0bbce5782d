import symptoms from '../../data/boat/symptoms.json';
import type { Boat, SymptomRow } from '../model';
import { FLOODING, holesOf, orifice, type Hole } from './flood';
import { hullOf } from './hull';
import { BOAT } from './limits';

/** What one notices first, from which the cause is looked for. */
export const SYMPTOMS = symptoms as unknown as SymptomRow[];

export interface Cause {
  says: string;
  /** One of her own openings. */
  opening?: {
    name: string;
    where?: Hole['where'];
    /** L/s under the usual head. */ flow: number;
    guessed: boolean;
    below: boolean;
  };
}

const HEAD = BOAT.limit('cause-head');
const LITRES = 1000;

/**
 * What may be behind it in this boat: her own openings that fit, by how well their place fits and then by how much they let
 * in, and between them what is no opening, in the order of the table.
 */
export function causesOf({ causes }: SymptomRow, boat: Boat, motor: boolean | undefined): Cause[] {
  const hull = hullOf(boat);
  const holes = hull ? holesOf(boat, hull) : [];
  const named = new Set<string>();
  return causes
    .filter((c) => (c.motor === undefined || motor !== false) && (c.craft?.includes(boat.kind) ?? true))
    .flatMap(({ says, openings, where }): Cause[] => {
      if (!openings) return [{ says }];
      const fits = (hole: (typeof holes)[number]) =>
        openings.includes(hole.kind) &&
        (where === undefined || hole.where === undefined || where.includes(hole.where));
      return holes
        .filter((hole) => fits(hole) && !named.has(hole.name))
        .map((hole) => ({ hole, flow: LITRES * orifice(hole.diameter, HEAD, FLOODING.discharge.value) }))
        .sort(
          (a, b) =>
            Number(b.hole.where !== undefined) - Number(a.hole.where !== undefined) || b.flow - a.flow,
        )
        .map(({ hole, flow }) => {
          named.add(hole.name);
          const row = boat.openings.find((o) => o.name === hole.name);
          return {
            says,
            opening: {
              name: hole.name,
              ...(hole.where ? { where: hole.where } : {}),
              flow,
              guessed: hole.guessed,
              below: row?.worked === 'underneath',
            },
          };
        });
    });
}
