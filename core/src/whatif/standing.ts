import { afloat, FLOODING, holesOf, hullOf, leak, placed, spaceOf, type Hole, type Leak } from '../boat';
import type { Clothing } from '../body';
import { darkSpans, skyAt, sunAfter, type LatLon } from '../earth';
import type { OnHold } from '../hold/on-hold';
import { lyingOn } from '../hold/on-hold';
import type { Lying } from '../hold/held';
import { onBodies } from '../kit/on-body';
import { toSignal } from '../kit/to-signal';
import type { Piece } from '../kit';
import type { Assessment, Capability, Person, Schedule, Trip, Truth } from '../model';
import type { Band } from '../numeric';
import { aboardToRight, righting, type Righting } from '../recover';
import type { Signal } from '../signals';
import { prepare } from '../trip/assess';
import { contextOf, type AssessInput, type Context } from '../trip/context';
import { holdOf } from '../trip/on-hold';
import { MS } from '../units';
import { guessed } from '../verdict';
import { densityOf } from '../water';
import { WHATIF } from './limits';

/** Somebody of the crew as they would be in the water; the skipper drives, unless nobody is one. */
export interface Body {
  person: Person;
  /** Do they wear a jacket that counts, from launch to landing? */
  jacket: Truth;
  clothing?: Clothing;
  /** What is on this body and can be noticed. */
  signals: Signal[];
  /** Kill cord on while driving. */
  cord?: boolean;
  driver: boolean;
}

/** What no hour and no place changes: reckoned once for a trip, and asked of every moment. */
export interface Standing {
  input: AssessInput;
  context: Context;
  assessment: Assessment;
  /** A plan that was filed is taken to be filed anew with the hours of this trip. */
  refiled: boolean;
  bodies: Body[];
  /** Everything that comes along and can be noticed, in the boat and on bodies. */
  signals: Signal[];
  /** Is something that does this on a body or in reach of the seat? */
  has: (capability: Capability) => Truth;
  /** Names of what surely is, by any of these. */
  named: (capabilities: readonly Capability[]) => string[];
  righting?: Righting;
  hold: OnHold;
  lying: () => Lying | undefined;
  holes: Hole[];
  /** Seconds of light that are left at an instant; nought while it is dark, no end where the sun does not set. */
  light: (at: number, here: LatLon) => number;
  /** Until she is full through one of her openings with the waves of the day, seconds; no end: it never comes to that. */
  fills: (opening: number, sea: number) => Filling | undefined;
}

export interface Filling {
  hole: Hole;
  /** Seconds until a third of her is full, and until she is swamped or over. */
  third: Band;
  full: Band;
  end: Leak['end'];
  /** m³/s when it begins. */
  inflow: number;
}

const NEAR: ReadonlySet<string> = new Set(['on-body', 'in-reach']);

/** @param refiled a filed plan is taken to be filed anew with the hours of this trip */
export function standingOf(input: AssessInput, refiled = false): Standing {
  const prepared = prepare(input);
  const assessment = prepared.whole();
  const { kit } = prepared.match();
  const context = contextOf(input);
  const { boat, people, trip, shed } = context;
  const hold = holdOf(context);
  const turned =
    boat && people.length > 0
      ? righting(boat, people, aboardToRight({ trip, boat, people, gear: shed.gear }))
      : undefined;
  return {
    input,
    context,
    assessment,
    refiled,
    bodies: bodiesOf(context, kit),
    signals: toSignal(kit.pieces),
    has: (capability) => has(kit.pieces, capability),
    named: (capabilities) => [
      ...new Set(
        capabilities.flatMap((each) =>
          nearOf(kit.pieces, each).flatMap(({ item, faults }) => (faults.length === 0 ? [item.name] : [])),
        ),
      ),
    ],
    ...(turned ? { righting: turned } : {}),
    hold,
    lying: once(() => lyingOn(hold)),
    light: lightOf(context.launch?.position, assessment.schedule),
    ...leaksOf(context),
  };
}

/** Light that is left: by the spans of the day where it is asked within them, which are the same all over a day’s water. */
function lightOf(position: LatLon | undefined, schedule: Schedule | undefined): Standing['light'] {
  const { leave, home } = schedule ?? {};
  const span =
    position && leave !== undefined && home !== undefined ? { from: leave, until: home + MS.day } : undefined;
  const spans = once(() => (position && span ? darkSpans(position, span.from, span.until) : []));
  return (at, here) => {
    if (!span || at < span.from || at > span.until - MS.day) return lightAt(at, here);
    const next = spans().find(({ until }) => until > at);
    return next ? Math.max(0, next.from - at) / MS.second : Infinity;
  };
}

function lightAt(at: number, here: LatLon): number {
  if (skyAt(here, at) !== 'day') return 0;
  const sunset = sunAfter(here, at, 'sunset');
  return sunset === undefined ? Infinity : (sunset - at) / MS.second;
}

/** Reckoned when it is first asked for, and then kept. */
export function once<T>(reckon: () => T): () => T {
  let held: { value: T } | undefined;
  return () => (held ??= { value: reckon() }).value;
}

/** Things that do this, on a body or in reach of the seat, against which nothing known stands. */
const nearOf = (pieces: readonly Piece[], capability: Capability): Piece[] =>
  pieces.filter(
    ({ kind, place, faults }) =>
      NEAR.has(place) &&
      faults.every(({ unknown }) => unknown) &&
      kind.supplies.some((supply) => supply.capability === capability),
  );

function has(pieces: readonly Piece[], capability: Capability): Truth {
  const near = nearOf(pieces, capability);
  if (near.some(({ faults }) => faults.length === 0)) return 'yes';
  return near.length > 0 ? 'unknown' : 'no';
}

type Kit = ReturnType<ReturnType<typeof prepare>['match']>['kit'];

function bodiesOf({ trip, people }: Context, kit: Kit): Body[] {
  const { bodies } = onBodies(kit, people);
  const pieceOf = new Map(kit.pieces.map((piece) => [piece.item.id, piece]));
  const driver = trip.crew.findIndex(({ role }) => role === 'skipper');
  return people.map((person, i) => {
    const member = saidOf(trip, i);
    const fit = kit.jackets.fits.get(person.id);
    const worn = bodies.find((each) => each.person.id === person.id)?.has ?? [];
    const things = new Map(worn.flatMap(({ things: all }) => all.map((thing) => [thing.item.id, thing])));
    const signals = [...things.values()].flatMap(({ item, sure }) => {
      const piece = pieceOf.get(item.id);
      return piece
        ? toSignal([{ ...piece, place: 'on-body' }]).map((signal) => ({
            ...signal,
            sure: signal.sure && sure,
          }))
        : [];
    });
    return {
      person,
      jacket: jacketOf(member.wearsJacket, fit && fit.faults.length === 0),
      ...(member.clothing ? { clothing: member.clothing } : {}),
      signals,
      ...(member.cord === undefined ? {} : { cord: member.cord }),
      driver: i === Math.max(0, driver),
    };
  });
}

/** What a member of the crew said, without what was only guessed of it. */
function saidOf(trip: Trip, i: number): Partial<Trip['crew'][number]> {
  const { clothing, wearsJacket, cord } = trip.crew[i] ?? {};
  const is = (field: string) => !guessed(trip, `/crew/${i}/${field}`);
  return {
    ...(clothing !== undefined && is('clothing') ? { clothing } : {}),
    ...(wearsJacket !== undefined && is('wearsJacket') ? { wearsJacket } : {}),
    ...(cord !== undefined && is('cord') ? { cord } : {}),
  };
}

/** Worn, and one that counts; where either is open, so is this. Who says so without one in the locker may be right. */
const jacketOf = (wears: boolean | undefined, counts: boolean | undefined): Truth =>
  wears === false || (wears === undefined && counts === undefined)
    ? 'no'
    : wears && counts
      ? 'yes'
      : 'unknown';

const OFF = WHATIF.limit('guess-hole');

function leaksOf({ trip, boat, people, water }: Context): Pick<Standing, 'holes' | 'fills'> {
  const hull = boat && hullOf(boat);
  if (!boat || !hull) return { holes: [], fills: () => undefined };
  const density = densityOf(water);
  const holes = holesOf(boat, hull);
  const weight = once(() => afloat(boat, hull, placed(trip, people, hull), density).weight);
  const kept = new Map<string, Filling>();
  // Her own measures decide as much as the opening’s own.
  const open = hull.guessed.length > 0 || boat.mass === undefined || guessed(boat, '/mass');
  const through = (hole: Hole, diameter: number, sea: number): Leak =>
    leak({
      hull,
      hole: { ...hole, diameter },
      space: spaceOf(boat, hull, hole),
      weight: weight(),
      density,
      // Whoever bails or pumps gains time; nobody is counted on to do it.
      relief: { pump: 0, bailers: 0 },
      sea,
    });
  const ends = (first: number | undefined, second: number | undefined): Band => ({
    low: Math.min(first ?? Infinity, second ?? Infinity),
    high: Math.max(first ?? Infinity, second ?? Infinity),
  });
  return {
    holes,
    fills: (opening, sea) => {
      const hole = holes[opening];
      if (!hole) return undefined;
      const key = `${opening}/${sea}`;
      const known = kept.get(key);
      if (known) return known;
      const unsure = hole.guessed || open;
      const [wide, narrow] = unsure
        ? [through(hole, hole.diameter * (1 + OFF), sea), through(hole, hole.diameter * (1 - OFF), sea)]
        : [through(hole, hole.diameter, sea), undefined];
      const slow = narrow ?? wide;
      const made: Filling = {
        hole: { ...hole, guessed: unsure },
        third: ends(wide.third, slow.third),
        full: ends(wide.swamped, slow.swamped),
        end: wide.end,
        inflow: wide.inflow,
      };
      kept.set(key, made);
      return made;
    },
  };
}

/** Waves as a leak is reckoned in: the height that is known, else what is usual; in steps, the higher one. */
export const seaFor = (waves: number | undefined): number =>
  Math.ceil((waves ?? FLOODING.wash.usual) / SEA_STEP) * SEA_STEP;
const SEA_STEP = WHATIF.limit('sea-step');
