import fit from '../../data/trip/fit.json';
import { shoreOf, type Shore } from '../chart';
import { civilDate, daysBetween, partWay, type LatLon } from '../earth';
import { slowOf } from '../boat';
import type { FitData, FitRow, Schedule, Truth } from '../model';
import { lastRecovery } from '../logbook';
import type { FarOff } from '../passage';
import { evaluate, type FactValue, type Facts, type World } from '../rules';
import { asPrinted, limitInSI } from '../units';
import { guessed } from '../verdict';
import { notedOf, type Context } from './context';
import { TRIP } from './limits';

const DATA = fit as unknown as FitData;
/** So near a landing any boat may go, metres. */
export const NEAR = limitInSI(DATA.near);

/** One thing that speaks for or against her out there, or that nobody said. */
export interface FitReason {
  row: FitRow;
  is: 'against' | 'for' | 'unsaid';
  /** Facts that would settle it. */
  missing: string[];
}

/** Is this boat for this water? `near` where she belongs near the shore and stays there, `beyond` where she does not stay. */
export interface Fit {
  answer: 'fit' | 'near' | 'beyond' | 'open' | 'against';
  off: FarOff | 'unknown' | undefined;
  out: Truth;
  reasons: FitReason[];
  /** What would change it, the cheapest first. */
  changes: NonNullable<FitRow['against']['change']>[];
}

/**
 * Everything that makes a boat one for near the shore, or one for further out, held against how far this way leads from a landing.
 * Near the shore nothing of it weighs; out there what is not known is open. @returns undefined without a boat and people
 */
export function fitOf(
  context: Context,
  schedule: Schedule | undefined,
  off: FarOff | 'unknown' | undefined,
  world: Pick<World, 'facts'>,
): Fit | undefined {
  const { boat, people } = context;
  if (!boat || people.length === 0) return undefined;
  const facts = { ...world.facts, ...fitFacts(context, schedule, off) };
  const reasons = DATA.rows
    .filter(({ craft }) => craft.includes(boat.kind))
    .flatMap((row) => reasonOf(row, { facts, crew: [] }));
  const out = outOf(off);
  const against = reasons.filter(({ is }) => is === 'against').map(({ row }) => row.against);
  const heavy = against.filter(({ level }) => level === 'fix');
  const unsaid = reasons.some(({ is }) => is === 'unsaid');
  const changes = heavy.flatMap(({ change }) => (change ? [change] : [])).sort((a, b) => a.cost - b.cost);
  const answer = () => {
    if (heavy.length > 0) return out === 'no' ? 'near' : out === 'yes' ? 'beyond' : 'open';
    if (out === 'no') return 'fit';
    if (unsaid || out === 'unknown') return 'open';
    return against.length > 0 ? 'against' : 'fit';
  };
  return { answer: answer(), off, out, reasons, changes };
}

/** Does the way lead further from a landing than any boat may go? */
function outOf(off: FarOff | 'unknown' | undefined): Truth {
  if (off === undefined || off === 'unknown') return 'unknown';
  if (asPrinted(off.metres, 'distance') <= asPrinted(NEAR, 'distance')) return 'no';
  // A place at which one may be able to land lies nearer.
  return off.sure ? 'yes' : 'unknown';
}

function reasonOf(row: FitRow, world: World): FitReason[] {
  const asked = row.if ? evaluate(row.if, world) : { truth: 'yes' as const, missing: [] };
  if (asked.truth === 'no') return [];
  const { truth, missing } = evaluate(row.when, world);
  const told = (is: FitReason['is'], lacks: string[] = []) => [{ row, is, missing: lacks }];
  if (truth === 'no') return row.for !== undefined && asked.truth === 'yes' ? told('for') : [];
  if (truth === 'yes' && asked.truth === 'yes') return told('against');
  return row.unsaid === undefined ? [] : told('unsaid', [...missing, ...asked.missing]);
}

/** A guess is no answer. */
const settled = <T extends FactValue>(value: T | undefined, guess: boolean) => (guess ? undefined : value);

function fitFacts(context: Context, schedule: Schedule | undefined, off: Fit['off']): Facts {
  const { boat } = context;
  if (!boat) return {};
  const of = <T extends FactValue>(pointer: string, value: T | undefined) =>
    settled(value, guessed(boat, pointer));
  const { rudder } = boat;
  const away = off === undefined || off === 'unknown' ? undefined : off;
  const slow = slowOf(boat);
  const rough = guessed(boat, '/propulsion/0/slow') || guessed(boat, '/propulsion/0/cruise');
  return {
    'boat.dryEnds': dryEnds(context),
    'boat.buoyant': of('/flotation', boat.flotation === undefined ? undefined : boat.flotation !== 'none'),
    'boat.foreHatch': boat.openings.some(({ kind, where }) => kind === 'hatch' && (where ?? 'bow') === 'bow'),
    'boat.foreDry': of('/foreDry', boat.foreDry),
    'boat.headSea': of('/headSea', boat.headSea),
    'boat.rudder': of('/rudder/kind', rudder?.kind),
    'boat.rudderJams': of('/rudder/jams', rudder?.jams),
    'boat.rudderMends': of('/rudder/beach', rudder?.beach),
    'boat.pedals': boat.propulsion.some(({ kind }) => kind === 'pedals'),
    'boat.driveOut': of('/driveOut', boat.driveOut),
    'crew.sincePractice': sincePractice(context, schedule),
    'way.fetch': away && fetchAt(context, away),
    'way.landingSeconds': away && slow !== undefined ? settled(away.metres / slow, rough) : undefined,
  };
}

/**
 * Does she float on at both ends when she is full? A hull that is only sealed does not once a hatch of hers is open, and air bags
 * do where it is said that one is at each end.
 */
function dryEnds({ boat }: Context): boolean | undefined {
  if (boat?.flotation === undefined || guessed(boat, '/flotation')) return undefined;
  if (boat.flotation === 'bulkheads') return true;
  const parts = (boat.reserve ?? []).filter((_, i) => !guessed(boat, `/reserve/${i}/where`));
  const at = (end: 'bow' | 'stern') =>
    parts.some(({ where }) => where === end || where === 'all' || where === 'sides');
  if (at('bow') && at('stern')) return true;
  if (boat.flotation === 'sealed-hull') return !boat.openings.some(({ kind }) => kind === 'hatch');
  return boat.flotation === 'none' ? false : undefined;
}

/** Days since whoever practised longest ago last did, in this craft; known only where all of them said when. */
function sincePractice(context: Context, schedule: Schedule | undefined): FactValue | undefined {
  const { boat, people, trip, zone } = context;
  const on = schedule && zone !== undefined ? civilDate(schedule.leave, zone) : trip.leave.date;
  const noted = notedOf(context);
  const since = people.map((person) => {
    const at = person.skills?.findIndex(({ craft }) => craft === boat?.kind) ?? -1;
    const said = guessed(person, `/skills/${at}/practised`) ? undefined : person.skills?.[at]?.practised;
    const day = lastRecovery(said, person.id, boat?.kind, on, noted);
    return day === undefined ? undefined : daysBetween(day, on);
  });
  const known = since.filter((days) => days !== undefined);
  const most = Math.max(-Infinity, ...known);
  if (known.length === since.length) return most;
  return known.length > 0 ? { low: most, high: Infinity } : undefined;
}

/** Bearings in which open water is looked for, and how far at most, metres. */
const LOOKS = Array.from(
  { length: TRIP.limit('fit-bearings') },
  (_, i) => (i * 360) / TRIP.limit('fit-bearings'),
);
const MOST = TRIP.limit('fit-fetch');
const asked = new WeakMap<Shore, Map<string, FactValue>>();

/** The longest stretch of open water about the spot that lies furthest off; without a shore drawn nobody can tell. */
function fetchAt({ water }: Context, { reach, share }: FarOff): FactValue | undefined {
  const shore = shoreOf(water?.chart);
  if (!shore) return undefined;
  const here: LatLon = partWay(reach.from.position, reach.to.position, share);
  const key = `${here.lat} ${here.lon}`;
  const known = asked.get(shore) ?? new Map<string, FactValue>();
  asked.set(shore, known);
  const before = known.get(key);
  if (before !== undefined) return before;
  const reaches = LOOKS.map((bearing) => shore.reach(here, bearing, MOST));
  const low = Math.max(...reaches.map((metres) => metres ?? MOST));
  // Where no shore was met it is longer, nobody knows by how much.
  const found = reaches.includes(undefined) ? { low, high: Infinity } : low;
  known.set(key, found);
  return found;
}
