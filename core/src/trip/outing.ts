import type { Outing } from '../logbook';
import type { FarOff } from '../passage';
import type { Facts } from '../rules';
import type { Context } from './context';

const number = (value: Facts[string]) => (typeof value === 'number' ? value : undefined);

/**
 * How a trip will be, as far as it is known over its whole span; invented weather tells nothing.
 * @param facts of the hours on the water
 * @param off how far the way leads from a landing; where a place that may be one lies nearer, it is at most this
 */
export function plannedOuting(
  { forecast, trip }: Pick<Context, 'forecast' | 'trip'>,
  facts: Facts,
  off: FarOff | 'unknown' | undefined,
): Outing {
  const real = forecast !== undefined && !forecast.invented;
  return {
    off: off === undefined || off === 'unknown' ? undefined : off.metres,
    wind: real ? number(facts['day.wind']) : undefined,
    cold: real ? number(facts['day.water']) : undefined,
    alone: (trip.company ?? []).length === 0,
    dark: typeof facts['day.dark'] === 'boolean' ? facts['day.dark'] : undefined,
  };
}
