import { civilDate, plusDays, skyAt, wallToInstant } from '../earth';
import type { Place, Truth, Water } from '../model';
import { MS } from '../units';
import { guessed } from '../verdict';
import { worstWithin, type SortedForecast } from '../water';
import { CALM, DEEP, WARM } from './drills';

/** What a day and a place must be for practising in the water; each is met, not met, or not known. */
export interface Checks {
  light: Truth;
  warm: Truth;
  calm: Truth;
  deep: Truth;
}
export interface Proposal {
  place: Place;
  water: Water;
  /** Epoch ms. */
  from: number;
  until: number;
  checks: Checks;
  /** The gusts at their worst, m/s, and the water, °C, where they are forecast. */
  wind?: number;
  temperature?: number;
}

/** Looked through: so many days ahead, starting at these hours of the day there, for so long. */
const DAYS = 8,
  HOURS = ['09:00', '11:00', '13:00', '15:00', '17:00'],
  LASTS = 2 * MS.hour;

/** What is forecast for part of the hours only counts where it is bad. */
const meets = (value: number | undefined, whole: boolean, holds: (value: number) => boolean): Truth =>
  value === undefined ? 'unknown' : !holds(value) ? 'no' : whole ? 'yes' : 'unknown';

function proposed(place: Place, water: Water, from: number, forecast: SortedForecast | undefined): Proposal {
  const until = from + LASTS;
  const worst = forecast && worstWithin(forecast, from, until);
  const wind = worst?.gust.gust;
  const temperature = worst?.coldest?.water;
  const light = [from, until].every((at) => skyAt(place.position, at) === 'day') ? 'yes' : 'no';
  return {
    place,
    water,
    from,
    until,
    checks: {
      light,
      warm: meets(temperature, worst?.whole.water === true, (t) => t >= WARM),
      calm: meets(wind, worst?.whole.wind === true, (w) => w <= CALM),
      deep: meets(guessed(place, '/depth') ? undefined : place.depth, true, (d) => d >= DEEP),
    },
    ...(wind === undefined ? {} : { wind }),
    ...(temperature === undefined ? {} : { temperature }),
  };
}

/** What is not met weighs more than what is not known. */
const WEIGHT: Readonly<Record<Truth, number>> = { no: -10, unknown: -1, yes: 0 };
const weight = ({ checks }: Proposal) =>
  Object.values(checks).reduce((sum, truth: Truth) => sum + WEIGHT[truth], 0);

/**
 * Where and when to practise in the water in the days to come: of each launch and haven the first of its best hours, the best place
 * first. Others near and old gear are not in it: they are to be brought.
 * @param forecastOf what is known of the weather of a water
 */
export function proposals(
  places: readonly Place[],
  waters: readonly Water[],
  forecastOf: (water: Water) => SortedForecast | undefined,
  now: number,
): Proposal[] {
  const near = places.filter(({ kind }) => kind === 'launch' || kind === 'haven');
  return near
    .flatMap((place) => {
      const water = waters.find(({ id }) => id === place.water);
      if (!water) return [];
      const forecast = forecastOf(water);
      const today = civilDate(now, water.zone);
      const all = Array.from({ length: DAYS }, (_, day) => plusDays(today, day)).flatMap((date) =>
        HOURS.flatMap((time) => {
          const wall = wallToInstant(date, time, water.zone);
          return 'gap' in wall || wall.at < now ? [] : [proposed(place, water, wall.at, forecast)];
        }),
      );
      return all.length === 0
        ? []
        : [all.reduce((best, each) => (weight(each) > weight(best) ? each : best))];
    })
    .sort((a, b) => weight(b) - weight(a) || a.from - b.from);
}
