import type { Forecast } from '@escale/core/model';
import type { Says } from '@escale/core/say';
import { BY_WHOM } from './words';

/** Whose forecast is shown, and of when; or that it is made up, or none. */
export function byWhom(forecast: Forecast | undefined, says: Says): string {
  if (!forecast) return BY_WHOM.none;
  if (forecast.invented) return BY_WHOM.invented;
  return says(BY_WHOM.from, { source: forecast.source, at: Date.parse(forecast.issuedAt) });
}
