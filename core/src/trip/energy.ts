import { darkSpans, daysBetween } from '../earth';
import type { Finding, Schedule } from '../model';
import type { Piece } from '../kit';
import { drives, RESERVE } from '../boat';
import { motored, storesOn } from '../passage';
import { phrase } from '../say';
import { MS } from '../units';
import { goTo, guessed, sure } from '../verdict';
import { contextOf, type AssessInput, type Context } from './context';
import { TRIP } from './limits';

/** Days run over by so much, ms. */
const OVER = TRIP.limit('over-hours') * MS.second;
/** Something that runs on what is in it. */
export interface Runs {
  id: string;
  name: string;
  by: 'fuel' | 'battery' | 'thing';
  /** Seconds that it runs with what is in it; absent where nobody said. */
  holds?: number;
  /** Seconds that it must run by the plan, and when the day runs over. */
  needs: number;
  over: number;
  /** When it runs out, used as planned from the start; absent where it lasts for the plan and what it runs over by. */
  until?: number;
  /** Of a tank: when only the third is left that is kept back. */
  keeps?: number;
  /** Seconds more that spare cans bring. */
  spare?: number;
}

/** Spans in which it has to run, ms: all the time, or while it is dark. */
type Spans = { from: number; until: number }[];
const lengthOf = (spans: Spans) => spans.reduce((sum, { from, until }) => sum + until - from, 0) / MS.second;

/** When so many seconds of running are used up. */
function runsOut(spans: Spans, seconds: number): number | undefined {
  let left = seconds * MS.second;
  for (const { from, until } of spans) {
    if (left < until - from) return from + left;
    left -= until - from;
  }
  return undefined;
}

const darkOf = ({ launch }: Context, from: number, until: number): Spans =>
  launch ? darkSpans(launch.position, from, until) : [];

/** What runs on a charge and comes along: an empty battery is told, what is broken or in another boat is not. */
const running = (pieces: readonly Piece[]): Piece[] =>
  pieces.filter(
    ({ kind, place, faults }) =>
      kind.charged !== undefined &&
      place !== 'home' &&
      faults.every(({ code, unknown }) => unknown || code === 'uncharged'),
  );

/**
 * All that runs on fuel or a battery, against the hours it must run and those by which days run over; what runs out first stands first.
 * Motors run on the legs, lamps in the dark, everything else all the time. What nobody said of a store stands last.
 */
export function energyLedger(
  context: Context,
  schedule: Schedule | undefined,
  pieces: readonly Piece[],
): Runs[] {
  if (schedule?.home === undefined) return [];
  const { leave, home } = schedule;
  const made = (
    of: Pick<Runs, 'id' | 'name' | 'by'>,
    spans: Spans,
    beyond: Spans,
    holds: number | undefined,
    more: Pick<Runs, 'keeps' | 'spare'> = {},
  ): Runs => {
    const until = holds === undefined ? undefined : runsOut([...spans, ...beyond], holds);
    return {
      ...of,
      needs: lengthOf(spans),
      over: lengthOf(beyond),
      ...(holds === undefined ? {} : { holds }),
      ...(until === undefined ? {} : { until }),
      ...more,
    };
  };
  const day = [{ from: leave, until: home }],
    longer = [{ from: home, until: home + OVER }];
  const [dark, darker] = [darkOf(context, leave, home), darkOf(context, home, home + OVER)];
  const things = running(pieces).flatMap(({ item, kind }) => {
    const { charge, lasts } = sure(item);
    const lamp = kind.group === 'light';
    const holds = charge === undefined || lasts === undefined ? undefined : charge * lasts;
    const of = { id: item.id, name: item.name, by: 'thing' as const };
    return [lamp ? made(of, dark, darker, holds) : made(of, day, longer, holds)];
  });
  const legs = schedule.legs.map(({ departs, arrives }) => ({ from: departs, until: arrives }));
  const boats = motored(context.trip, context.shed.boats).flatMap((one) => {
    const stores = context.speed && storesOn(one, context.speed.value, schedule);
    if (!stores || stores.full || stores.guessed) return [];
    const holds = stores.held === undefined || !stores.rate ? undefined : stores.held / stores.rate.value;
    const by = stores.kind === 'fuel' ? ('fuel' as const) : ('battery' as const);
    const of = { id: one.boat.id, name: one.boat.name, by };
    if (by !== 'fuel' || holds === undefined || !stores.rate) return [made(of, legs, longer, holds)];
    const keeps = runsOut([...legs, ...longer], holds * (1 - RESERVE));
    // Cans lie in the trip’s own boat.
    const cans = one.boat.id === context.trip.boat ? inCans(pieces) : 0;
    return [
      made(of, legs, longer, holds, {
        ...(keeps === undefined ? {} : { keeps }),
        ...(cans > 0 ? { spare: cans / stores.rate.value } : {}),
      }),
    ];
  });
  const last = (row: Runs) => row.until ?? (row.holds === undefined ? Infinity : Number.MAX_SAFE_INTEGER);
  return [...boats, ...things]
    .filter(({ needs, over }) => needs + over > 0)
    .sort((a, b) => last(a) - last(b) || (a.name < b.name ? -1 : 1));
}

/** Fuel in spare cans that come along, m³, as far as it is known how much is in each. */
const inCans = (pieces: readonly Piece[]): number =>
  cansIn(pieces).reduce((sum, { item }) => sum + item.count * (sure(item).holds ?? 0), 0);
const cansIn = (pieces: readonly Piece[]): Piece[] =>
  pieces.filter(
    ({ kind, place, faults }) =>
      kind.filled === true && place !== 'home' && faults.every(({ unknown }) => unknown),
  );

/** The same for a screen. */
export const ledgerOf = (
  input: AssessInput,
  schedule: Schedule | undefined,
  pieces: readonly Piece[],
): Runs[] => energyLedger(contextOf(input), schedule, pieces);

/**
 * Things that run out before one is home, or within the hours by which days run over; those of which nobody said how long they last
 * are named together. Motors are told by a finding of their own.
 */
export function energyFindings(
  context: Context,
  schedule: Schedule | undefined,
  pieces: readonly Piece[],
): Finding[] {
  const told = running(pieces).filter(({ item }) => sure(item).lasts !== undefined);
  const [first, ...more] = running(pieces).filter(({ item }) => sure(item).lasts === undefined);
  const unsaid = first
    ? [
        TRIP.finding('energy/unsaid', 'unknown', context.trip.id, {
          title: phrase('energy.unsaid.title'),
          because: [phrase('energy.unsaid', { items: [first, ...more].map(({ item }) => item.name) })],
          mend: {
            label: phrase('mend.look', { item: first.item.name }),
            ...goTo.gear(first.item.id, '/lasts'),
          },
        }),
      ]
    : [];
  if (told.length === 0) return unsaid;
  const found = energyLedger(context, schedule, told).flatMap(({ by, id, name, holds, needs, until }) => {
    if (by !== 'thing' || until === undefined || holds === undefined) return [];
    const short = holds < needs;
    const names = { item: name, at: until };
    return [
      TRIP.finding('energy/runs-out', short ? 'short' : 'over', id, {
        title: phrase('energy.title', names),
        because: [phrase(short ? 'energy.short' : 'energy.over', { ...names, holds, needs })],
        mend: { label: phrase('mend.charge', names), ...goTo.gear(id, '/charge') },
      }),
    ];
  });
  return [...found, ...unsaid];
}

const OLD = TRIP.at('energy/fuel-age', 'old');

/** How old the fuel is, in her tank and in cans: what nobody said is open, what is over a month is to be changed. */
export function fuelAgeFindings({ trip, boat }: Context, on: string, pieces: readonly Piece[]): Finding[] {
  if (!boat || drives(boat).combustion !== true) return [];
  const cans = cansIn(pieces).map(({ item }) => ({ name: item.name, id: item.id, day: sure(item).filledOn }));
  const tank = { name: boat.name, id: trip.id, day: guessed(trip, '/fuelOn') ? undefined : trip.fuelOn };
  const all = [tank, ...cans];
  const age = (day: string) => daysBetween(day, on);
  const old = all.filter(({ day }) => day !== undefined && age(day) > OLD);
  // Filled after the day on which one leaves: that is no age.
  const unsaid = all.filter(({ day }) => day === undefined || age(day) < 0);
  const first = old[0] ?? unsaid[0];
  const mend = first && {
    label: phrase('fuel.age.mend'),
    ...(first === tank ? goTo.trip(trip.id, '/fuelOn') : goTo.gear(first.id, '/filledOn')),
  };
  const names = (some: typeof all) => some.map(({ name }) => name);
  return [
    TRIP.finding(
      'energy/fuel-age',
      old.length > 0 ? 'old' : unsaid.length > 0 ? 'unsaid' : 'fresh',
      trip.id,
      {
        title: phrase('fuel.age.title'),
        because: [
          ...(old.length > 0 ? [phrase('fuel.age.old', { what: names(old), days: OLD })] : []),
          ...(unsaid.length > 0 ? [phrase('fuel.age.unsaid', { what: names(unsaid) })] : []),
          ...(first ? [] : [phrase('fuel.age.fresh', { days: OLD })]),
        ],
        mend,
      },
    ),
  ];
}
