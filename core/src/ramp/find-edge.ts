import type { Finding, Place, Schedule } from '../model';
import { CHART_DATUMS } from '../model/lists';
import { phrase } from '../say';
import { goTo, guessed } from '../verdict';
import { farStation, type Tide } from '../water';
import type { OnLaunch } from './findings';
import { runOut } from './geometry';
import { RAMP } from './limits';

const STEEP = RAMP.limit('beach-steep'),
  FLAT = RAMP.limit('beach-flat');
/** A change of the tide that moves no edge worth telling, m. */
const LITTLE = RAMP.limit('edge-little');
const LONG = RAMP.at('ramp/edge', 'long');

/**
 * How far the edge of the water runs out or comes up on a beach: what there is to carry on coming back, and where the car must not
 * stand until one is overdue.
 */
export function edgeFindings({ trip, launch, back, tide }: OnLaunch, schedule: Schedule): Finding[] {
  const { leave, home } = schedule;
  if (!launch || !tide || home === undefined || !ON_FOOT.has(launch.launchFrom ?? '')) return [];
  if (!CHART_DATUMS.has(tide.datum) || farStation(tide, launch)) return [];
  const left = tide.heightAt(leave);
  if (left === undefined) return [];
  const then = back?.id === launch.id ? tide.heightAt(home) : undefined;
  const high = highest(tide, leave, schedule.overdue ?? home);
  return [
    ...(then !== undefined && left - then >= LITTLE
      ? [carryFinding(trip.id, launch, home, left - then)]
      : []),
    ...(high && high.height - left >= LITTLE
      ? [carFinding(trip.id, launch, high.at, high.height - left)]
      : []),
  ];
}
const ON_FOOT: ReadonlySet<string> = new Set(['beach', 'bank']);

function carryFinding(trip: string, launch: Place, at: number, by: number): Finding {
  const { said, far, open } = moved('edge.lower', launch, at, by);
  return RAMP.finding('ramp/edge', open ? 'open' : far >= LONG ? 'long' : 'short', trip, {
    title: phrase(far >= LONG && !open ? 'edge.lower.title' : 'edge.back.title'),
    because: [said, ...(launch.surface === 'mud' ? [phrase('edge.mud')] : [])],
    ...(open ? { mend: toSlope(launch) } : {}),
  });
}

function carFinding(trip: string, launch: Place, at: number, by: number): Finding {
  const { said, open } = moved('edge.car', launch, at, by);
  return RAMP.finding('ramp/car', open ? 'open' : 'above', trip, {
    title: phrase('edge.car.title'),
    because: [said],
    assumed: [phrase('edge.over')],
    ...(open ? { mend: toSlope(launch) } : {}),
  });
}

const toSlope = ({ id }: Place) => ({ label: phrase('edge.slope'), ...goTo.place(id, '/slope') });

/** How far the edge moves by a change of height; between two slopes where that of the place was not said. */
function moved(word: 'edge.lower' | 'edge.car', { slope, ...launch }: Place, at: number, by: number) {
  if (slope !== undefined && !guessed(launch, '/slope')) {
    const far = runOut(by, slope);
    return { said: phrase(word, { at, by, far }), far, open: false };
  }
  const [least, most] = [runOut(by, STEEP), runOut(by, FLAT)];
  return { said: phrase(`${word}.guess`, { at, by, least, most }), far: most, open: true };
}

/** The highest water within a span (epoch ms), and when; undefined where a part of it is not known. */
export function highest(tide: Tide, from: number, until: number): { at: number; height: number } | undefined {
  const ends = [from, until].flatMap((at) => {
    const height = tide.heightAt(at);
    return height === undefined ? [] : [{ at, height }];
  });
  if (ends.length < 2) return undefined;
  const turns = tide.extremes(from, until).filter(({ at }) => at >= from && at <= until);
  return [...ends, ...turns].reduce((top, each) => (each.height > top.height ? each : top));
}
