import * as z from 'zod';
import { CivilDate, WallTime, measure, titled } from './common';

/** Pressure in her tubes with what it hangs on, and when she was read: typed piece by piece, so that any of it may lack. */
export const AirReading = z.strictObject({
  on: titled(CivilDate.optional(), 'Day', { past: true }),
  time: titled(WallTime.optional(), 'Hour'),
  gauge: measure('pressure', 'Pressure in the tubes', 0, 100_000, 'As the gauge shows it.').optional(),
  air: measure('barometer', 'Barometer', 80_000, 110_000, 'At the place, not reduced to the sea.').optional(),
  tubes: measure('temperature', 'Warmth of the tubes', -30, 70, 'On the fabric, in the shade.').optional(),
});
export type AirReading = z.infer<typeof AirReading>;

export const AirTest = z.strictObject({
  first: titled(AirReading.optional(), 'Blown up'),
  second: titled(AirReading.optional(), 'The next morning'),
  shaded: titled(z.boolean().optional(), 'Out of sun and water, both times'),
});
export type AirTest = z.infer<typeof AirTest>;
