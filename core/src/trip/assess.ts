import { drives } from '../boat';
import { civilDate, daysBetween, plusDays, wallToInstant, type WallResult } from '../earth';
import { kitFindings, liftFindings, matchKit, type KitMatch } from '../kit';
import { LEVELS } from '../model/lists';
import type {
  Assessment,
  Capability,
  Figure,
  Finding,
  GearItem,
  GearKind,
  Level,
  Requirement,
  RulePack,
  Schedule,
  Truth,
} from '../model';
import { readyTasks, scheduleOf } from '../passage';
import { applyPacks, contentHash, type RuleResult, type World } from '../rules';
import { phrase } from '../say';
import { asFellow, fellows, type Fellow } from './company';
import { contextOf, finding, sure, type AssessInput, type Context } from './context';
import { crewFindings } from './crew';
import { dayFindings } from './day';
import { standingFacts, worldOf } from './facts';
import { latestTurnOf } from './light';
import { LONGEST_UNKNOWN, TRAILED } from './limits';
import { READY } from './shipped';
import { shoreFindings } from './shore';
import { openingFindings } from './flooded';
import { standing } from './standing';

export const CORE_VERSION = '0.1.0';

export interface Prepared {
  /** The instant at which the trip says it leaves; absent where its wall time does not exist, or no water says in which zone. */
  leave?: number;
  /** The whole assessment for a departure at an instant (epoch ms). Budget 2.5 ms. */
  at(leave: number): Assessment;
  /** The assessment for the departure that the trip names. */
  whole(): Assessment;
  /** The matching behind an assessment, for the packing list and the runner. */
  match(leave?: number): { kit: KitMatch; world: Omit<World, 'questions'>; schedule?: Schedule };
}

type PlainWorld = Omit<World, 'questions'>;

/** One boat of the trip as the rules see her. */
interface Party {
  context: Context;
  facts: ReturnType<typeof standingFacts>;
  packs: RulePack[];
  /** Absent for the trip's own boat. */
  fellow?: Fellow;
}

/**
 * Do once what the hour of leaving does not touch. `at()` does the rest and is what is swept.
 * Never throws on a valid model: what is missing becomes a finding.
 */
export function prepare(input: AssessInput): Prepared {
  const context = contextOf(input);
  const fixed = standing(context);
  const { trip, zone } = context;
  const wall = zone === undefined ? undefined : wallToInstant(trip.leave.date, trip.leave.time, zone);
  const homeBy = homeByOf(context);
  const packs = input.packs.map((pack) => ({ id: pack.id, version: pack.version, hash: contentHash(pack) }));
  const parties = partiesOf(context, input);
  const gear = input.shed.gear.map(sure);
  const household = new Set(input.shed.people.map((p) => p.id));

  const reckon = (leave: number | undefined) => {
    const schedule =
      leave === undefined || !context.route
        ? undefined
        : withLatestTurn(
            context,
            scheduleOf(context.route, leave, trip.graceMinutes, trip.checkInMinutes),
            homeBy,
          );
    const days = daysOf(context, leave, schedule);
    const boats = parties.map((party) =>
      matchParty(party, parties, { gear, household, schedule, days, input }),
    );
    return { schedule, days, boats, own: boats[0] };
  };

  const assessAt = (leave: number | undefined): Assessment => {
    const { schedule, boats, own } = reckon(leave);
    const figures: Record<string, Figure> = { ...fixed.figures };
    const ready =
      schedule && zone !== undefined
        ? readyTasks(READY, schedule.leave, zone, has(context), trip.driveMinutes)
        : [];
    const findings: Finding[] = [
      ...fixed.findings,
      ...boats.flatMap(({ party, world }) => crewFindings(party.context, world, party.fellow !== undefined)),
      ...timeFindings(context, wall, leave),
      ...openingFindings(context, leave),
      ...(schedule ? dayFindings(context, schedule, homeBy, figures) : []),
      ...boats.flatMap((boat) => partyFindings(boat, input)),
      ...liftFindings(trip, own.kit.jackets, own.kit.bodies),
      ...shoreFindings(context, schedule, ready),
    ];
    return {
      core: CORE_VERSION,
      trip: trip.id,
      now: input.now,
      ...(leave === undefined ? {} : { leave }),
      findings: sorted(findings),
      figures,
      requirements: boats.flatMap((b) => b.requirements),
      leastProved: boats.every((b) => b.kit.proved),
      ...(schedule ? { schedule } : {}),
      ready,
      packs,
    };
  };

  const leave = wall === undefined || 'gap' in wall ? undefined : wall.at;
  return {
    ...(leave === undefined ? {} : { leave }),
    at: assessAt,
    whole: () => assessAt(leave),
    match: (at = leave) => {
      const { own, schedule } = reckon(at);
      return { kit: own.kit, world: own.world, ...(schedule ? { schedule } : {}) };
    },
  };
}

/**
 * The hour wanted at home as an instant: of the trip's own day, or of the next where it lies before leaving. It stands
 * still while the departure is dragged, so that a late one is late.
 */
function homeByOf({ trip, zone }: Context): number | undefined {
  if (trip.homeBy === undefined || zone === undefined) return undefined;
  const { date, time } = trip.leave;
  const by = wallToInstant(trip.homeBy <= time ? plusDays(date, 1) : date, trip.homeBy, zone);
  return 'gap' in by ? undefined : by.at;
}

/** The civil days that the trip touches, at the launch; where its end is not known, those that it may touch. */
interface Days {
  on: string;
  endsOn: string;
  /** Absent where the end is known. */
  openUntil?: string;
}

function daysOf({ trip, zone }: Context, leave: number | undefined, schedule: Schedule | undefined): Days {
  const on = leave === undefined || zone === undefined ? trip.leave.date : civilDate(leave, zone);
  if (schedule?.home === undefined || zone === undefined) {
    return { on, endsOn: on, openUntil: plusDays(on, LONGEST_UNKNOWN) };
  }
  return { on, endsOn: civilDate(schedule.home, zone) };
}

/** The trip's own boat, and each boat of its company: of those the law is asked, practice is the business of their own crews. */
function partiesOf(context: Context, input: AssessInput): Party[] {
  const { trip } = context;
  const others = fellows({ ...context, boat: undefined });
  return [
    { context, facts: standingFacts(context), packs: input.packs },
    ...others
      .filter((fellow) => fellow.boat.id !== trip.boat && fellow.people.length > 0)
      .map((fellow): Party => {
        const own = asFellow(context, fellow);
        const packs = lawOf(input.packs);
        return { context: own, facts: standingFacts(own), packs, fellow };
      }),
  ];
}

const lawful = new WeakMap<RulePack, RulePack>();
/** Packs with their law alone. */
function lawOf(packs: RulePack[]): RulePack[] {
  return packs.map((pack) => {
    let law = lawful.get(pack);
    if (!law) lawful.set(pack, (law = { ...pack, rules: pack.rules.filter((r) => r.layer === 'law') }));
    return law;
  });
}

interface Asking {
  gear: GearItem[];
  household: ReadonlySet<string>;
  schedule: Schedule | undefined;
  days: Days;
  input: AssessInput;
}

interface Matched {
  party: Party;
  world: PlainWorld;
  rules: RuleResult[];
  kit: KitMatch;
  requirements: Requirement[];
  days: Days;
}

function matchParty(
  party: Party,
  parties: Party[],
  { gear, household, schedule, days, input }: Asking,
): Matched {
  const { context, facts, packs, fellow } = party;
  const world = worldOf(context, schedule, days.on, facts);
  const rules = rulesOver(packs, context, schedule, days, facts, world);
  const rest = parties.filter((other) => other !== party);
  const kit = matchKit({
    rules,
    trip: context.trip,
    people: context.people,
    household,
    crew: world.crew,
    boat: context.boat,
    ...(rest.length > 0
      ? {
          fellows: rest.flatMap(({ context: { boat, people, trip } }) =>
            boat ? [{ boat, people, crew: trip.crew }] : [],
          ),
          mine: (item: GearItem) => inBoat(item, party, rest),
        }
      : {}),
    water: context.water,
    openWater: input.catalogue.openWater,
    gear,
    catalogue: context.kinds,
    ...days,
  });
  const requirements = fellow
    ? kit.requirements.map((r) => ({ ...r, boat: fellow.boat.id }))
    : kit.requirements;
  return { party, world, rules, kit, requirements, days };
}

/** What is fitted to a boat or belongs to somebody in her is in her; the rest is in the trip's own, or nobody said. */
function inBoat(item: GearItem, party: Party, rest: Party[]): Truth {
  const holds = ({ context }: Party) =>
    item.fittedTo !== undefined
      ? item.fittedTo === context.boat?.id
      : item.owner !== undefined && context.people.some((p) => p.id === item.owner);
  if (holds(party)) return 'yes';
  if (rest.some(holds)) return 'no';
  return party.fellow ? 'unknown' : 'yes';
}

/** Does any rule of these packs turn on the day of the year? */
const seasonal = (packs: RulePack[]) =>
  packs.some((pack) => /"day\.monthDay"/.test(JSON.stringify(pack.rules)));
const knownSeasonal = new WeakMap<RulePack[], boolean>();

/** The rules over every civil day that the trip touches: what holds on one of them holds; a day it only may touch leaves it open. */
function rulesOver(
  packs: RulePack[],
  context: Context,
  schedule: Schedule | undefined,
  { on, endsOn, openUntil }: Days,
  facts: Party['facts'],
  world: PlainWorld,
): RuleResult[] {
  const first = applyPacks(packs, world);
  const last = openUntil ?? endsOn;
  if (last === on) return first;
  let turns = knownSeasonal.get(packs);
  if (turns === undefined) knownSeasonal.set(packs, (turns = seasonal(packs)));
  if (!turns) return first;
  let found = first;
  for (let day = 1; day <= Math.min(MOST_DAYS, daysBetween(on, last)); day += 1) {
    const then = applyPacks(packs, worldOf(context, schedule, plusDays(on, day), facts));
    found = found.map((was, i) => {
      const now = then[i];
      if (was.applies === 'yes' || now.applies === 'no') return was;
      if (openUntil !== undefined && now.applies === 'yes') {
        return {
          ...now,
          applies: 'unknown',
          because: [...now.because, { phrase: phrase('because.may-last'), truth: 'unknown' }],
        };
      }
      return now.applies === 'yes' || was.applies === 'no' ? now : was;
    });
  }
  return found;
}
/** Days of a trip that are looked through for seasons. */
const MOST_DAYS = 60;

function partyFindings({ party, rules, kit, requirements, days }: Matched, input: AssessInput): Finding[] {
  const { context, fellow } = party;
  const { boat, water } = context;
  return kitFindings(requirements, {
    trip: context.trip,
    people: context.people,
    gear: input.shed.gear,
    on: days.on,
    weights: new Map(rules.map((r) => [r.rule.id, r.rule.weight])),
    unsettled: new Map(rules.map((r) => [r.rule.id, r.missing])),
    ...(fellow ? { fellow: { id: fellow.boat.id, name: fellow.boat.name } } : {}),
    ...(boat ? { boatId: boat.id } : {}),
    ...(water ? { waterId: water.id } : {}),
    ...wornJacket(kit),
    kindFor: (capability) => kindFor(context, capability),
  });
}

/** `prepare()` and the departure the trip names, in a row. Budget 5 ms for a day trip. */
export function assess(input: AssessInput): Assessment {
  return prepare(input).whole();
}

function withLatestTurn(context: Context, schedule: Schedule, homeBy: number | undefined): Schedule {
  const latestTurn = latestTurnOf(context, schedule, homeBy);
  return latestTurn === undefined ? schedule : { ...schedule, latestTurn };
}

function timeFindings(context: Context, wall: WallResult | undefined, leave: number | undefined): Finding[] {
  const { trip, now, zone } = context;
  if (wall === undefined || zone === undefined) return [];
  const base = { section: 'plan/day' as const };
  const go = (pointer: string) => ({ go: { type: 'trip' as const, id: trip.id, pointer } });
  const mend = { label: phrase('time.gap.mend'), ...go('/leave/time') };
  const values = { zone, time: trip.leave.time };
  const found: Finding[] = [];
  if ('gap' in wall) {
    if (leave !== undefined) return [];
    const because = [phrase('time.gap.why', values)];
    return [
      finding({
        ...base,
        id: `day/gap/${trip.id}`,
        level: 'fix',
        title: phrase('time.gap.title'),
        because,
        mend,
      }),
    ];
  }
  if (wall.twice && leave === wall.at) {
    const because = [phrase('time.twice.why', values)];
    found.push(
      finding({
        ...base,
        id: `day/twice/${trip.id}`,
        level: 'mind',
        title: phrase('time.twice.title'),
        because,
        mend,
      }),
    );
  }
  if (leave !== undefined && leave < now && trip.status === 'planned') {
    found.push(
      finding({
        ...base,
        id: `day/past/${trip.id}`,
        level: 'fix',
        title: phrase('time.past.title'),
        because: [phrase('time.past.why', { at: leave })],
        mend: { label: phrase('time.past.mend'), ...go('/leave/date') },
      }),
    );
  }
  return found;
}

/** What the trip has, in the words that tasks of getting ready ask for. */
function has({ boat, people }: Context): Set<string> {
  const words = new Set<string>();
  if (boat) {
    const moves = drives(boat);
    if (moves.combustion) words.add('combustion');
    if (moves.sail) words.add('sail');
    words.add(boat.trailer || TRAILED.has(boat.kind) ? 'trailer' : 'by-hand');
    if (boat.kind === 'inflatable' || boat.kind === 'raft' || boat.kind === 'paddleboard')
      words.add('inflate');
  }
  if (people.length > 1) words.add('company');
  return words;
}

function wornJacket(kit: KitMatch): { wornJacket?: string } {
  const first = [...kit.jackets.fits.values()][0];
  return first ? { wornJacket: first.piece.item.id } : {};
}

function kindFor({ kinds }: Context, capability: Capability): GearKind | undefined {
  for (const kind of kinds.values()) if (kind.supplies.some((s) => s.capability === capability)) return kind;
  return undefined;
}

const PHASES = ['plan', 'pack', 'go', 'home'];
const rank = ({ level, section }: Finding) =>
  LEVELS.indexOf(level) * PHASES.length + PHASES.indexOf(section.slice(0, section.indexOf('/')));

/**
 * Worst level first, then in the order of the day, then by id: the same findings always stand in the same order. Who sits in
 * two boats is spoken of once, at the worse level.
 */
function sorted(findings: Finding[]): Finding[] {
  const ranked = findings.map((finding) => ({ finding, rank: rank(finding) }));
  ranked.sort((a, b) => a.rank - b.rank || (a.finding.id < b.finding.id ? -1 : 1));
  const seen = new Set<string>();
  return ranked.flatMap(({ finding }) => (seen.has(finding.id) ? [] : (seen.add(finding.id), [finding])));
}

/** The worst level among findings; Set when there are none. */
export function worstLevel(findings: Pick<Finding, 'level'>[]): Level {
  return LEVELS.find((level) => findings.some((f) => f.level === level)) ?? 'set';
}

export function countLevels(findings: Pick<Finding, 'level'>[]): Record<Level, number> {
  const counts: Record<Level, number> = { stop: 0, fix: 0, mind: 0, set: 0 };
  for (const { level } of findings) counts[level] += 1;
  return counts;
}
