import type { Schedule } from '../model';
import type { Strip } from './strip';

/** What happens at an instant of the day, epoch ms. */
export type Mark =
  | { at: number; kind: Light | Launch | Plan }
  /** At a place, by its id. */
  | { at: number; kind: 'reach'; place: string }
  /** Metres above the station's datum. */
  | { at: number; kind: 'high' | 'low'; height: number };
type Light = 'dawn' | 'sunrise' | 'sunset' | 'dusk';
type Launch = 'works' | 'works-no-more';
type Plan = 'leave' | 'turn-back' | 'home' | 'overdue';

/** Everything that the strip draws at one instant, in the order of the day: the trip, the light, the turns of the tide, the launch. */
export function marksOf(strip: Strip, schedule: Schedule | undefined): Mark[] {
  const marks = [...lightOf(strip), ...tideMarks(strip), ...planOf(schedule)];
  return marks.filter(({ at }) => at >= strip.from && at <= strip.until).sort((a, b) => a.at - b.at);
}

/** Where one tone of the sky ends and another begins. */
function lightOf({ sky }: Strip): Mark[] {
  return sky.slice(1).map(({ sky: now, from }, i) => {
    const before = sky[i].sky;
    const kind: Light =
      now === 'day' ? 'sunrise' : before === 'day' ? 'sunset' : now === 'night' ? 'dusk' : 'dawn';
    return { at: from, kind };
  });
}

function tideMarks({ turns, works, from, until }: Strip): Mark[] {
  return [
    ...turns.map(({ at, height, high }): Mark => ({ at, height, kind: high ? 'high' : 'low' })),
    // At the edge of what is drawn nothing begins or ends.
    ...works.flatMap((span): Mark[] => [
      ...(span.from > from ? [{ at: span.from, kind: 'works' as const }] : []),
      ...(span.until < until ? [{ at: span.until, kind: 'works-no-more' as const }] : []),
    ]),
  ];
}

function planOf(schedule: Schedule | undefined): Mark[] {
  if (!schedule) return [];
  const { leave, legs, turnBack, home, overdue } = schedule;
  const once = (at: number | undefined, kind: Plan): Mark[] => (at === undefined ? [] : [{ at, kind }]);
  return [
    ...once(leave, 'leave'),
    ...legs.slice(0, -1).map(({ arrives, to }): Mark => ({ at: arrives, kind: 'reach', place: to })),
    ...once(turnBack, 'turn-back'),
    ...once(home, 'home'),
    ...once(overdue, 'overdue'),
  ];
}
