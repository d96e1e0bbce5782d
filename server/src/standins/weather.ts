import type { Forecast } from '@escale/core/model';
import { dayLight } from '@escale/core/earth';
import { MS } from '@escale/core/units';

/** What a real forecast service would have to offer. Undefined: it has nothing for those hours. */
export interface WeatherService {
  forecast(
    at: { lat: number; lon: number },
    from: number,
    until: number,
    now: number,
  ): Promise<Forecast | undefined>;
}

/** A new run every six hours, reaching ten days ahead. */
const RUN = 6 * MS.hour;
const REACH = 10 * MS.day;

/** A well-spread number in 0…1 from two whole numbers (integer hash after Wang; chance that is the same on every machine). */
function chance(seed: number, n: number): number {
  let x = (seed * 374_761_393 + n * 668_265_263) | 0;
  x = Math.imul(x ^ (x >>> 13), 1_274_126_177);
  return ((x ^ (x >>> 16)) >>> 0) / 4_294_967_296;
}

/** Smooth weather between days: a value for each day, joined by a cosine. */
function between(seed: number, at: number, low: number, high: number): number {
  const day = Math.floor(at / MS.day),
    part = at / MS.day - day;
  const a = chance(seed, day),
    b = chance(seed, day + 1);
  return low + (high - low) * (a + ((b - a) * (1 - Math.cos(Math.PI * part))) / 2);
}

/**
 * Invented weather, the same for the same seed, place and hour: days of calm and of wind, a sea breeze that follows the
 * sun, water that follows the season. It stands in for a service and says so in its source.
 */
export function simulatedWeather(seed: number): WeatherService {
  return {
    forecast: async (at, from, until, now) => {
      const issued = Math.floor(now / RUN) * RUN;
      const end = Math.min(until, issued + REACH);
      if (end < from) return undefined;
      const hours: Forecast['hours'] = [];
      for (let t = Math.floor(from / MS.hour) * MS.hour; t <= end; t += MS.hour)
        hours.push(hourAt(seed, at, t));
      return {
        issuedAt: new Date(issued).toISOString(),
        source: 'Invented forecast (stand-in)',
        invented: true,
        hours,
      };
    },
  };
}

function hourAt(seed: number, at: { lat: number; lon: number }, t: number): Forecast['hours'][number] {
  const { sunrise, sunset } = dayLight(at, t);
  const sunny =
    sunrise !== undefined && sunset !== undefined && t > sunrise && t < sunset
      ? Math.sin((Math.PI * (t - sunrise)) / (sunset - sunrise))
      : 0;
  const season = Math.cos((2 * Math.PI * (t / MS.day - 230)) / 365.25);
  const wind = between(seed, t, 1, 7.5) + 2.5 * sunny;
  const round = (x: number, digits = 1) => Number(x.toFixed(digits));
  return {
    at: new Date(t).toISOString(),
    wind: round(wind),
    gust: round(wind * (1.25 + 0.25 * between(seed + 2, t, 0, 1))),
    from: Math.round(between(seed + 1, t, 150, 330) + 20 * sunny) % 360,
    air: round(14.5 + 5 * season + 4 * sunny + between(seed + 3, t, -2, 2)),
    water: round(14 + 3.4 * season + between(seed + 4, t, -0.3, 0.3)),
    visibility: Math.round(between(seed + 5, t, 6000, 28_000)),
    thunder: false,
  };
}
