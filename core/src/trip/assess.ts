import { drives } from '../boat';
import { plusDays, wallToInstant, type WallResult } from '../earth';
import { liftFindings, type KitMatch } from '../kit';
import { LEVELS } from '../model/lists';
import type { Assessment, Figure, Finding, Level, Schedule } from '../model';
import { readyTasks, scheduleOf, READY } from '../passage';
import { contentHash, type World } from '../rules';
import { phrase } from '../say';
import { contextOf, finding, sure, type AssessInput, type Context } from './context';
import { crewFindings } from './crew';
import { dayFindings } from './day';
import { latestTurnOf } from './light';
import { TRAILED } from './limits';
import { shoreFindings } from './shore';
import { openingFindings } from './flooded';
import { daysOf, matchParty, partiesOf, partyFindings } from './parties';
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
        level: 'know',
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

/** The worst level among findings; Ready when there are none. */
export function worstLevel(findings: Pick<Finding, 'level'>[]): Level {
  return LEVELS.find((level) => findings.some((f) => f.level === level)) ?? 'ready';
}

export function countLevels(findings: Pick<Finding, 'level'>[]): Record<Level, number> {
  const counts: Record<Level, number> = { stop: 0, fix: 0, know: 0, ready: 0 };
  for (const { level } of findings) counts[level] += 1;
  return counts;
}
