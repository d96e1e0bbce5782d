import { countryOf } from '@escale/core/rules';

export interface Whereabouts {
  zone: string;
  /** It is this device's, for want of better. */
  guessed: boolean;
  /** Of those for which a list of rules ships; a guess. */
  country: string | undefined;
}

/**
 * The time zone of a position, by a table that is fetched when it is first asked; without a position, or where the table
 * can't be had (no signal), the zone of this device, as a guess.
 */
export async function whereIs(at: { lat: number; lon: number } | undefined): Promise<Whereabouts> {
  const own = Intl.DateTimeFormat().resolvedOptions().timeZone;
  if (!at) return { zone: own, guessed: true, country: countryOf(own) };
  try {
    const zone = (await import('@photostructure/tz-lookup')).default(at.lat, at.lon);
    return { zone, guessed: false, country: countryOf(zone) };
  } catch (error) {
    console.warn('the table of time zones could not be fetched', error);
    return { zone: own, guessed: true, country: countryOf(own) };
  }
}
