import type { Finding, Phrase, Schedule } from '../model';
import { phrase } from '../say';
import { asPrinted, MS } from '../units';
import { goTo, leaning, leanOnPace, type Figures } from '../verdict';
import { FIGURES } from './figures';
import type { OnWater } from './on-water';
import { WATER } from './limits';
import { leansOnForecast, type AtHour, type Worst } from './weather';

const typeIn = (trip: string) => ({ label: phrase('forecast.type'), ...goTo.trip(trip, '/forecast') });
const toTime = (trip: string) => ({ label: phrase('light.mend'), ...goTo.trip(trip, '/leave/time') });

/** Wind, gusts, thunder and visibility over the hours of the trip, as far as they are forecast. */
export function weatherFindings(
  on: OnWater,
  schedule: Schedule,
  worst: Worst | undefined,
  figures: Figures,
): Finding[] {
  const { trip, forecast, now } = on;
  if (!forecast || !worst) {
    const title = phrase('forecast.none.title');
    const none = WATER.finding('day/forecast', 'none', trip.id, {
      title,
      because: [phrase('forecast.none.why')],
      mend: typeIn(trip.id),
    });
    return [none, ...limitFindings(on)];
  }
  const found: Finding[] = [];
  if (!worst.whole.wind) found.push(partFinding(on, forecast, schedule));
  const age = (now - forecast.issuedAt) / MS.second;
  if (age > WATER.at('day/forecast-age', 'old')) {
    const because = [phrase('forecast.old', { age })];
    found.push(
      WATER.finding('day/forecast-age', 'old', trip.id, {
        title: phrase('forecast.old.title'),
        because,
        mend: typeIn(trip.id),
      }),
    );
  }
  const shown = { guessed: forecast.invented };
  FIGURES.put(figures, 'water/wind', trip.id, { value: worst.wind.wind, ...shown });
  FIGURES.put(figures, 'water/gust', trip.id, { value: worst.gust.gust, ...shown });
  return [...found, ...windFindings(on, worst), ...limitFindings(on), ...skyFindings(on, worst)];
}

function partFinding(
  { trip }: OnWater,
  { from, until }: NonNullable<OnWater['forecast']>,
  { leave, home = leave }: Schedule,
): Finding {
  const cut = until < home || from > leave;
  return WATER.finding('day/forecast-part', 'part', trip.id, {
    title: phrase('forecast.part.title'),
    because: [cut ? phrase('forecast.part', { from, until, home }) : phrase('forecast.holes')],
    mend: typeIn(trip.id),
  });
}

/** Wind and gusts against what the person set: over it anywhere is a Stop, under it is known only where all of it is forecast. */
function windFindings(on: OnWater, { wind, gust, whole }: Worst): Finding[] {
  const { trip, forecast } = on;
  const figures = [FIGURES.idOf('water/wind', trip.id), FIGURES.idOf('water/gust', trip.id)];
  const { wind: limit, gust: gustLimit } = trip.limits;
  const tooMuch = (value: number, most: number | undefined): most is number =>
    most !== undefined && asPrinted(value, 'speed') > asPrinted(most, 'speed');
  const found: Finding[] = [];
  const windOver = tooMuch(wind.wind, limit);
  const mend = toTime(trip.id);
  if (windOver) {
    const why = phrase('wind.over', { wind: wind.wind, at: wind.ms, from: Math.round(wind.from), limit });
    const because = [leansOnForecast(forecast, why), ...at(wind)];
    found.push(
      WATER.finding('day/wind', 'over', trip.id, {
        title: phrase('wind.over.title'),
        because,
        figures,
        mend,
      }),
    );
  }
  if (tooMuch(gust.gust, gustLimit)) {
    const why = phrase('gust.over', { gust: gust.gust, at: gust.ms, limit: gustLimit });
    const because = [leansOnForecast(forecast, why), ...at(gust)];
    found.push(
      WATER.finding('day/gust', 'over', trip.id, {
        title: phrase('gust.over.title'),
        because,
        figures,
        mend,
      }),
    );
  }
  if (windOver || limit === undefined || !whole.wind) return found;
  const said = phrase('wind.ok', { wind: wind.wind, gust: gust.gust, limit });
  const within = WATER.finding('day/wind-ok', 'within', trip.id, {
    title: phrase('wind.ok.title'),
    because: [leansOnForecast(forecast, said)],
    figures,
  });
  // Invented weather settles nothing.
  return [...found, forecast?.invented ? leaning(within, phrase('weather.show')) : leanOnPace(on, within)];
}

/** Where along the way that is forecast, if it is another point than that of the water. */
const at = ({ point }: AtHour): Phrase[] =>
  point === undefined ? [] : [phrase('forecast.point', { point })];

const LIMITS = [
  ['wind', 'limit.wind'],
  ['gust', 'limit.gust'],
  ['waterTemperature', 'limit.water'],
  ['waves', 'limit.waves'],
  ['off', 'limit.off'],
  ['hours', 'limit.hours-out'],
] as const;

/** What the person set no limit for: nothing of it was held against anything. */
function limitFindings({ trip }: OnWater): Finding[] {
  const unset = LIMITS.filter(([name]) => trip.limits[name] === undefined);
  const what: Phrase[] = unset.map(([, word]) => phrase(word));
  if (trip.homeBy === undefined) what.push(phrase('limit.home'));
  if (what.length === 0) return [];
  const pointer = unset.length > 0 ? (`/limits/${unset[0][0]}` as const) : '/homeBy';
  return [
    WATER.finding('day/limits', 'unset', trip.id, {
      title: phrase('limit.unset.title'),
      because: [phrase('limit.unset', { what })],
      mend: { label: phrase('wind.unset.mend'), ...goTo.trip(trip.id, pointer) },
    }),
  ];
}

/** Thunder and visibility: bad where it is forecast bad, open where it is not forecast. */
function skyFindings({ trip, forecast }: OnWater, { thunder, dimmest, whole }: Worst): Finding[] {
  const mend = toTime(trip.id);
  const found: Finding[] = [];
  if (thunder) {
    const because = [leansOnForecast(forecast, phrase('thunder.why', { at: thunder.ms }))];
    found.push(
      WATER.finding('day/thunder', 'forecast', trip.id, { title: phrase('thunder.title'), because, mend }),
    );
  }
  const visibility = dimmest?.visibility;
  const poor = isPoor(visibility);
  if (poor) {
    const because = [leansOnForecast(forecast, phrase('fog.why', { visibility, at: dimmest!.ms }))];
    found.push(WATER.finding('day/fog', 'poor', trip.id, { title: phrase('fog.title'), because, mend }));
  }
  const lacks: Phrase[] = [];
  if (!whole.visibility && !poor) lacks.push(phrase('forecast.lacks.visibility'));
  if (!whole.thunder && !thunder) lacks.push(phrase('forecast.lacks.thunder'));
  if (lacks.length > 0) {
    const because = [phrase('forecast.lacks', { what: lacks })];
    found.push(
      WATER.finding('day/forecast-lacks', 'lacks', trip.id, {
        title: phrase('forecast.lacks.title'),
        because,
      }),
    );
  }
  return found;
}

/** From when on a forecast issued at an instant is old, epoch ms. */
export const oldFrom = (issued: number) => issued + WATER.at('day/forecast-age', 'old') * MS.second;

/** Is a visibility, metres, so poor that lights count as by night? Not known is no answer. */
export const isPoor = (visibility: number | undefined): visibility is number =>
  visibility !== undefined && visibility < WATER.at('day/fog', 'poor');
