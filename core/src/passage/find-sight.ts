import { metresAt, spotOf } from '../chart';
import { civilDate, plusDays, sunAt, wallToInstant } from '../earth';
import type { Finding, Phrase, Place, Schedule, Trip } from '../model';
import { phrase } from '../say';
import { MS } from '../units';
import { goTo } from '../verdict';
import { isPoor, weatherAt, type SortedForecast } from '../water';
import keepOff from '../../data/passage/keep-off.json';
import { PASSAGE } from './limits';
import { legGone, type Reach } from './way';

/** What is looked for along a way: who else goes there, and where the sun stands. */
export interface OnSight {
  trip: Trip;
  launch?: Place;
  forecast?: SortedForecast;
  places: Place[];
  /** The zone of the water, in which hours of traffic are told. */
  zone?: string;
}

/** Traffic that the way meets, and the sun that one looks into, for the hours of a schedule. */
export function sightFindings(on: OnSight, reaches: Reach[]): (schedule: Schedule) => Finding[] {
  const sun = sunFinder(on.launch);
  const crossings = crossingsOf(on, reaches);
  const busyOn = busyFinder(on.zone);
  return (schedule) => [
    ...trafficFindings(on, crossings, schedule, busyOn, sun),
    ...glareFindings(on, reaches, schedule, sun),
  ];
}

type Sun = (at: number) => { altitude: number; azimuth: number } | undefined;
const GRID = 10 * MS.minute;

/** Where the sun stands over the launch, on a grid of ten minutes: over a day's way it is the same to a fifth of a degree. */
function sunFinder(launch: Place | undefined): Sun {
  const known = new Map<number, ReturnType<typeof sunAt>>();
  return (at) => {
    if (!launch) return undefined;
    const key = Math.round(at / GRID) * GRID;
    const found = known.get(key) ?? sunAt(launch.position, key);
    known.set(key, found);
    return found;
  };
}

interface Crossing {
  place: Place;
  reach: Reach;
  leg: number;
  /** Shares of the leg. */
  from: number;
  until: number;
}

/** Where legs lie within the reach of what others use: channels, ferries, races. */
function crossingsOf({ places, trip }: OnSight, reaches: Reach[]): Crossing[] {
  const busy = places.filter(
    ({ kind, hazard, water }) =>
      kind === 'hazard' && hazard === 'traffic' && (water === undefined || water === trip.water),
  );
  return busy.flatMap((place) =>
    reaches.flatMap((reach, leg) => {
      const within = withinReach(reach, place, place.reach ?? keepOff.metres.traffic);
      return within ? [{ place, reach, leg, ...within }] : [];
    }),
  );
}

/**
 * The part of a leg that lies within so many metres of a place, as shares of it: where a line meets a circle (closed form).
 * @returns undefined where it passes clear
 */
export function withinReach(
  { from, to }: Pick<Reach, 'from' | 'to'>,
  place: Pick<Place, 'position'>,
  metres: number,
): { from: number; until: number } | undefined {
  const origin = from.position.lon;
  const [a, b, c] = [from, to, place].map(({ position }) => spotOf(position, origin));
  const radius = metres / metresAt(place.position.lat);
  const [dx, dy, fx, fy] = [b.x - a.x, b.y - a.y, a.x - c.x, a.y - c.y];
  const long = dx * dx + dy * dy;
  if (long === 0) return undefined;
  const along = (fx * dx + fy * dy) / long;
  const root = along * along - (fx * fx + fy * fy - radius * radius) / long;
  if (root <= 0) return undefined;
  const [enters, leaves] = [Math.max(0, -along - Math.sqrt(root)), Math.min(1, -along + Math.sqrt(root))];
  return enters < leaves ? { from: enters, until: leaves } : undefined;
}

type Span = { from: number; until: number };

/** When a place is busy, around a span: undefined where nobody said hours or a day. */
export function busyFinder(zone: string | undefined): (place: Place, span: Span) => boolean | undefined {
  const known = new Map<string, number | undefined>();
  const instant = (date: string, time: string): number | undefined => {
    const key = `${date} ${time}`;
    if (!known.has(key)) {
      const wall = wallToInstant(date, time, zone ?? 'UTC');
      known.set(key, 'gap' in wall ? undefined : wall.at);
    }
    return known.get(key);
  };
  return ({ busy, basis }, span) => {
    if (
      !busy ||
      zone === undefined ||
      (busy.from === undefined && busy.until === undefined && busy.on === undefined)
    )
      return undefined;
    const { from = '00:00', until = '00:00' } = busy;
    const days = busy.on
      ? [busy.on]
      : [plusDays(civilDate(span.from, zone), -1), civilDate(span.from, zone), civilDate(span.until, zone)];
    const met = days.some((date) => {
      const begins = instant(date, from),
        ends = instant(until <= from ? plusDays(date, 1) : date, until);
      // An hour that the clocks leave out: it may be then.
      return begins === undefined || ends === undefined || (begins < span.until && span.from < ends);
    });
    const guess = Object.keys(basis ?? {}).some((pointer) => pointer.startsWith('/busy'));
    return met ? true : guess ? undefined : false;
  };
}

const SUNSET = PASSAGE.limit('sun-set');

function trafficFindings(
  on: OnSight,
  crossings: Crossing[],
  schedule: Schedule,
  busyOn: ReturnType<typeof busyFinder>,
  sun: Sun,
): Finding[] {
  const { forecast } = on;
  return crossings.flatMap((crossing): Finding[] => {
    const leg = legGone(schedule, crossing.leg);
    if (!leg) return [];
    const lasts = leg.arrives - leg.departs;
    const span = { from: leg.departs + crossing.from * lasts, until: leg.departs + crossing.until * lasts };
    const middle = (span.from + span.until) / 2;
    const seen = forecast && weatherAt(forecast, middle, crossing.place.position)?.visibility;
    const dark = (sun(middle)?.altitude ?? 0) < SUNSET;
    const busy = busyOn(crossing.place, span);
    const as = busy === false ? 'quiet' : dark || isPoor(seen) ? 'unseen' : busy ? 'busy' : 'cross';
    const { place, reach } = crossing;
    const what = phrase(`traffic.${place.busy?.what ?? 'ships'}`);
    const because: Phrase[] = [
      phrase(`way.traffic.${as === 'quiet' ? 'quiet' : 'at'}`, {
        from: reach.from.name,
        to: reach.to.name,
        place: place.name,
        what,
        begins: span.from,
        ends: span.until,
      }),
      ...(as === 'unseen' ? [phrase(dark ? 'way.traffic.dark' : 'way.traffic.fog')] : []),
      ...(as === 'busy' ? [phrase('way.traffic.busy')] : []),
      ...(as === 'quiet' ? [] : [phrase('way.traffic.how')]),
    ];
    return [
      PASSAGE.finding('way/traffic', as, `${place.id}-${reach.from.id}-${reach.to.id}`, {
        title: phrase(as === 'quiet' ? 'way.traffic.quiet.title' : 'way.traffic.title', {
          place: place.name,
        }),
        because,
        mend:
          as === 'cross'
            ? { label: phrase('way.traffic.hours'), ...goTo.place(place.id, '/busy') }
            : { label: phrase('light.mend'), ...goTo.trip(on.trip.id, '/leave/time') },
      }),
    ];
  });
}

const HIGH = PASSAGE.limit('glare-high'),
  ASIDE = PASSAGE.limit('glare-aside');
const ROUND = 360,
  HALF = 180;

interface Glare extends Span {
  reach: Reach;
  altitude: number;
}

/** Legs on which one looks into a low sun, if the sky is clear; and those on which who comes towards one does. */
function glareFindings({ trip }: OnSight, reaches: Reach[], schedule: Schedule, sun: Sun): Finding[] {
  const [ahead, astern] = [0, HALF].map((side) =>
    reaches.flatMap((reach, n) => glareOn(reach, legGone(schedule, n), sun, side)),
  );
  if (ahead.length === 0 && astern.length === 0) return [];
  const say =
    (word: 'way.glare.ahead' | 'way.glare.astern') =>
    ({ reach, from, until, altitude }: Glare) =>
      phrase(word, {
        from: reach.from.name,
        to: reach.to.name,
        begins: from,
        ends: until,
        height: Math.round(altitude),
      });
  return [
    PASSAGE.finding('way/glare', ahead.length > 0 ? 'ahead' : 'astern', trip.id, {
      title: phrase(ahead.length > 0 ? 'way.glare.title' : 'way.glare.astern.title'),
      because: [...ahead.map(say('way.glare.ahead')), ...astern.map(say('way.glare.astern'))],
      assumed: [phrase('way.glare.clear')],
    }),
  ];
}

function glareOn(reach: Reach, leg: Schedule['legs'][number] | undefined, sun: Sun, side: number): Glare[] {
  if (!leg) return [];
  const first = Math.ceil(leg.departs / GRID) * GRID;
  const met: { at: number; altitude: number }[] = [];
  for (let at = first; at <= leg.arrives; at += GRID) {
    const stands = sun(at);
    if (!stands || stands.altitude < SUNSET || stands.altitude > HIGH) continue;
    const off = ((stands.azimuth - leg.bearing - side + ROUND + HALF) % ROUND) - HALF;
    if (Math.abs(off) <= ASIDE) met.push({ at, altitude: Math.max(0, stands.altitude) });
  }
  const [begin, end] = [met[0], met.at(-1)];
  if (!begin || !end || end.at === begin.at) return [];
  return [{ reach, from: begin.at, until: end.at, altitude: (begin.altitude + end.altitude) / 2 }];
}
