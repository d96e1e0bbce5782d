import * as z from 'zod';
import { measure } from './common';
import { LIMIT_RANGES } from './lists';

/** What somebody will not go beyond, on a trip or in a kind of boat. */
export const Limits = z.strictObject({
  wind: measure('speed', 'Wind no more than', ...LIMIT_RANGES.wind).optional(),
  gust: measure('speed', 'Gusts no more than', ...LIMIT_RANGES.gust).optional(),
  waterTemperature: measure(
    'temperature',
    'Water no colder than',
    ...LIMIT_RANGES.waterTemperature,
  ).optional(),
  waves: measure('height', 'Waves no higher than', ...LIMIT_RANGES.waves).optional(),
  off: measure(
    'distance',
    'Never further from a landing than',
    ...LIMIT_RANGES.off,
    'A beach, bank or harbour that is entered here and at which one can land at that hour.',
  ).optional(),
  hours: measure('duration', 'Out no longer than', ...LIMIT_RANGES.hours).optional(),
});
export type Limits = z.infer<typeof Limits>;
export type LimitName = keyof Limits;
