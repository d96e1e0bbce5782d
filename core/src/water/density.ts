import type { Water } from '../model';
import { TIDAL } from '../model/lists';
import { WATER } from './limits';

/** Fresh and sea water, kg/m³, at the temperatures of a season afloat: a quarter of a per cent either way. */
export const FRESH = WATER.limit('fresh'),
  SEA = WATER.limit('sea');

/** Density of a water by its kind; fresh, the deeper sum, where nobody said. */
export const densityOf = (water: Pick<Water, 'class'> | undefined): number =>
  water && TIDAL.has(water.class) ? SEA : FRESH;
