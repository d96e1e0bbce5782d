import type { Finding, Mend, Phrase, Schedule } from '../model';
import { phrase, type WordKey } from '../say';
import { asPrinted, MS } from '../units';
import { worstWithin, type Worst } from '../water';
import { coldFindings } from './cold';
import { finding, leanOnSpeed, leansOnWeather, type Context, type Figures } from './context';
import { FORECAST_AGE, POOR_VISIBILITY } from './limits';

const base = { section: 'plan/day' as const };

/** Wind, gusts, thunder, visibility and cold over the hours of the trip, as far as they are forecast. */
export function weatherFindings(context: Context, schedule: Schedule, figures: Figures): Finding[] {
  const { trip, forecast, now } = context;
  const home = schedule.home ?? schedule.leave;
  const worst = forecast && worstWithin(forecast, schedule.leave, home);
  if (!forecast || !worst) {
    const none = finding({
      ...base,
      id: `day/forecast/${trip.id}`,
      level: 'fix',
      title: phrase('forecast.none.title'),
      because: [phrase('forecast.none.why')],
    });
    return [none, ...limitFindings(context), ...coldFindings(context, undefined, figures)];
  }
  const found: Finding[] = [];
  if (!worst.whole.wind) {
    const { from, until } = forecast;
    const cut = until < home || from > schedule.leave;
    found.push(
      finding({
        ...base,
        id: `day/forecast-part/${trip.id}`,
        level: 'fix',
        title: phrase('forecast.part.title'),
        because: [phrase(cut ? 'forecast.part' : 'forecast.holes', { from, until, home })],
      }),
    );
  }
  const age = (now - forecast.issuedAt) / MS.second;
  if (age > FORECAST_AGE.value) {
    found.push(
      finding({
        ...base,
        id: `day/forecast-age/${trip.id}`,
        level: FORECAST_AGE.level,
        title: phrase('forecast.old.title'),
        because: [phrase('forecast.old', { age })],
        source: FORECAST_AGE.source,
      }),
    );
  }
  const figure = { quantity: 'speed' as const, inputs: {}, formula: 'formula.forecast', source: 'practice' };
  const shown = forecast.invented ? { guessed: true } : {};
  figures.wind = { ...figure, ...shown, value: worst.wind.wind };
  figures.gust = { ...figure, ...shown, value: worst.gust.gust };
  return [
    ...found,
    ...windFindings(context, worst),
    ...limitFindings(context),
    ...skyFindings(context, worst),
    ...coldFindings(context, worst, figures),
  ];
}

/** Wind and gusts against what the person set: over it anywhere is a Stop, under it is known only where all of it is forecast. */
function windFindings(context: Context, { wind, gust, whole }: Worst): Finding[] {
  const { trip } = context;
  const mend: Mend = {
    label: phrase('light.mend'),
    go: { type: 'trip', id: trip.id, pointer: '/leave/time' },
  };
  const over = (id: string, key: 'wind.over' | 'gust.over', values: Record<string, number>) =>
    finding({
      ...base,
      id: `day/${id}/${trip.id}`,
      level: 'stop',
      title: phrase(`${key}.title`),
      because: [leansOnWeather(context, phrase(key, values))],
      figures: ['wind', 'gust'],
      source: 'your-limit',
      mend,
    });
  const { wind: limit, gust: gustLimit } = trip.limits;
  const tooMuch = (value: number, most: number | undefined) =>
    most !== undefined && asPrinted(value, 'speed') > asPrinted(most, 'speed');
  const found: Finding[] = [];
  const windOver = tooMuch(wind.wind, limit),
    gustOver = tooMuch(gust.gust, gustLimit);
  if (windOver)
    found.push(
      over('wind', 'wind.over', { wind: wind.wind, at: wind.ms, from: Math.round(wind.from), limit: limit! }),
    );
  if (gustOver) found.push(over('gust', 'gust.over', { gust: gust.gust, at: gust.ms, limit: gustLimit! }));
  if (windOver || limit === undefined || !whole.wind) return found;
  const ok = finding({
    ...base,
    id: `day/wind-ok/${trip.id}`,
    level: 'ready',
    title: phrase('wind.ok.title'),
    because: [leansOnWeather(context, phrase('wind.ok', { wind: wind.wind, gust: gust.gust, limit }))],
    figures: ['wind', 'gust'],
    source: 'your-limit',
  });
  return [...found, context.forecast?.invented ? forShow(ok) : leanOnSpeed(context, ok)];
}

/** Invented weather settles nothing. */
const forShow = (found: Finding): Finding => ({
  ...found,
  level: 'know',
  assumed: [...found.assumed, phrase('weather.show')],
});

const LIMITS = [
  ['wind', 'limit.wind'],
  ['gust', 'limit.gust'],
  ['waterTemperature', 'limit.water'],
] as const;

/** What the person set no limit for: nothing of it was held against anything. */
function limitFindings({ trip }: Context): Finding[] {
  const unset = LIMITS.filter(([name]) => trip.limits[name] === undefined);
  const what: Phrase[] = unset.map(([, word]) => phrase(word));
  if (trip.homeBy === undefined) what.push(phrase('limit.home'));
  if (what.length === 0) return [];
  const pointer = unset.length > 0 ? `/limits/${unset[0][0]}` : '/homeBy';
  return [
    finding({
      ...base,
      id: `day/limits/${trip.id}`,
      level: 'know',
      title: phrase('limit.unset.title'),
      because: [phrase('limit.unset', { what })],
      mend: { label: phrase('wind.unset.mend'), go: { type: 'trip', id: trip.id, pointer } },
    }),
  ];
}

/** Thunder and visibility: bad where it is forecast bad, open where it is not forecast. */
function skyFindings(context: Context, { thunder, dimmest, whole }: Worst): Finding[] {
  const { trip } = context;
  const mend: Mend = {
    label: phrase('light.mend'),
    go: { type: 'trip', id: trip.id, pointer: '/leave/time' },
  };
  const found: Finding[] = [];
  if (thunder) {
    found.push(
      finding({
        ...base,
        id: `day/thunder/${trip.id}`,
        level: 'fix',
        title: phrase('thunder.title'),
        because: [leansOnWeather(context, phrase('thunder.why', { at: thunder.ms }))],
        source: 'lightning',
        mend,
      }),
    );
  }
  const visibility = dimmest?.visibility;
  const poor = visibility !== undefined && visibility < POOR_VISIBILITY.value;
  if (poor) {
    found.push(
      finding({
        ...base,
        id: `day/fog/${trip.id}`,
        level: POOR_VISIBILITY.level,
        title: phrase('fog.title'),
        because: [leansOnWeather(context, phrase('fog.why', { visibility, at: dimmest!.ms }))],
        source: POOR_VISIBILITY.source,
        mend,
      }),
    );
  }
  const lacks: WordKey[] = [];
  if (!whole.visibility && !poor) lacks.push('forecast.lacks.visibility');
  if (!whole.thunder && !thunder) lacks.push('forecast.lacks.thunder');
  if (lacks.length > 0) {
    found.push(
      finding({
        ...base,
        id: `day/forecast-lacks/${trip.id}`,
        level: 'know',
        title: phrase('forecast.lacks.title'),
        because: [phrase('forecast.lacks', { what: lacks.map((word) => phrase(word)) })],
      }),
    );
  }
  return found;
}
