import mishaps from '../../data/whatif/mishaps.json';
import { hullSpeed, isMotor } from '../boat';
import { distance, partWay, skyAt, type LatLon } from '../earth';
import { flowAt } from '../hold/stay';
import type { Phrase, Place, Schedule, Trip } from '../model';
import { endsOwn, isStuck, landingsFrom, overLand, reachesOf, routeOf, scheduleOf } from '../passage';
import { phrase, speak } from '../say';
import { HAVEN_WORDS } from '../say/words/haven';
import { contextOf, type AssessInput, type Context } from '../trip/context';
import { hereOf, wayBack } from '../trip/ways-back';
import { MS } from '../units';
import { heightsAt, weatherAt } from '../water';
import { fuelFor } from './fuel-left';
import { WHATIF } from './limits';

speak(HAVEN_WORDS);

/** What happened, as far as it bears on where to go. */
export type Mishap = 'water' | 'shut' | 'drive' | 'worn' | 'tow' | 'weather';
export const MISHAPS = mishaps.rows as { id: Mishap; home: 'nearest' | 'within'; motor: boolean }[];
/** How far off a boat in sight may be, m: what is offered. */
export const BOATS_OFF: readonly number[] = mishaps.boats;
const rowOf = (what: Mishap) => MISHAPS.find(({ id }) => id === what);

/** What is asked when it is live: these two, and a boat in sight where there is one. */
export interface Plight {
  what: Mishap;
  /** What she still makes through the water, m/s; absent: nobody said, and none is taken for it. */
  speed?: number;
  /** A boat in sight that could help, metres off. */
  boat?: number;
}

export interface Deciding {
  input: AssessInput;
  schedule: Schedule | undefined;
  /** Epoch ms. */
  now: number;
  here: LatLon;
}

/** One way out of it. */
export interface Way {
  to: 'boat' | 'shore' | 'behind' | 'home';
  place?: Place;
  /** By this way, round what is between where a way round is known. */
  metres: number;
  /** Degrees true, of the straight line. */
  bearing?: number;
  /** Absent where no speed was said, and where she makes no way against the stream. */
  seconds?: number;
  /** What speaks against it, or is not known about it. */
  doubts: Phrase[];
}

export interface Decision {
  /** Soonest first, those without a doubt before the others. */
  ways: Way[];
  /** Where to go; absent where nothing can be recommended, and then it is said why. */
  choose?: Way;
  because: Phrase[];
  /** What would change its mind. */
  changes: Phrase[];
}

const HOME_WITHIN = WHATIF.limit('home-within');

/**
 * A boat near by, the nearest shore that can be landed on, a beach behind, or home: by the time each takes at the speed that is still
 * left. While water may still come in only the nearest is recommended; home otherwise within limits that are data. A speed that
 * nobody said is asked for. Common practice, no source gives figures.
 */
export function havenOrHome(deciding: Deciding, plight: Plight): Decision {
  const context = contextOf(deciding.input);
  const { speed } = plight;
  const ways = waysFrom(deciding, context, plight).sort(sooner);
  if (speed === undefined) return { ways, because: [phrase('haven.ask-speed')], changes: [] };
  if (speed <= 0) return drifting(ways);
  return decided({ deciding, context, plight, speed, ways });
}

/** She goes nowhere: who could come is called, and she is held. */
function drifting(ways: Way[]): Decision {
  const boat = ways.find(({ to }) => to === 'boat');
  return {
    ways,
    ...(boat ? { choose: boat } : {}),
    because: [phrase(boat ? 'haven.drifts.boat' : 'haven.drifts')],
    changes: [phrase('haven.would.move')],
  };
}

interface Known {
  deciding: Deciding;
  context: Context;
  plight: Plight;
  speed: number;
  ways: Way[];
}

function decided(known: Known): Decision {
  const { ways, plight } = known;
  const near = ways.filter(({ to, seconds }) => to !== 'home' && seconds !== undefined);
  const nearest = near.find(({ doubts }) => doubts.length === 0) ?? near[0];
  const home = ways.find(({ to }) => to === 'home');
  const against = home ? againstHome(known, home) : [];
  const urgent = rowOf(plight.what)?.home === 'nearest';
  if (home && !urgent && against.length === 0)
    return { ways, choose: home, because: homeWhy(known, home), changes: backWhen(home, nearest) };
  const until = plight.what in UNTIL ? [phrase(UNTIL[plight.what as keyof typeof UNTIL])] : [];
  const conditions = home ? [...until, ...against] : [];
  const changes = conditions.length > 0 ? [phrase('haven.would', { conditions })] : [];
  if (!nearest) return { ways, because: [phrase('haven.nowhere')], changes };
  const because = [
    whyNearest(plight.what),
    ...(isHome(known.context.trip, nearest) ? [phrase('haven.same')] : []),
    ...(nearest.doubts.length > 0 ? [phrase('haven.doubts', { doubts: nearest.doubts })] : []),
    ...planing(known),
  ];
  return { ways, choose: nearest, because, changes };
}

const isHome = ({ launch, return: back }: Trip, { place }: Way): boolean =>
  place !== undefined && place.id === (back ?? launch);

/** What ends that only the nearest is recommended. */
const UNTIL = { water: 'haven.would.shut', weather: 'haven.would.clear' } as const;

const whyNearest = (what: Mishap): Phrase =>
  phrase(what === 'water' || what === 'weather' ? `haven.${what}.why` : 'haven.near.why');

/** What would have to be so before one goes home. */
function againstHome({ deciding, context, plight, speed }: Known, home: Way): Phrase[] {
  const { now, schedule, here } = deciding;
  const { seconds } = home;
  if (seconds === undefined) return [phrase('haven.would.way')];
  const fuel = rowOf(plight.what)?.motor ? fuelFor(context, schedule, now, { seconds, speed }) : undefined;
  const dark = home.place && skyAt(home.place.position, now + seconds * MS.second) !== 'day';
  return [
    ...(seconds > HOME_WITHIN ? [phrase('haven.would.time', { within: HOME_WITHIN, for: seconds })] : []),
    ...(fuel === 'short' || fuel === 'unknown' ? [phrase(`haven.would.fuel.${fuel}`)] : []),
    ...(dark ? [phrase('haven.would.light')] : []),
    ...weatherAgainst(context, { from: here, to: home.place?.position ?? here }, now, seconds),
    ...home.doubts.map((doubt) => phrase('haven.would.sure', { doubt })),
  ];
}

const EVERY = WHATIF.limit('weather-every');

/** A forecast that says nothing for those hours is no good one. */
function weatherAgainst(
  { forecast, blowsOver, trip }: Context,
  { from, to }: { from: LatLon; to: LatLon },
  now: number,
  seconds: number,
): Phrase[] {
  const looks = Math.ceil(seconds / EVERY);
  const hours = Array.from({ length: looks + 1 }, (_, i) => {
    const part = looks > 0 ? i / looks : 0;
    return forecast && weatherAt(forecast, now + part * seconds * MS.second, partWay(from, to, part));
  });
  if (hours.some((hour) => hour === undefined) || forecast?.invented) return [phrase('haven.would.forecast')];
  const { wind = Infinity, gust = Infinity } = blowsOver;
  const { waves = Infinity } = trip.limits;
  const bad = hours.some(
    (hour) =>
      hour?.thunder === true || (hour && (hour.wind > wind || hour.gust > gust || (hour.waves ?? 0) > waves)),
  );
  return bad ? [phrase('haven.would.weather')] : [];
}

const homeWhy = (known: Known, home: Way): Phrase[] => [
  phrase('haven.home.why', { for: home.seconds ?? 0, within: HOME_WITHIN }),
  ...planing(known),
];

/** At which one turns for the nearer landing after all. */
const backWhen = (home: Way, nearest: Way | undefined): Phrase[] => [
  phrase('haven.would.turn', { speed: home.metres / HOME_WITHIN }),
  ...(nearest?.place ? [phrase('haven.would.turn.to', { place: nearest.place.name })] : []),
];

/** A heavy hull that still planes may not plane again once she was slowed. */
function planing({ context: { boat }, plight: { what, speed = 0 } }: Known): Phrase[] {
  const length = boat?.length;
  const drive = boat?.propulsion[0]?.kind;
  const heavy = what === 'water' || what === 'shut' || what === 'tow';
  return heavy && length !== undefined && drive !== undefined && isMotor(drive) && speed > hullSpeed(length)
    ? [phrase('haven.planing')]
    : [];
}

function waysFrom(deciding: Deciding, context: Context, { speed, boat }: Plight): Way[] {
  const { here, now } = deciding;
  const from = hereOf(context, here);
  const { water, shed, tide } = context;
  const seeking = {
    now,
    own: endsOwn(context.trip),
    ...(water ? { water: water.id } : {}),
    ...(speed ? { speed } : {}),
  };
  const landings = landingsFrom(here, shed.places, { ...seeking, tideAt: heightsAt(tide) }).map(
    ({ place, metres, bearing, doubts }): Way => ({
      to: 'shore',
      place,
      metres,
      bearing,
      ...lasts(deciding, context, [from, place], speed),
      doubts: [
        ...doubts,
        ...(overLand(water, reachesOf([from, place])).length > 0 ? [phrase('haven.over-land')] : []),
      ],
    }),
  );
  const [shore] = [...landings].sort(sooner);
  const behind = behindOf(deciding, context, landings, shore);
  const home = homeOf(deciding, context, landings, speed);
  return [
    ...(boat === undefined ? [] : [nearBy(boat, speed)]),
    ...(shore ? [shore] : []),
    ...(behind ? [{ ...behind, to: 'behind' as const }] : []),
    // Where the nearest is home it stands once.
    ...(home && home.place?.id !== shore?.place?.id ? [home] : []),
  ];
}

/** The other boat may come as well, which makes it sooner. */
const nearBy = (metres: number, speed: number | undefined): Way => ({
  to: 'boat',
  metres,
  doubts: [],
  ...(speed ? { seconds: metres / speed } : {}),
});

/** The last place that one left, where it can be landed at and is not the nearest anyway. */
function behindOf(
  { schedule, now }: Deciding,
  { trip }: Context,
  landings: readonly Way[],
  shore: Way | undefined,
): Way | undefined {
  const left = [
    trip.launch,
    ...(schedule?.halts ?? []).filter(({ from }) => from <= now).map(({ place }) => place),
  ];
  const been = left.toReversed().flatMap((id) => landings.find(({ place }) => place?.id === id) ?? []);
  return been.find(
    ({ place }) => place?.id !== shore?.place?.id && place?.id !== (trip.return ?? trip.launch),
  );
}

function homeOf(
  deciding: Deciding,
  context: Context,
  landings: readonly Way[],
  speed: number | undefined,
): Way | undefined {
  const { input, schedule, here, now } = deciding;
  const way = wayBack({ ...input, now }, hereOf(input, here), schedule);
  if (!way) return undefined;
  const { back, metres, stops, by } = way;
  const straight = landings.find(({ place }) => place?.id === back.id);
  // What is no landing at that hour is dry, of another water, or a shore that is no help.
  const doubts = straight
    ? straight.doubts.filter(({ say }) => say !== phrase('haven.over-land').say)
    : [phrase('haven.no-landing')];
  return {
    to: 'home',
    place: back,
    metres,
    ...(by.length === 0 ? { bearing: distance(here, back.position).bearing } : {}),
    ...lasts(deciding, context, stops, speed),
    doubts: [...doubts, ...(way.overLand ? [phrase('haven.over-land')] : [])],
  };
}

/** How long a way takes in the stream of its hours; nothing where no speed was said, or the stream is as fast. */
function lasts(
  { now }: Deciding,
  { water, stream }: Context,
  stops: readonly Place[],
  speed: number | undefined,
): { seconds?: number } {
  if (!speed) return {};
  const points = stops.map(({ id, position }) => ({ id, position, minutes: 0 }));
  const timed = scheduleOf(routeOf(points, speed, 1), now, undefined, {
    streamAt: (at) => flowAt(water, stream, at),
  });
  return isStuck(timed) ? {} : { seconds: ((timed.home ?? now) - now) / MS.second };
}

/** Without a doubt first, then the soonest, then the nearest. */
const sooner = (a: Way, b: Way): number =>
  Math.sign(a.doubts.length) - Math.sign(b.doubts.length) ||
  (a.seconds ?? Infinity) - (b.seconds ?? Infinity) ||
  a.metres - b.metres;
