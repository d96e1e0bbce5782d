import * as z from 'zod';
import { measure } from './common';

/** What somebody will not go beyond, on a trip or in a kind of boat. */
export const Limits = z.strictObject({
  wind: measure('speed', 'Wind no more than', 0, 40).optional(),
  gust: measure('speed', 'Gusts no more than', 0, 60).optional(),
  waterTemperature: measure('temperature', 'Water no colder than', -2, 35).optional(),
  waves: measure('height', 'Waves no higher than', 0, 10).optional(),
  off: measure(
    'distance',
    'Never further from a landing than',
    20,
    100_000,
    'A beach, bank or harbour that is entered here and at which one can land at that hour.',
  ).optional(),
  hours: measure('duration', 'Out no longer than', 600, 1_209_600).optional(),
});
export type Limits = z.infer<typeof Limits>;
export type LimitName = keyof Limits;
