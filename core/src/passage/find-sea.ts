import { depthsOf, shoreOf, type Shore } from '../chart';
import { partWay, type LatLon } from '../earth';
import { drives } from '../boat';
import type { Boat, Finding, Phrase, Place, Schedule, Trip, Water } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { goTo, leaning, leanOnPace, type Pace } from '../verdict';
import {
  fetchesAt,
  heightsAt,
  leansOnForecast,
  onStream,
  seaOf,
  weatherAt,
  worstWithin,
  type Fetch,
  type SeaBand,
  type SortedForecast,
  type Stream,
  type Tide,
  type Weather,
} from '../water';
import { PASSAGE } from './limits';
import { legGone, type Reach } from './way';

/** What waves and wind over a way are looked for with. */
export interface OnSea {
  trip: Trip;
  boat?: Boat;
  water?: Water;
  tide?: Tide;
  stream?: Stream;
  forecast?: SortedForecast;
  speed?: Pace;
  halts: (Place | undefined)[];
}

/** Where on a leg it is looked, as shares of it, and when during a halt. */
const SHARES = [0.2, 0.5, 0.8];

/** A spot of the way, looked at for every departure: what of it does not turn with the hour is reckoned once. */
interface Spot {
  /** In words, as far as it begins a sentence. */
  where: Phrase;
  position: LatLon;
  /** The place whose tide is asked. */
  place: Place;
  /** When one is there, epoch ms. */
  when: (schedule: Schedule) => number | undefined;
  fetch: (from: number) => Fetch;
  depth: number | undefined;
}

/** A spot at its hour. */
interface Met extends Spot {
  at: number;
  weather: Weather;
}

/**
 * Waves along the way, wind off the land and onto it, for the hours in which one is there. Fetches are kept from one departure to
 * the next.
 */
export function seaFindings(on: OnSea, reaches: Reach[]): (schedule: Schedule) => Finding[] {
  const { water, forecast, tide } = on;
  if (!forecast || reaches.length === 0) return () => [];
  const shore = shoreOf(water?.chart);
  const spots = spotsOf(water, shore, reaches, on.halts);
  const heightAt = heightsAt(tide);
  return (schedule) => {
    const met = spots.flatMap((spot) => metAt(spot, schedule, forecast));
    return [
      ...(forecastWaves(on, schedule, forecast) ?? raisedWaves(on, met, heightAt)),
      ...againstFindings(on, met, heightAt),
      ...(shore ? [...offshoreFindings(on, met, shore), ...leeFindings(on, met, shore)] : []),
    ];
  };
}

function spotsOf(
  water: Water | undefined,
  shore: Shore | undefined,
  reaches: Reach[],
  halts: (Place | undefined)[],
): Spot[] {
  const depths = depthsOf(water?.chart);
  const spot = (position: LatLon, more: Pick<Spot, 'where' | 'place' | 'when'>): Spot => ({
    ...more,
    position,
    fetch: shore ? fetchesAt(shore, position) : () => NOWHERE,
    depth: depths?.at(position),
  });
  const onLegs = reaches.flatMap(({ from, to }, n) =>
    SHARES.map((share) =>
      spot(partWay(from.position, to.position, share), {
        where: phrase('sea.leg', { from: from.name, to: to.name }),
        place: to,
        when: (schedule) => {
          const leg = legGone(schedule, n);
          return leg && leg.departs + share * (leg.arrives - leg.departs);
        },
      }),
    ),
  );
  const atHalts = halts.flatMap((place, n) =>
    place
      ? SHARES.map((share) =>
          spot(place.position, {
            where: phrase('sea.halt', { place: place.name }),
            place,
            when: ({ halts: stays }) => {
              const stay = stays[n];
              // Where one only passes, the legs have told it.
              return stay && stay.until > stay.from
                ? stay.from + share * (stay.until - stay.from)
                : undefined;
            },
          }),
        )
      : [],
  );
  // Where the sketch has land no fetch can be told.
  return [...onLegs, ...atHalts].filter(({ position }) => shore?.groundAt(position) !== 'land');
}
const NOWHERE: Fetch = { metres: 0, open: true };

function metAt(spot: Spot, schedule: Schedule, forecast: SortedForecast): Met[] {
  const at = spot.when(schedule);
  const weather = at === undefined ? undefined : weatherAt(forecast, at, spot.position);
  return at !== undefined && weather ? [{ ...spot, at, weather }] : [];
}

const toTime = (trip: Trip) => ({ label: phrase('light.mend'), ...goTo.trip(trip.id, '/leave/time') });

/** As the wind raises them over the fetch, as far as a shore is drawn. */
function raisedWaves(
  on: OnSea,
  met: Met[],
  heightAt: (at: number, place: Place) => number | undefined,
): Finding[] {
  const closed = met.filter(({ fetch, weather }) => !fetch(weather.from).open);
  const open = met.filter(({ fetch, weather }) => fetch(weather.from).open);
  const seas = closed.map((one) => ({ one, sea: seaAt(one, heightAt) }));
  const [worst] = seas.sort((a, b) => b.sea.height[1] - a.sea.height[1]);
  return [
    ...(worst ? [raisedFinding(on, worst.one, worst.sea)] : []),
    ...(open.length > 0 && on.water?.chart ? [openFinding(on, open)] : []),
  ];
}

function seaAt(
  { fetch, weather, depth, at, place }: Met,
  heightAt: (at: number, place: Place) => number | undefined,
): SeaBand {
  const tide = heightAt(at, place);
  const water = depth === undefined || tide === undefined ? undefined : Math.max(0.1, depth + tide);
  return seaOf(weather.wind, fetch(weather.from).metres, water);
}

/** As a forecast names them, where it does for every hour from leaving until home; over a limit, for whichever hour it is. */
function forecastWaves(
  on: OnSea,
  { leave, home = leave }: Schedule,
  forecast: SortedForecast,
): Finding[] | undefined {
  const { trip } = on;
  const worst = worstWithin(forecast, leave, home);
  const highest = worst?.highest;
  const most = trip.limits.waves;
  const waves = highest?.waves;
  if (!worst || !highest || waves === undefined) return undefined;
  const over = most !== undefined && asPrinted(waves, 'height') > asPrinted(most, 'height');
  if (!worst.whole.waves && !over) return undefined;
  const values = { waves, at: highest.ms, limit: most ?? 0 };
  if (most === undefined) {
    const because = [leansOnForecast(forecast, phrase('sea.forecast', values))];
    return [PASSAGE.finding('sea/waves', 'known', trip.id, { title: phrase('sea.waves.title'), because })];
  }
  if (over) {
    const because = [leansOnForecast(forecast, phrase('sea.forecast.over', values))];
    const title = phrase('sea.over.title');
    return [PASSAGE.finding('sea/waves', 'forecast-over', trip.id, { title, because, mend: toTime(trip) })];
  }
  const because = [leansOnForecast(forecast, phrase('sea.forecast.within', values))];
  const within = PASSAGE.finding('sea/waves', 'within', trip.id, {
    title: phrase('sea.within.title'),
    because,
  });
  return [forecast?.invented ? leaning(within, phrase('weather.show')) : leanOnPace(on, within)];
}

/** A band of several methods: held against a limit at its upper end, and never called within it. */
function raisedFinding({ trip, forecast }: OnSea, met: Met, sea: SeaBand): Finding {
  const most = trip.limits.waves;
  const [low, high] = sea.height;
  const { metres } = met.fetch(met.weather.from);
  const said = phrase('sea.raised', {
    where: met.where,
    at: met.at,
    low,
    high,
    short: Math.round(sea.period[0] * 10) / 10,
    long: Math.round(sea.period[1] * 10) / 10,
    wind: met.weather.wind,
    fetch: metres,
    bearing: Math.round(met.weather.from),
  });
  const over = most !== undefined && asPrinted(high, 'height') > asPrinted(most, 'height');
  const surely = over && asPrinted(low, 'height') > asPrinted(most, 'height');
  const because: Phrase[] = [
    leansOnForecast(forecast, said),
    ...(over ? [phrase('sea.limit', { limit: most })] : []),
  ];
  return PASSAGE.finding('sea/waves', surely ? 'over' : over ? 'maybe' : 'known', trip.id, {
    title: phrase(surely ? 'sea.over.title' : over ? 'sea.maybe.title' : 'sea.waves.title'),
    because,
    assumed: [phrase('sea.methods'), ...(met.depth === undefined ? [phrase('sea.deep')] : [])],
    ...(over ? { mend: toTime(trip) } : {}),
  });
}

const WIND = PASSAGE.limit('against-wind'),
  STREAM = PASSAGE.limit('against-stream');
const STEEP = PASSAGE.at('sea/against', 'steep'),
  SOME = PASSAGE.at('sea/against', 'some');
const USUAL_PERIOD = PASSAGE.limit('usual-period');

/** Where wind stands against the stream: how many times as steep that makes its waves. */
function againstFindings(
  { trip, stream, forecast }: OnSea,
  met: Met[],
  heightAt: (at: number, place: Place) => number | undefined,
): Finding[] {
  if (!stream) return [];
  const against = met.flatMap((one) => {
    const flow = stream.at(one.at);
    if (!flow || flow.speed < STREAM || one.weather.wind < WIND) return [];
    // Waves go where the wind goes; a stream towards where it comes from stands against them.
    const along = -flow.speed * Math.cos(((flow.direction - one.weather.from) * Math.PI) / 180);
    if (along >= 0) return [];
    const { open } = one.fetch(one.weather.from);
    const period = open ? USUAL_PERIOD : middle(seaAt(one, heightAt).period);
    return [{ one, flow, times: onStream(period, along)?.steepness ?? Infinity }];
  });
  const [worst] = against.sort((a, b) => b.times - a.times);
  if (!worst || worst.times < SOME) return [];
  const { one, flow, times } = worst;
  const values = { where: one.where, at: one.at, wind: one.weather.wind, stream: flow.speed };
  const said = Number.isFinite(times)
    ? phrase('sea.against', { ...values, times })
    : phrase('sea.against.stops', values);
  return [
    PASSAGE.finding('sea/against', times >= STEEP ? 'steep' : 'some', trip.id, {
      title: phrase('sea.against.title'),
      because: [leansOnForecast(forecast, said), phrase('sea.against.why')],
      assumed: [phrase('at.stream.one')],
      mend: toTime(trip),
    }),
  ];
}
const middle = ([low, high]: [number, number]) => (low + high) / 2;

function openFinding({ trip }: OnSea, open: Met[]): Finding {
  const [first] = open;
  return PASSAGE.finding('sea/open', 'open', trip.id, {
    title: phrase('sea.open.title'),
    because: [
      phrase('sea.open', { where: first.where, at: first.at, bearing: Math.round(first.weather.from) }),
    ],
  });
}

const FAR = PASSAGE.limit('offshore-far'),
  NEAR = PASSAGE.limit('lee-near');
const FRESH = PASSAGE.at('sea/offshore', 'fresh'),
  LIGHT = PASSAGE.at('sea/offshore', 'light'),
  LEE = PASSAGE.at('sea/lee', 'near');

/** A wind off the land lets the water lie flat at the beach and carries one out who only paddles. */
function offshoreFindings({ trip, boat, forecast }: OnSea, met: Met[], shore: Shore): Finding[] {
  if (!boat || drives(boat).human !== true) return [];
  const off = met.filter(({ position, weather }) => {
    if (weather.wind < LIGHT) return false;
    const nearest = shore.nearest(position);
    const upwind = nearest && Math.cos(((nearest.bearing - weather.from) * Math.PI) / 180) > HALF;
    return upwind === true && shore.reach(position, (weather.from + 180) % 360, FAR) === undefined;
  });
  const [worst] = off.sort((a, b) => b.weather.wind - a.weather.wind);
  if (!worst) return [];
  const as = worst.weather.wind >= FRESH ? 'fresh' : 'light';
  const said = phrase('sea.offshore', {
    where: worst.where,
    at: worst.at,
    wind: worst.weather.wind,
    bearing: Math.round(worst.weather.from),
  });
  return [
    PASSAGE.finding('sea/offshore', as, trip.id, {
      title: phrase('sea.offshore.title'),
      because: [leansOnForecast(forecast, said), phrase('sea.offshore.why')],
      mend: toTime(trip),
    }),
  ];
}
/** Within sixty degrees of it. */
const HALF = 0.5;

/** A shore close to leeward, in a wind that sets one onto it. */
function leeFindings({ trip, forecast }: OnSea, met: Met[], shore: Shore): Finding[] {
  const lee = met.flatMap((one) => {
    if (one.weather.wind < LEE) return [];
    const metres = shore.reach(one.position, (one.weather.from + 180) % 360, NEAR);
    return metres === undefined ? [] : [{ one, metres }];
  });
  const [nearest] = lee.sort((a, b) => a.metres - b.metres);
  if (!nearest) return [];
  const { one, metres } = nearest;
  const said = phrase('sea.lee', { where: one.where, at: one.at, wind: one.weather.wind, metres });
  return [
    PASSAGE.finding('sea/lee', 'near', trip.id, {
      title: phrase('sea.lee.title'),
      because: [leansOnForecast(forecast, said)],
    }),
  ];
}
