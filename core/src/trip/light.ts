import { darkSpans, moonLit, moonUp, skyAt, sunAfter, sunBefore } from '../earth';
import type { Finding, Mend, Phrase, Schedule } from '../model';
import { phrase } from '../say';
import { MS } from '../units';
import { finding, instant, leanOnSpeed, type Context, type Figures } from './context';
import { AFTER_SUNSET, DARK_START, DAYLIGHT_LEAST } from './limits';

const toTime = (trip: { id: string }): Mend => ({
  label: phrase('light.mend'),
  go: { type: 'trip', id: trip.id, pointer: '/leave/time' },
});

/** Light over the whole span from leaving to landing: dark when leaving, a night on the way, daylight left when landing. */
export function lightFindings(context: Context, schedule: Schedule, figures: Figures): Finding[] {
  const { trip, launch, back } = context;
  const { leave, home } = schedule;
  if (!launch || home === undefined) return [];
  const dark = darkSpans(launch.position, leave, home);
  const base = { section: 'plan/day' as const, mend: toTime(trip), source: 'sun' as const };
  const found: Finding[] = [];
  const first = dark[0]?.from === leave ? dark[0] : undefined;
  if (first) {
    const sunrise = sunAfter(launch.position, leave, 'sunrise');
    if (sunrise !== undefined) figures.sunrise = sunFigure(sunrise);
    // Dark to the end of the trip, or for long: as grave as landing in the dark.
    const short = (first.until - leave) / MS.second <= DARK_START.value && first.until < home;
    found.push(
      finding({
        ...base,
        id: `day/dark-leave/${trip.id}`,
        level: short ? DARK_START.level : AFTER_SUNSET.level,
        title: phrase('light.dark.leave.title'),
        because: [
          darkLeave(leave, sunrise, sunBefore(launch.position, leave, 'sunset')),
          moonIn(launch.position, first),
        ],
        figures: sunrise === undefined ? [] : ['sunrise'],
      }),
    );
  }
  for (const night of dark.filter((span) => span !== first && span.until < home)) {
    found.push(
      finding({
        ...base,
        id: `day/night/${trip.id}`,
        level: AFTER_SUNSET.level,
        title: phrase('light.night.title'),
        because: [
          phrase('light.night', { from: night.from, until: night.until }),
          moonIn(launch.position, night),
        ],
        source: AFTER_SUNSET.source,
      }),
    );
    break;
  }
  const last = dark.at(-1);
  const landing = landingFinding(context, home, (back ?? launch).position, figures);
  if (last !== first && last?.until === home) landing.because.push(moonIn(launch.position, last));
  return [...found, landing];
}

/** How much of a dark span the moon lights: the longest stretch of it. Clouds are not reckoned with. */
function moonIn(
  position: { lat: number; lon: number },
  { from, until }: { from: number; until: number },
): Phrase {
  const spans = moonUp(position, from, until);
  if (spans.length === 0) return phrase('light.moon.down');
  const longest = spans.reduce((a, b) => (b.until - b.from > a.until - a.from ? b : a));
  const lit = moonLit((longest.from + longest.until) / 2);
  if (longest.from === from && longest.until === until) return phrase('light.moon.all', { lit });
  return phrase('light.moon.up', { lit, from: longest.from, until: longest.until });
}

const sunFigure = (at: number) => ({
  ...instant(at),
  inputs: {},
  formula: 'formula.sun',
  source: 'sun' as const,
});

function darkLeave(leave: number, sunrise: number | undefined, sunset: number | undefined): Phrase {
  if (sunrise === undefined) return phrase('light.dark.leave.polar', { at: leave });
  const gap = (sunrise - leave) / MS.second;
  if (sunset !== undefined && leave - sunset < sunrise - leave) {
    return phrase('light.dark.leave.evening', { at: leave, sunset, gap, sunrise });
  }
  return phrase('light.dark.leave', { at: leave, gap, sunrise });
}

function landingFinding(
  context: Context,
  home: number,
  at: { lat: number; lon: number },
  figures: Figures,
): Finding {
  const { trip } = context;
  const base = { id: `day/light/${trip.id}`, section: 'plan/day' as const, mend: toTime(trip) };
  if (skyAt(at, home) !== 'day') {
    const sunset = sunBefore(at, home, 'sunset');
    if (sunset !== undefined) figures.sunset = sunFigure(sunset);
    return finding({
      ...base,
      level: AFTER_SUNSET.level,
      title: phrase('light.dark.home.title'),
      because: [
        sunset === undefined
          ? phrase('light.dark.home.polar', { home })
          : phrase('light.dark.home', { home, sunset }),
      ],
      figures: sunset === undefined ? ['home'] : ['home', 'sunset'],
      source: AFTER_SUNSET.source,
    });
  }
  const sunset = sunAfter(at, home, 'sunset');
  if (sunset === undefined) {
    return leanOnSpeed(
      context,
      finding({
        ...base,
        mend: undefined,
        level: 'ready',
        title: phrase('light.ok.title'),
        because: [phrase('light.ok.polar', { home })],
        figures: ['home'],
        source: 'sun',
      }),
    );
  }
  const left = (sunset - home) / MS.second;
  figures.sunset = sunFigure(sunset);
  figures.daylight = {
    value: left,
    quantity: 'duration',
    inputs: { home: instant(home), sunset: instant(sunset) },
    formula: 'formula.daylight',
    source: 'sun',
    ...(context.speed?.guessed ? { guessed: true } : {}),
  };
  const short = left < DAYLIGHT_LEAST.value;
  const made = finding({
    ...base,
    level: short ? DAYLIGHT_LEAST.level : 'ready',
    title: phrase(short ? 'light.short.title' : 'light.ok.title'),
    because: [
      short
        ? phrase('light.short', { home, gap: left, least: DAYLIGHT_LEAST.value })
        : phrase('light.ok', { home, gap: left }),
    ],
    figures: ['home', 'sunset'],
    source: short ? DAYLIGHT_LEAST.source : 'sun',
    ...(short ? {} : { mend: undefined }),
  });
  return short ? made : leanOnSpeed(context, made);
}

/** When the daylight ends in which this trip lands, epoch ms; undefined where it never does, or where it is dark all the way. */
function daylightEnds({ launch, back }: Context, { leave, home }: Schedule): number | undefined {
  if (!launch || home === undefined) return undefined;
  const at = (back ?? launch).position;
  if (skyAt(at, leave) === 'day') return sunAfter(at, leave, 'sunset');
  const sunrise = sunAfter(at, leave, 'sunrise');
  return sunrise === undefined || sunrise >= home ? undefined : sunAfter(at, sunrise, 'sunset');
}

/** The latest turn that still lands an hour before sunset and by the time wanted at home, epoch ms. */
export function latestTurnOf(
  context: Context,
  schedule: Schedule,
  homeBy: number | undefined,
): number | undefined {
  const { route } = context;
  if (!route) return undefined;
  const sunset = daylightEnds(context, schedule);
  const limits = [sunset === undefined ? undefined : sunset - DAYLIGHT_LEAST.value * MS.second, homeBy];
  const known = limits.filter((t): t is number => t !== undefined);
  return known.length === 0 ? undefined : Math.min(...known) - route.backSeconds * MS.second;
}

/** Home by the hour wanted, and turned in time for it. */
export function turnFindings(
  context: Context,
  homeBy: number | undefined,
  schedule: Schedule,
  figures: Figures,
): Finding[] {
  const { trip } = context;
  const base = { section: 'plan/day' as const };
  const go = (pointer: string) => ({ go: { type: 'trip' as const, id: trip.id, pointer } });
  const found: Finding[] = [];
  if (homeBy !== undefined && schedule.home !== undefined && schedule.home > homeBy) {
    found.push(
      finding({
        ...base,
        id: `day/home-by/${trip.id}`,
        level: 'fix',
        title: phrase('home.late.title'),
        because: [phrase('home.late', { home: schedule.home, by: homeBy })],
        figures: ['home'],
        source: 'your-limit',
        mend: { label: phrase('home.late.mend'), ...go('/leave/time') },
      }),
    );
  }
  const { latestTurn, turnBack } = schedule;
  if (turnBack === undefined) return found;
  const id = `day/turn/${trip.id}`;
  if (latestTurn === undefined) {
    return [
      ...found,
      finding({
        ...base,
        id,
        level: 'know',
        title: phrase('turn.none.title'),
        because: [phrase('turn.none', { turn: turnBack })],
        source: 'daylight',
        mend: { label: phrase('turn.none.mend'), ...go('/homeBy') },
      }),
    ];
  }
  figures.latestTurn = {
    ...instant(latestTurn),
    inputs: {},
    formula: 'formula.latest-turn',
    source: 'daylight',
    ...(context.speed?.guessed ? { guessed: true } : {}),
  };
  const late = turnBack > latestTurn;
  const made = finding({
    ...base,
    id,
    level: late ? 'fix' : 'ready',
    title: phrase(late ? 'turn.late.title' : 'turn.ok.title'),
    because: [phrase(late ? 'turn.late' : 'turn.ok', { turn: turnBack, latest: latestTurn })],
    figures: ['turnBack', 'latestTurn'],
    source: 'daylight',
    ...(late ? { mend: { label: phrase('home.late.mend'), ...go('/halts') } } : {}),
  });
  return [...found, late ? made : leanOnSpeed(context, made)];
}
