import { drives } from '../boat';
import { civilDate, wallToInstant } from '../earth';
import { kitFindings, liftFindings, matchKit, type KitMatch } from '../kit';
import { LEVELS } from '../model/lists';
import type { Assessment, Capability, Figure, Finding, GearKind, Level, Schedule } from '../model';
import { readyTasks, scheduleOf } from '../passage';
import { applyPacks, contentHash, type World } from '../rules';
import { phrase } from '../say';
import { contextOf, finding, type AssessInput, type Context } from './context';
import { crewFindings } from './crew';
import { dayFindings, latestTurnOf } from './day';
import { standingFacts, worldOf } from './facts';
import { READY } from './shipped';
import { shoreFindings } from './shore';
import { standing } from './standing';

export const CORE_VERSION = '0.1.0';

export interface Prepared {
  /** The instant at which the trip says it leaves; absent where its wall time does not exist. */
  leave?: number;
  /** The whole assessment for a departure at an instant (epoch ms). Budget 2.5 ms. */
  at(leave: number): Assessment;
  /** The assessment for the departure that the trip names. */
  whole(): Assessment;
  /** The matching behind an assessment, for the packing list and the runner. */
  match(leave?: number): { kit: KitMatch; world: Omit<World, 'questions'>; schedule?: Schedule };
}

/**
 * Do once what the hour of leaving does not touch. `at()` does the rest and is what is swept.
 * Never throws on a valid model: what is missing becomes a finding.
 */
export function prepare(input: AssessInput): Prepared {
  const context = contextOf(input);
  const fixed = standing(context);
  const facts = standingFacts(context);
  const { trip, water } = context;
  const zone = water?.zone ?? 'UTC';
  const wall = wallToInstant(trip.leave.date, trip.leave.time, zone);
  const homeByTime = (leave: number) => {
    if (trip.homeBy === undefined) return undefined;
    const by = wallToInstant(civilDate(leave, zone), trip.homeBy, zone);
    return 'gap' in by ? undefined : by.at;
  };
  const packs = input.packs.map((pack) => ({ id: pack.id, version: pack.version, hash: contentHash(pack) }));

  const reckon = (leave: number | undefined) => {
    const homeBy = leave === undefined ? undefined : homeByTime(leave);
    const schedule = leave === undefined || !context.route ? undefined : withLatestTurn(context, scheduleOf(context.route, leave, trip.graceMinutes, trip.checkInMinutes), homeBy);
    const on = leave === undefined ? trip.leave.date : civilDate(leave, zone);
    const endsOn = schedule?.home ? civilDate(schedule.home, zone) : on;
    const world = worldOf(context, schedule, on, facts);
    const rules = applyPacks(input.packs, world);
    const kit = matchKit({ rules, trip, people: context.people, crew: world.crew, boat: context.boat, water, openWater: input.catalogue.openWater, gear: input.shed.gear, catalogue: context.kinds, on, endsOn });
    return { homeBy, schedule, on, world, rules, kit };
  };

  const assessAt = (leave: number | undefined): Assessment => {
    const { homeBy, schedule, on, world, rules, kit } = reckon(leave);
    const figures: Record<string, Figure> = { ...fixed.figures };
    const ready = schedule ? readyTasks(READY, schedule.leave, zone, has(context), trip.driveMinutes) : [];
    const findings: Finding[] = [
      ...fixed.findings,
      ...crewFindings(context, world),
      ...timeFindings(context, wall, leave, zone),
      ...(schedule ? dayFindings(context, schedule, homeBy, figures) : []),
      ...kitFindings(kit.requirements, {
        trip, people: context.people, gear: input.shed.gear, on,
        weights: new Map(rules.map((r) => [r.rule.id, r.rule.weight])), unsettled: new Map(rules.map((r) => [r.rule.id, r.missing])),
        ...(context.boat ? { boatId: context.boat.id } : {}), ...(water ? { waterId: water.id } : {}), ...wornJacket(kit),
        kindFor: (capability) => kindFor(context, capability),
      }),
      ...liftFindings(trip, kit.jackets, kit.bodies),
      ...shoreFindings(context, schedule, ready),
    ];
    return { core: CORE_VERSION, trip: trip.id, now: input.now, ...(leave === undefined ? {} : { leave }), findings: sorted(findings), figures, requirements: kit.requirements, leastProved: kit.proved, ...(schedule ? { schedule } : {}), ready, packs };
  };

  const leave = 'gap' in wall ? undefined : wall.at;
  return {
    ...(leave === undefined ? {} : { leave }),
    at: assessAt,
    whole: () => assessAt(leave),
    match: (at = leave) => {
      const { kit, world, schedule } = reckon(at);
      return { kit, world, ...(schedule ? { schedule } : {}) };
    },
  };
}

/** `prepare()` and the departure the trip names, in a row. Budget 5 ms for a day trip. */
export function assess(input: AssessInput): Assessment {
  return prepare(input).whole();
}

function withLatestTurn(context: Context, schedule: Schedule, homeBy: number | undefined): Schedule {
  const latestTurn = latestTurnOf(context, schedule, homeBy);
  return latestTurn === undefined ? schedule : { ...schedule, latestTurn };
}

function timeFindings({ trip, now }: Context, wall: ReturnType<typeof wallToInstant>, leave: number | undefined, zone: string): Finding[] {
  const base = { section: 'plan/day' as const };
  const mend = { label: phrase('time.gap.mend'), go: { type: 'trip' as const, id: trip.id, pointer: '/leave/time' } };
  if ('gap' in wall && leave === undefined) return [finding({ ...base, id: `day/gap/${trip.id}`, level: 'fix', title: phrase('time.gap.title'), because: [phrase('time.gap.why', { zone, time: trip.leave.time })], mend })];
  const found: Finding[] = [];
  if (!('gap' in wall) && wall.twice && leave === wall.at) found.push(finding({ ...base, id: `day/twice/${trip.id}`, level: 'mind', title: phrase('time.twice.title'), because: [phrase('time.twice.why', { zone, time: trip.leave.time })], mend }));
  if (leave !== undefined && leave < now && trip.status === 'planned') found.push(finding({ ...base, id: `day/past/${trip.id}`, level: 'fix', title: phrase('time.past.title'), because: [phrase('time.past.why', { at: leave })], mend: { label: phrase('time.past.mend'), go: { type: 'trip', id: trip.id, pointer: '/leave/date' } } }));
  return found;
}

/** What the trip has, in the words that tasks of getting ready ask for. */
function has({ boat, people }: Context): Set<string> {
  const words = new Set<string>();
  if (boat) {
    const moves = drives(boat);
    if (moves.combustion) words.add('combustion');
    if (moves.sail) words.add('sail');
    if (boat.kind === 'inflatable' || boat.kind === 'raft' || boat.kind === 'paddleboard') words.add('inflate');
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
const rank = ({ level, section }: Finding) => LEVELS.indexOf(level) * PHASES.length + PHASES.indexOf(section.slice(0, section.indexOf('/')));

/** Worst level first, then in the order of the day, then by id: the same findings always stand in the same order. */
function sorted(findings: Finding[]): Finding[] {
  const ranked = findings.map((finding) => ({ finding, rank: rank(finding) }));
  return ranked.sort((a, b) => a.rank - b.rank || (a.finding.id < b.finding.id ? -1 : 1)).map(({ finding }) => finding);
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
