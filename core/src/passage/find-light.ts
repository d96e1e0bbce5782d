import { darkSpans, moonLit, moonUp, skyAt, sunAfter, sunBefore } from '../earth';
import type { Finding, Limits, Phrase, Place, Schedule, Trip } from '../model';
import { phrase } from '../say';
import { MS } from '../units';
import { goTo, instant, leanOnPace, type Figures } from '../verdict';
import { FIGURES } from './figures';
import { MOST_APART, seriesOf, weatherAt, type SortedForecast } from '../water';
import type { Outing } from './outing';
import { PASSAGE } from './limits';

const toTime = (trip: Pick<Trip, 'id'>) => ({
  label: phrase('light.mend'),
  ...goTo.trip(trip.id, '/leave/time'),
});

/** Light over the whole span from leaving to landing: dark when leaving, a night on the way, daylight left when landing. */
export function lightFindings(outing: Outing, schedule: Schedule, figures: Figures): Finding[] {
  const { trip, launch, back } = outing;
  const { leave, home } = schedule;
  if (!launch || home === undefined) return [];
  const dark = darkSpans(launch.position, leave, home);
  const mend = toTime(trip);
  const found: Finding[] = [];
  const first = dark[0]?.from === leave ? dark[0] : undefined;
  if (first) {
    const sunrise = sunAfter(launch.position, leave, 'sunrise');
    // Dark to the end of the trip, or for long: as grave as landing in the dark.
    const least = PASSAGE.at('day/dark-leave', 'short');
    const short = (first.until - leave) / MS.second <= least && first.until < home;
    found.push(
      PASSAGE.finding('day/dark-leave', short ? 'short' : 'long', trip.id, {
        title: phrase('light.dark.leave.title'),
        because: [
          darkLeave(leave, sunrise, sunBefore(launch.position, leave, 'sunset')),
          moonIn(launch.position, first),
        ],
        figures:
          sunrise === undefined ? [] : [FIGURES.put(figures, 'passage/sunrise', trip.id, { value: sunrise })],
        source: 'sun',
        mend,
      }),
    );
  }
  const night = dark.find((span) => span !== first && span.until < home);
  if (night) {
    const { from, until } = night;
    const because = [phrase('light.night', { from, until }), moonIn(launch.position, night)];
    const title = phrase('light.night.title');
    found.push(PASSAGE.finding('day/night', 'out', trip.id, { title, because, mend }));
  }
  const last = dark.at(-1);
  const landing = landingFinding(outing, home, back ?? launch, figures);
  if (last !== first && last?.until === home) landing.because.push(moonIn(launch.position, last));
  return [...found, landing];
}

/** How much of a dark span the moon lights: the longest stretch of it. Clouds are not reckoned with. */
function moonIn(position: Place['position'], { from, until }: { from: number; until: number }): Phrase {
  const spans = moonUp(position, from, until);
  if (spans.length === 0) return phrase('light.moon.down');
  const longest = spans.reduce((a, b) => (b.until - b.from > a.until - a.from ? b : a));
  const lit = moonLit((longest.from + longest.until) / 2);
  if (longest.from === from && longest.until === until) return phrase('light.moon.all', { lit });
  return phrase('light.moon.up', { lit, from: longest.from, until: longest.until });
}

function darkLeave(leave: number, sunrise: number | undefined, sunset: number | undefined): Phrase {
  if (sunrise === undefined) return phrase('light.dark.leave.polar', { at: leave });
  const gap = (sunrise - leave) / MS.second;
  if (sunset !== undefined && leave - sunset < sunrise - leave) {
    return phrase('light.dark.leave.evening', { at: leave, sunset, gap, sunrise });
  }
  return phrase('light.dark.leave', { at: leave, gap, sunrise });
}

function landingFinding(outing: Outing, home: number, { position }: Place, figures: Figures): Finding {
  const { trip, speed } = outing;
  const shown = [FIGURES.idOf('passage/home', trip.id)];
  const sunsetFigure = (value: number) => FIGURES.put(figures, 'passage/sunset', trip.id, { value });
  if (skyAt(position, home) !== 'day') {
    const sunset = sunBefore(position, home, 'sunset');
    return PASSAGE.finding('day/light', 'dark', trip.id, {
      title: phrase('light.dark.home.title'),
      because: [
        sunset === undefined
          ? phrase('light.dark.home.polar', { home })
          : phrase('light.dark.home', { home, sunset }),
      ],
      figures: sunset === undefined ? shown : [...shown, sunsetFigure(sunset)],
      mend: toTime(trip),
    });
  }
  const title = phrase('light.ok.title');
  const sunset = sunAfter(position, home, 'sunset');
  if (sunset === undefined) {
    const because = [phrase('light.ok.polar', { home })];
    const polar = PASSAGE.finding('day/light', 'enough', trip.id, { title, because, figures: shown });
    return leanOnPace(outing, polar);
  }
  const gap = (sunset - home) / MS.second;
  const both = [...shown, sunsetFigure(sunset)];
  FIGURES.put(figures, 'passage/daylight', trip.id, {
    value: gap,
    inputs: { home: instant(home), sunset: instant(sunset) },
    guessed: speed?.guessed === true,
  });
  const least = PASSAGE.at('day/light', 'short');
  if (gap < least) {
    return PASSAGE.finding('day/light', 'short', trip.id, {
      title: phrase('light.short.title'),
      because: [phrase('light.short', { home, gap, least })],
      figures: both,
      mend: toTime(trip),
    });
  }
  const because = [phrase('light.ok', { home, gap })];
  const enough = PASSAGE.finding('day/light', 'enough', trip.id, { title, because, figures: both });
  return leanOnPace(outing, enough);
}

/** When the daylight ends in which this trip lands, epoch ms; undefined where it never does, or where it is dark all the way. */
function daylightEnds({ launch, back }: Outing, { leave, home }: Schedule): number | undefined {
  if (!launch || home === undefined) return undefined;
  const at = (back ?? launch).position;
  if (skyAt(at, leave) === 'day') return sunAfter(at, leave, 'sunset');
  const sunrise = sunAfter(at, leave, 'sunrise');
  return sunrise === undefined || sunrise >= home ? undefined : sunAfter(at, sunrise, 'sunset');
}

/**
 * When the wind goes over the limit of whoever goes, epoch ms, between two hours of the forecast. Undefined where it never does, where
 * it blows so from the start (that stops by itself), and of weather that was invented for show.
 */
function blowsFrom(
  { trip, forecast, blowsOver = trip.limits }: Outing,
  { leave }: Schedule,
): number | undefined {
  if (!forecast || forecast.invented) return undefined;
  const all = seriesOf(forecast).flatMap((series) => blowsAt(blowsOver, series, leave) ?? []);
  return all.length === 0 ? undefined : Math.min(...all);
}

/** The same at one of the points of a forecast. */
function blowsAt(
  limits: Pick<Limits, 'wind' | 'gust'>,
  series: SortedForecast,
  leave: number,
): number | undefined {
  const held = (['wind', 'gust'] as const).flatMap((name) => {
    const most = limits[name];
    return most === undefined ? [] : [{ name, most }];
  });
  const over = (h: { wind: number; gust: number }) => held.filter(({ name, most }) => h[name] > most);
  const begin = weatherAt(series, leave);
  if (!begin || over(begin).length > 0) return undefined;
  const next = series.hours.findIndex((h) => h.ms > leave && over(h).length > 0);
  if (next < 0) return undefined;
  const b = series.hours[next],
    before = series.hours[next - 1];
  const a = before && before.ms > leave ? before : { ...begin, ms: leave };
  // Over a hole of the forecast it may blow as soon as nothing is known.
  if (b.ms - a.ms > MOST_APART) return a.ms;
  const parts = over(b).map(({ name, most }) => (most - a[name]) / (b[name] - a[name]));
  return a.ms + Math.max(0, Math.min(1, ...parts)) * (b.ms - a.ms);
}

/** The latest turn that still lands with the daylight that should be left, by the time wanted at home and before it blows, epoch ms. */
export function latestTurnOf(
  outing: Outing,
  schedule: Schedule,
  homeBy: number | undefined,
): number | undefined {
  const { route } = outing;
  if (!route) return undefined;
  const sunset = daylightEnds(outing, schedule);
  const light = sunset === undefined ? undefined : sunset - PASSAGE.at('day/light', 'short') * MS.second;
  const known = [light, homeBy, blowsFrom(outing, schedule)].filter((t): t is number => t !== undefined);
  const { turnBack, home } = schedule;
  // In a stream the way back takes what it takes at its own hour.
  const back = turnBack === undefined || home === undefined ? route.backSeconds * MS.second : home - turnBack;
  return known.length === 0 ? undefined : Math.min(...known) - back;
}
