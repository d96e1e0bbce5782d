import type { Water } from '../model';

/** Fresh and sea water, kg/m³, at the temperatures of a season afloat: a quarter of a per cent either way. */
export const FRESH = 1000,
  SEA = 1025;
const SALT: ReadonlySet<Water['class']> = new Set(['sheltered-tidal', 'coastal', 'open-sea']);

/** Density of a water by its kind; fresh, the deeper sum, where nobody said. */
export const densityOf = (water: Pick<Water, 'class'> | undefined): number =>
  water && SALT.has(water.class) ? SEA : FRESH;
