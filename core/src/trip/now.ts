import { coldNow } from '../body';
import { FLOODING, holesOf, hullOf, orifice } from '../boat';
import { isOpen } from '../floatplan';
import { skyAt, sunAfter, type LatLon } from '../earth';
import type { Assessment, NowId, Phrase, PlanView } from '../model';
import { ARRIVED, endsOwn, landingsFrom, plannedNow } from '../passage';
import { phrase } from '../say';
import { MINUTE, MS } from '../units';
import { heightsAt, leansOnForecast, seriesOf, weatherAt } from '../water';
import { contextOf, type AssessInput, type Context } from './context';
import { TRIP } from './limits';

/** What is told of here and now on a card of trouble. */
export interface Asking {
  input: AssessInput;
  assessment: Assessment;
  /** Epoch ms. */
  now: number;
  /** Where this device says it is; absent: where the plan has the boat. */
  position?: LatLon;
  plan?: Pick<PlanView, 'times' | 'state' | 'contacts' | 'channel'>;
  /** Names of what can be seen, heard or received, as they are packed. */
  signals: readonly string[];
}

/** Its head, in metres, for which the flow through an opening is told: as deep as a small boat draws. */
const HEAD = TRIP.limit('opening-head');
/** Of a cubic metre. */
const LITRES = 1000;
/** Hours ahead in which thunder counts, and after which the height of tide is told again. */
const AHEAD = TRIP.limit('thunder-ahead') * MS.second,
  LATER = TRIP.limit('tide-later') * MS.second;

/**
 * Facts of here and now, each as sentences; what is not known says so. Asked one by one, so that the first words of a card
 * wait for none of them.
 */
export function nowOf(asking: Asking): (id: NowId) => Phrase[] {
  const context = contextOf(asking.input);
  const { schedule } = asking.assessment;
  const { trip, shed } = context;
  const here =
    asking.position ??
    (schedule && trip.launch
      ? plannedNow(schedule, trip.launch, shed.places, asking.now)
      : context.launch?.position);
  const told: Record<NowId, () => Phrase[]> = {
    right: () => [],
    people: () => people(context),
    cold: () => cold(context, asking.now, here),
    wind: () => wind(context, asking.now, here),
    tide: () => tide(context, asking.now),
    thunder: () => thunder(context, asking.now),
    light: () => light(here, asking.now),
    landing: () => landing(context, here, asking),
    openings: () => openings(context),
    swamped: () => swampedNow(asking.assessment),
    signals: () => [
      asking.signals.length > 0
        ? phrase('now.signals', { signals: [...asking.signals] })
        : phrase('now.signals.none'),
    ],
    watch: () => watch(asking),
  };
  return (id) => told[id]();
}

function people({ people: all, trip }: Context): Phrase[] {
  if (all.length === 0) return [phrase('now.people.none')];
  const weak = all.filter((p) => p.swimming === 'none' || p.swimming === 'weak').map((p) => p.name);
  const bare = trip.crew.flatMap((c) =>
    c.wearsJacket === false ? all.filter((p) => p.id === c.person).map((p) => p.name) : [],
  );
  return [
    phrase('now.people', { n: all.length, who: all.map((p) => p.name) }),
    ...(weak.length > 0 ? [phrase('now.people.weak', { who: weak })] : []),
    ...(bare.length > 0 ? [phrase('now.people.bare', { who: bare })] : []),
  ];
}

const weatherNow = ({ forecast }: Context, now: number, here?: LatLon) =>
  forecast && weatherAt(forecast, now, here);

function cold(context: Context, now: number, here: LatLon | undefined): Phrase[] {
  const water = weatherNow(context, now, here)?.water;
  if (water === undefined) return [phrase('now.cold.none')];
  return coldNow(water).map((said) => leansOnForecast(context.forecast, said));
}

const OPPOSITE = 180,
  ROUND = 360;

function wind(context: Context, now: number, here: LatLon | undefined): Phrase[] {
  const told = weatherNow(context, now, here);
  if (!told) return [phrase('now.wind.none')];
  const { wind: speed, gust, from } = told;
  return [
    leansOnForecast(
      context.forecast,
      phrase('now.wind', { wind: speed, gust, from, to: (from + OPPOSITE) % ROUND }),
    ),
  ];
}

function tide({ tide: station, water }: Context, now: number): Phrase[] {
  if (!station) return [phrase(water ? 'now.tide.none' : 'now.water.none')];
  const [height, later] = [station.heightAt(now), station.heightAt(now + LATER)];
  if (height === undefined || later === undefined) return [phrase('now.tide.gap')];
  const turn = station.extremes(now, now + MS.day).find((each) => each.at > now);
  const way = later > height ? 'now.tide.rises' : 'now.tide.falls';
  return [
    phrase(way, { height, later }),
    ...(turn
      ? [phrase(turn.high ? 'now.tide.high' : 'now.tide.low', { at: turn.at, height: turn.height })]
      : []),
  ];
}

function thunder({ forecast }: Context, now: number): Phrase[] {
  const all = forecast ? seriesOf(forecast).flatMap(({ hours: told }) => told) : [];
  const hours = all.filter((h) => h.ms >= now - MS.hour && h.ms <= now + AHEAD);
  const first = hours.filter((h) => h.thunder).sort((a, b) => a.ms - b.ms)[0];
  if (first) return [leansOnForecast(forecast, phrase('now.thunder', { at: first.ms }))];
  return [phrase(hours.some((h) => h.thunder === false) ? 'now.thunder.quiet' : 'now.thunder.none')];
}

function light(here: LatLon | undefined, now: number): Phrase[] {
  if (!here) return [phrase('now.light.none')];
  const dark = skyAt(here, now) !== 'day';
  const next = sunAfter(here, now, dark ? 'sunrise' : 'sunset');
  if (next === undefined) return [phrase(dark ? 'now.light.polar-night' : 'now.light.polar-day')];
  return [phrase(dark ? 'now.light.dark' : 'now.light', { at: next, for: (next - now) / MS.second })];
}

function landing(
  { trip, boat, shed, water, tide: station }: Context,
  here: LatLon | undefined,
  { now, position }: Asking,
) {
  if (!here) return [phrase(trip.launch === undefined ? 'now.landing.nowhere' : 'now.landing.late')];
  const slow = boat?.propulsion[0]?.slow ?? boat?.propulsion[0]?.cruise;
  const [best] = landingsFrom(here, shed.places, {
    now,
    own: endsOwn(trip),
    ...(water ? { water: water.id } : {}),
    ...(slow ? { speed: slow } : {}),
    tideAt: heightsAt(station),
  });
  if (!best) return [phrase('now.landing.none')];
  const { place, metres, bearing, seconds, doubts } = best;
  const way = { place: place.name, metres, bearing };
  return [
    metres < ARRIVED
      ? phrase('now.landing.here', { place: place.name })
      : seconds === undefined
        ? phrase('now.landing', way)
        : phrase('now.landing.for', { ...way, for: seconds }),
    ...(doubts.length > 0 ? [phrase('now.landing.doubts', { doubts })] : []),
    phrase(position ? 'now.landing.device' : 'now.landing.plan'),
  ];
}

/** Her own openings, the one that lets in most first. */
function openings({ boat }: Context): Phrase[] {
  const hull = boat && hullOf(boat);
  if (!boat || !hull || boat.openings.length === 0) return [phrase('now.openings.none')];
  const flow = (diameter: number) => LITRES * MINUTE * orifice(diameter, HEAD, FLOODING.discharge.value);
  return holesOf(boat, hull)
    .map((hole) => ({ hole, each: flow(hole.diameter) }))
    .sort((a, b) => b.each - a.each)
    .map(({ hole, each }) =>
      phrase(hole.guessed ? 'now.opening.guess' : 'now.opening', {
        name: hole.name,
        litres: each,
        head: HEAD,
      }),
    );
}

/** What the trip's own finding says of her when she is full: the two must agree. */
function swampedNow({ findings }: Assessment): Phrase[] {
  const found = findings.find((f) => f.id.startsWith('lie/swamped/'));
  return found ? found.because : [phrase('swamped.unknown.why')];
}

/** Who acts, and when: only who accepted is counted on, and a machine that reaches nobody says so. */
function watch({ plan, now }: Asking): Phrase[] {
  const overdue = plan?.times.overdue;
  if (!plan || overdue === undefined || !isOpen(plan.state)) return [phrase('now.watch.none')];
  const who = plan.contacts.filter((c) => c.accepted && !c.declined).map((c) => c.name);
  const alone = plan.channel === undefined ? [] : [phrase('now.watch.no-channel')];
  if (who.length === 0) return [phrase('now.watch.nobody', { overdue }), ...alone];
  return [phrase(overdue > now ? 'now.watch' : 'now.watch.late', { who, overdue }), ...alone];
}
