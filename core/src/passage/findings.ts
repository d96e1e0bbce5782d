import type { WallResult } from '../earth';
import type { Finding, Schedule } from '../model';
import { phrase } from '../say';
import { goTo, instant, type Figures } from '../verdict';
import { FIGURES } from './figures';
import { lightFindings } from './find-light';
import { lost } from './find-pace';
import { turnFindings } from './find-turn';
import { MS } from '../units';
import { PASSAGE } from './limits';
import type { Outing } from './outing';
import { isLong, manyCheckIns } from './route';

/** Times, light and turning back over the hours of a trip. @param homeBy the hour wanted at home, epoch ms */
export function passageFindings(
  outing: Outing,
  schedule: Schedule,
  homeBy: number | undefined,
  figures: Figures,
): Finding[] {
  scheduleFigures(outing, schedule, figures);
  return [...lightFindings(outing, schedule, figures), ...turnFindings(outing, homeBy, schedule, figures)];
}

function scheduleFigures({ trip, route, speed }: Outing, schedule: Schedule, figures: Figures): void {
  const { leave, home, overdue, turnBack } = schedule;
  if (!route || !speed || home === undefined || overdue === undefined) return;
  const { guessed } = speed;
  const halts = route.legs.reduce((sum, leg) => sum + leg.haltSeconds, 0);
  const slack = schedule.legs.reduce((sum, leg) => sum + lost(leg), 0);
  const distance = { value: route.metres, quantity: 'distance' as const };
  const pace = { value: speed.value, quantity: 'speed' as const };
  FIGURES.put(figures, 'passage/distance', trip.id, { value: route.metres });
  FIGURES.put(figures, 'passage/speed', trip.id, { value: speed.value, guessed });
  FIGURES.put(figures, 'passage/home', trip.id, {
    value: home,
    inputs: { leave: instant(leave), distance, speed: pace, halts: { value: halts, quantity: 'minutes' } },
    ...(slack > 0 ? { range: [home - slack, home] } : {}),
    guessed,
  });
  FIGURES.put(figures, 'passage/overdue', trip.id, {
    value: overdue,
    inputs: { home: instant(home), grace: { value: (overdue - home) / MS.second, quantity: 'minutes' } },
    guessed,
  });
  if (turnBack === undefined) return;
  FIGURES.put(figures, 'passage/turn-back', trip.id, {
    value: turnBack,
    inputs: { leave: instant(leave) },
    guessed,
  });
}

/** A passage, or a promise, longer than can be kept. */
export function boundFindings({ trip, route }: Outing): Finding[] {
  if (!route) return [];
  const found: Finding[] = [];
  if (isLong(route))
    found.push(
      PASSAGE.finding('day/long', 'beyond', trip.id, {
        title: phrase('day.long.title'),
        because: [
          phrase('day.long.why', {
            days: Math.ceil(route.seconds / DAY),
            most: Math.round(PASSAGE.at('day/long', 'beyond') / DAY),
          }),
        ],
        mend: { label: phrase('day.long.mend'), ...goTo.trip(trip.id, '/halts') },
      }),
    );
  const many = manyCheckIns(route.seconds, trip.checkInMinutes);
  if (many)
    found.push(
      PASSAGE.finding('day/check-ins', 'many', trip.id, {
        title: phrase('day.check-ins.title'),
        because: [phrase('day.check-ins.why', many)],
        mend: { label: phrase('day.check-ins.mend'), ...goTo.trip(trip.id, '/checkInMinutes') },
      }),
    );
  return found;
}
const DAY = MS.day / MS.second;

/** The hour of leaving itself: left out or doubled by the clocks, or past. */
export function leaveFindings(
  { trip, now, zone }: Outing,
  wall: WallResult | undefined,
  leave: number | undefined,
): Finding[] {
  if (wall === undefined || zone === undefined) return [];
  const values = { zone, time: trip.leave.time };
  const mend = { label: phrase('time.gap.mend'), ...goTo.trip(trip.id, '/leave/time') };
  if ('gap' in wall) {
    if (leave !== undefined) return [];
    const because = [phrase('time.gap.why', values)];
    return [
      PASSAGE.finding('day/gap', 'missing', trip.id, { title: phrase('time.gap.title'), because, mend }),
    ];
  }
  const found: Finding[] = [];
  if (wall.twice && leave === wall.at) {
    const because = [phrase('time.twice.why', values)];
    found.push(
      PASSAGE.finding('day/twice', 'first', trip.id, { title: phrase('time.twice.title'), because, mend }),
    );
  }
  if (leave !== undefined && leave < now && trip.status === 'planned') {
    found.push(
      PASSAGE.finding('day/past', 'past', trip.id, {
        title: phrase('time.past.title'),
        because: [phrase('time.past.why', { at: leave })],
        mend: { label: phrase('time.past.mend'), ...goTo.trip(trip.id, '/leave/date') },
      }),
    );
  }
  return found;
}
