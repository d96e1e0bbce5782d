import { distance, type LatLon } from '../earth';
import { applyPatch } from '../formats/pointer';
import { plannedPosition } from '../passage';
import type { AssessInput } from '../trip/context';
import { changesOf, type Change } from './changes';
import { gapsOf, isGap, sayGap, worseFirst, type Gap, type SaidGap } from './gaps';
import type { Incident } from './incidents';
import { WHATIF } from './limits';
import { momentOf, type Moment } from './moment';
import { reckon } from './reckon';
import { standingOf, type Standing } from './standing';

/** A change tried in the model: the worst gap of the same incident at the same place, with it. */
export interface Tried {
  change: Change;
  /** Absent: nothing is left of any gap. */
  then?: SaidGap;
}

const LOOKS = WHATIF.limit('glance-points');

/** The trip as it would be. A plan that was filed is taken to be filed anew, and accepted by whom it was. */
export function changed(
  input: AssessInput,
  { patch, accepted }: Pick<Change, 'patch' | 'accepted'>,
): AssessInput {
  const { plan } = input;
  const contacts = plan?.contacts.map((each) => (each.id === accepted ? { ...each, accepted: true } : each));
  return {
    ...input,
    trip: applyPatch(input.trip, [...patch]),
    ...(plan && contacts ? { plan: { ...plan, contacts } } : {}),
  };
}

/** The instant at which a plan passes a place nearest; of two as near the one at the same part of the day. */
export function passes(standing: Standing, here: LatLon, part: number): number | undefined {
  const { context, assessment } = standing;
  const { schedule } = assessment;
  const { trip, shed } = context;
  if (!schedule || schedule.home === undefined || trip.launch === undefined) return undefined;
  const { leave, home } = schedule;
  let best: { at: number; metres: number; off: number } | undefined;
  for (let i = 0; i <= LOOKS; i += 1) {
    const at = leave + ((home - leave) * i) / LOOKS;
    const there = plannedPosition(schedule, trip.launch, shed.places, at);
    if (!there) continue;
    const metres = distance(here, there).metres,
      off = Math.abs(i / LOOKS - part);
    const nearer = !best || metres < best.metres - ALIKE || (metres < best.metres + ALIKE && off < best.off);
    if (nearer) best = { at, metres, off };
  }
  return best?.at;
}
/** Two places nearer to each other than this are one, metres. */
const ALIKE = WHATIF.limit('place-alike');

/** Which part of the day a moment is. */
export function partOf({ assessment: { schedule } }: Standing, at: number): number {
  const { leave, home } = schedule ?? {};
  return leave === undefined || home === undefined || home <= leave ? 0 : (at - leave) / (home - leave);
}

/** The worst gap of an incident at a moment, where there is one. */
export const worstOf = (standing: Standing, moment: Moment, incident: Incident): Gap | undefined =>
  gapsOf(reckon(standing, moment, incident))[0];

/** What of a trip a filed plan’s own hours hang on. */
const HOURS: ReadonlySet<string> = new Set([
  'leave',
  'halts',
  'speed',
  'launch',
  'return',
  'graceMinutes',
  'alarmMinutes',
  'checkInMinutes',
]);
const movesHours = ({ patch }: Change): boolean =>
  patch.some(({ pointer }) => HOURS.has(pointer.split('/')[1] ?? ''));

/** One change tried: the same incident at the same place of the changed plan. */
export function tried(
  { standing, moment, incident }: Asked,
  change: Change,
): { standing: Standing; moment: Moment; then?: Gap } {
  const next = standingOf(changed(standing.input, change), movesHours(change));
  const at = passes(next, moment.here, partOf(standing, moment.at)) ?? moment.at;
  const there = momentOf(next, at, moment.here);
  const then = worstOf(next, there, incident);
  return { standing: next, moment: there, ...(then && isGap(then) ? { then } : {}) };
}

export interface Asked {
  standing: Standing;
  moment: Moment;
  incident: Incident;
}

/**
 * Every change tried, one by one, and those that shrink the worst gap, the most first; of those that gain alike the cheapest.
 * @yields how many were tried
 */
export function* bestChanges(asked: Asked): Generator<{ done: number; of: number }, Tried[]> {
  const { standing, moment, incident } = asked;
  const before = worstOf(standing, moment, incident);
  const all = before && isGap(before) ? changesOf(standing, moment) : [];
  const found: Tried[] = [];
  for (const [i, change] of all.entries()) {
    const { then } = tried(asked, change);
    if (before && gains(before, then))
      found.push({ change, ...(then ? { then: { ...then, says: sayGap(then) } } : {}) });
    yield { done: i + 1, of: all.length };
  }
  return found.sort(
    (a, b) => byGap(a.then, b.then) || a.change.cost - b.change.cost || (a.change.id < b.change.id ? -1 : 1),
  );
}

/** Less by half a minute at least: nobody changes a plan for less. */
const LEAST = WHATIF.limit('gain-least');

function gains(before: Gap, then: Gap | undefined): boolean {
  if (!then || then.grade < before.grade) return true;
  if (then.grade > before.grade) return false;
  if (then.gap.high === Infinity)
    return before.gap.high === Infinity && then.gap.low < before.gap.low - LEAST;
  return then.gap.high < before.gap.high - LEAST;
}

const byGap = (a: Gap | undefined, b: Gap | undefined): number =>
  a && b ? -worseFirst(a, b) : Number(a !== undefined) - Number(b !== undefined);
