import { WATER } from './limits';

/** Density of air, kg/m³, at 15 °C. */
export const AIR = WATER.limit('air');

const SHEAR = WATER.limit('wind-shear'),
  MAST = 10;

/**
 * Wind at a height over open water, out of that at ten metres: U·(z/10)^0.11 (power law).
 * @param wind any unit @param height m, above 0
 * @example windAtHeight(20, 0.7) // 14.9
 */
export const windAtHeight = (wind: number, height: number): number => wind * (height / MAST) ** SHEAR;
