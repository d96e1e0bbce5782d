import { bodyFindings } from '../body';
import { boatFindings, drives, failedParts, fellows, standFindings } from '../boat';
import { plusDays, wallToInstant } from '../earth';
import { planFindings } from '../floatplan';
import { companyFindings, forgottenFindings, offFindings, type KitMatch } from '../kit';
import type { Assessment, Finding, Phrase, ReadyTask, Schedule } from '../model';
import {
  boundFindings,
  drinkFindings,
  fuelFindings,
  isLong,
  isStuck,
  latestTurnOf,
  leaveFindings,
  openFindings,
  paceFindings,
  passageFindings,
  placeFindings,
  READY,
  readyFindings,
  readyTasks,
  saidOf,
  taskFindings,
  scheduleOf,
  stuckFinding,
  routeFindings,
  windFindings,
  windUnsure,
  type Meets,
  type Stuck,
} from '../passage';
import { holdFindings, unsaidFindings } from '../hold/findings';
import { rightingFindings } from '../recover';
import {
  edgeFindings,
  launchNotes,
  onTrailer,
  rampFigures,
  rampFindings,
  rampNeeds,
  type RampNeeds,
} from '../ramp';
import type { StepFigures } from '../procedure';
import { phrase } from '../say';
import { contentHash, countryFindings, crewFindings, type World } from '../rules';
import { MS } from '../units';
import { inOrder, sure, type Figures } from '../verdict';
import {
  conditionsFor,
  densityOf,
  oldFrom,
  riverFindings,
  streamUnsure,
  waterFindings,
  weatherAt,
  worstWithin,
  type Worst,
} from '../water';
import { contextOf, notedOf, type AssessInput, type Context } from './context';
import { aboardFacts, asksWhoStands, placeFacts } from './facts';
import { drillFindings, provenFinder } from '../logbook';
import { askedFindings } from './find-asked';
import { ownFindings } from './find-own';
import { missingFindings } from './findings';
import { learntOn } from './learnt';
import { holdOf } from './on-hold';
import { plannedOuting } from './outing';
import { stepFigures } from './step-figures';
import { fitFindings } from './find-fit';
import { farOffOn, limitFinder } from './find-limits';
import { fitOf } from './fit';
import { TRIP } from './limits';
import { byEstimate, inStream, unsettled } from './in-wind';
import { withWhose } from './own-limits';
import { daysOf, matchParty, partiesOf, partyFindings } from './parties';
import { withSteps } from './steps';

export const CORE_VERSION = '0.1.0';

export interface Prepared {
  /** The instant at which the trip says it leaves; absent where its wall time does not exist, or no water says in which zone. */
  leave?: number;
  /** The whole assessment for a departure at an instant (epoch ms). Budget 2.5 ms. */
  at(leave: number): Assessment;
  /** The assessment for the departure that the trip names. */
  whole(): Assessment;
  /** The matching behind an assessment, for the packing list and the runner. */
  match(leave?: number): {
    kit: KitMatch;
    world: Omit<World, 'questions'>;
    schedule?: Schedule;
    /** The same as it is where she comes out of the water, which may be another place. */
    home: Omit<World, 'questions'>;
    /** What the steps of procedures name. */
    steps: StepFigures;
    /** What is told where she goes in. */
    notes: Phrase[];
  };
}

/**
 * Do once what the hour of leaving does not touch. `at()` does the rest and is what is swept.
 * Never throws on a valid model: what is missing becomes a finding.
 */
export function prepare(input: AssessInput): Prepared {
  const context = contextOf(input);
  const fixed = standing(context);
  fixed.findings.push(...learntOn(context, input.shed.boats));
  const { trip, zone } = context;
  const wall = zone === undefined ? undefined : wallToInstant(trip.leave.date, trip.leave.time, zone);
  const homeBy = homeByOf(context);
  const packs = input.packs.map((pack) => ({ id: pack.id, version: pack.version, hash: contentHash(pack) }));
  const parties = partiesOf(context, input);
  const needs = needsOf(context);
  const onRamp = rampFigures(context, needs, fixed.figures);
  const onWay = { ...context, places: input.shed.places };
  const way = routeFindings(onWay);
  const held = holdFindings(holdOf(context));
  const getting = gettingReady(context);
  const far = farOffOn(context);
  const limits = limitFinder(context, far);
  const stands = standFindings(
    { ...context, density: densityOf(context.water) },
    asksWhoStands(parties[0].facts),
  );
  const aboutOwn = ownFindings(context);
  const beyond = provenFinder({ ...context, debriefs: input.shed.debriefs, on: trip.leave.date });
  const gear = input.shed.gear.map(sure);
  const household = new Set(input.shed.people.map((p) => p.id));

  const reckon = (leave: number | undefined) => {
    const { timed, stuck } = onClock(context, leave);
    const schedule = timed && withLatestTurn(context, withSteps(context, timed), homeBy);
    const days = daysOf(context, leave, schedule);
    const boats = parties.map((party) =>
      matchParty(party, parties, { gear, household, schedule, days, input }),
    );
    return { schedule, stuck, days, boats, own: boats[0] };
  };

  /** All that the hours of a schedule bring. */
  const onHours = (schedule: Schedule, figures: Figures): Finding[] => {
    const worst = worstOf(context, schedule);
    return [
      ...hourFindings(context, schedule, worst, homeBy, figures),
      ...limits(schedule, worst),
      ...way.at(schedule),
      ...held(schedule),
      ...fuelFindings(onWay, schedule, figures),
      ...drinkFindings(onWay, schedule),
      ...edgeFindings(context, schedule),
      ...rampFindings(context, needs, schedule, onRamp),
      ...stands({ ...(context.forecast ? { forecast: context.forecast } : {}), ...(worst ? { worst } : {}) }),
    ];
  };
  /** The same, as far as they hold where a wind that nobody measured on them decides the hours. */
  const hours = (schedule: Schedule, stuck: Stuck | undefined, figures: Figures): Finding[] => {
    const still = onHours(schedule, figures);
    const all = streamUnsure(context, still) ? inStream(still, phrase('way.stream.unknown')) : still;
    if (stuck) return unsettled(all, phrase('way.wind.calm'));
    const calm = windUnsure(onWay, schedule, blowsAt(context));
    const found = calm ? unsettled(all, phrase('way.wind.unknown')) : all;
    const wind = windFindings(onWay, schedule);
    if (wind.length === 0) return found;
    const soonest = () => {
      const { timed } = onClock(context, schedule.leave, true);
      return timed ? onHours(withLatestTurn(context, withSteps(context, timed), homeBy), {}) : [];
    };
    return [...wind, ...byEstimate(found, phrase('way.wind.model'), soonest)];
  };

  const assessAt = (leave: number | undefined): Assessment => {
    const { schedule, stuck, days, boats, own } = reckon(leave);
    const figures: Figures = { ...fixed.figures };
    const ready = schedule && zone !== undefined ? readyTasks(READY, schedule.leave, zone, getting) : [];
    const findings: Finding[] = [
      ...fixed.findings,
      ...way.standing,
      ...boats.flatMap(({ party, world }) => crewFindings(party.context, world, party.fellow !== undefined)),
      ...leaveFindings(context, wall, leave),
      ...(stuck ? [stuckFinding(onWay, stuck)] : []),
      ...fitFindings(context, fitOf(context, schedule, schedule && far(schedule), own.world)),
      ...(schedule ? hours(schedule, stuck, figures) : [...held(undefined), ...stands({})]),
      ...(schedule ? beyond(plannedOuting(context, own.world.facts, far(schedule))) : []),
      ...boats.flatMap((boat) => partyFindings(boat, input)),
      ...aboutOwn(leave, schedule, days, own.kit),
      ...planFindings({ ...context, gear: input.shed.gear, contacts: contactsOf(context) }, schedule),
      ...readyFindings(context, schedule, ready),
      ...taskFindings(context, ready),
    ];
    return {
      core: CORE_VERSION,
      trip: trip.id,
      now: input.now,
      ...(leave === undefined ? {} : { leave }),
      findings: inOrder(withWhose(findings, context.whose, whoseLimit)),
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
      const steps = stepFigures(context, needs, schedule);
      const world = { ...own.world, facts: { ...own.world.facts, ...aboardFacts(own.kit.pieces) } };
      const home = { ...world, facts: { ...world.facts, ...placeFacts(context.back) } };
      const notes = launchNotes({ ...context, places: input.shed.places }, needs, schedule);
      return { kit: own.kit, world, home, steps, notes, ...(schedule ? { schedule } : {}) };
    },
  };
}

/** What holds whenever the trip leaves: what is missing, the boat and her load, the boats together, what was forgotten before. */
function standing(context: Context): { findings: Finding[]; figures: Figures } {
  const { trip, boat, shed, water, people, crewed, route, speed, kinds, ticks } = context;
  const figures: Figures = {};
  const metres = route ? { metres: route.metres } : {};
  const laden = { trip, people, density: densityOf(water), ...(boat ? { boat } : {}), ...metres };
  const pace = speed ? { speed } : {};
  const together = fellows(trip, shed.boats, boat && { boat, ...pace });
  const places = atPlaces(context);
  const findings = [
    ...missingFindings(context),
    ...(context.water ? countryFindings(context.water) : []),
    ...paceFindings(context),
    ...boundFindings(context),
    ...placeFindings(places),
    ...riverFindings(context),
    ...boatFindings(laden, figures),
    ...together.flatMap((fellow) => (fellow.boat.id === trip.boat ? [] : failedParts(fellow.boat))),
    ...companyFindings({ trip, fellows: together, people: shed.people, gear: shed.gear, kinds, ...pace }),
    ...offFindings(water, shed),
    ...unsaidFindings({ trip, places: shed.places }),
    ...rightingFindings({ trip, people, gear: shed.gear, ...(boat ? { boat } : {}) }),
    ...forgottenFindings(trip, shed.debriefs, ticks),
    ...askedFindings(trip),
    ...drillFindings({ trip, crewed, on: trip.leave.date, ...notedOf(context) }),
  ];
  return { findings, figures };
}

/** What is asked of the places: of the boat and of those in company. */
const atPlaces = (context: Context) => ({
  ...context,
  boats: [context.boat?.id, ...(context.trip.company ?? []).map(({ boat }) => boat)].flatMap(
    (id) => context.shed.boats.find((boat) => boat.id === id) ?? [],
  ),
});

/** What she asks of a ramp, where she comes on a trailer. */
const needsOf = ({ boat, trip, water }: Context): RampNeeds | undefined =>
  boat && onTrailer(boat) === true ? rampNeeds(boat, trip, densityOf(water)) : undefined;

/** What the hours of the trip bring: times and light, tide and weather, cold. */
function hourFindings(
  context: Context,
  schedule: Schedule,
  worst: Worst | undefined,
  homeBy: number | undefined,
  figures: Figures,
): Finding[] {
  return [
    ...passageFindings(context, schedule, homeBy, figures),
    ...openFindings(atPlaces(context), schedule),
    ...waterFindings(context, schedule, worst, figures),
    ...bodyFindings(context, worst, figures),
  ];
}

const worstOf = ({ forecast }: Context, { leave, home = leave }: Schedule) =>
  forecast && worstWithin(forecast, leave, home);

const whoseLimit = (who: string) => phrase('limit.whose', { who });

const contactsOf = ({ trip, shed }: Context) =>
  trip.contacts.flatMap((id) => shed.contacts.find((c) => c.id === id) ?? []);

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

/**
 * The next instant at which the same input says something else because time went by: leaving is past, a task’s hour has gone by, a
 * forecast has grown old or is told to be older. Until then nothing has to be reckoned anew. @returns epoch ms, after `now`; Infinity: never
 */
export function changesAt(
  { trip, now, conditions }: AssessInput,
  leave: number | undefined,
  ready: readonly ReadyTask[] = [],
): number {
  const { forecast } = conditionsFor(trip, conditions);
  const issued = forecast && Date.parse(forecast.issuedAt);
  const ages = issued === undefined ? Infinity : Math.max(oldFrom(issued), now + RETOLD);
  const passes = leave !== undefined && leave >= now ? leave + 1 : Infinity;
  const tasks = ready.map(({ ends }) => ends).filter((ends) => ends > now);
  return Math.min(ages, passes, ...tasks);
}
/** How old a forecast is, is told anew so often. */
const RETOLD = TRIP.limit('age-retold') * MS.second;

/** `prepare()` and the departure the trip names, in a row. Budget 5 ms for a day trip. */
export function assess(input: AssessInput): Assessment {
  return prepare(input).whole();
}

/** The route on the clock, where one makes way; held up by a wind only, by the hours of a calm, so that all else can be told. */
function onClock(
  { route, trip, stream, forecast }: Context,
  leave: number | undefined,
  soonest = false,
): { timed?: Schedule; stuck?: Stuck } {
  if (leave === undefined || !route || isLong(route)) return {};
  const clocked = (windAt?: Meets['windAt']) =>
    scheduleOf(route, leave, trip.checkInMinutes, {
      streamAt: stream?.at,
      windAt,
      soonest,
    });
  const timed = clocked(blowsAt({ forecast }));
  if (!isStuck(timed)) return { timed };
  if (timed.stuck.wind === undefined) return { stuck: timed };
  const calm = clocked();
  return isStuck(calm) ? { stuck: calm } : { timed: calm, stuck: timed };
}

/** Weather that was made up for show moves no hour that somebody ashore is told. */
const blowsAt = ({ forecast }: Pick<Context, 'forecast'>): Meets['windAt'] =>
  forecast && !forecast.invented ? (at, here) => weatherAt(forecast, at, here) : undefined;

function withLatestTurn(context: Context, schedule: Schedule, homeBy: number | undefined): Schedule {
  const latestTurn = latestTurnOf(context, schedule, homeBy);
  return latestTurn === undefined ? schedule : { ...schedule, latestTurn };
}

/** Who goes, in what, and what was said of getting ready. */
const gettingReady = (context: Context) => ({
  has: has(context),
  ...(context.boat ? { craft: context.boat.kind } : {}),
  driveMinutes: context.trip.driveMinutes,
  people: context.people.length,
  took: context.boat?.minutes,
  said: saidOf(context.ticks),
});

/** What the trip has, in the words that tasks of getting ready ask for. */
function has({ boat, people }: Context): Set<string> {
  const words = new Set<string>();
  if (boat) {
    const moves = drives(boat);
    if (moves.combustion) words.add('combustion');
    if (moves.sail) words.add('sail');
    words.add(onTrailer(boat) === true ? 'trailer' : 'by-hand');
    if (boat.kind === 'inflatable' || boat.kind === 'raft' || boat.kind === 'paddleboard')
      words.add('inflate');
  }
  if (people.length > 1) words.add('company');
  return words;
}
