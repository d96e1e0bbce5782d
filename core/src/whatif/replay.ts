import './words';
import data from '../../data/whatif/checks.json';
import { LEVELS, type CloseCallDeed } from '../model/lists';
import type { CheckData, Finding, CloseCall, Phrase } from '../model';
import type { Band } from '../numeric';
import { phrase } from '../say';
import { MS } from '../units';
import { ask, momentAt, type Answer } from './ask';
import { bestChanges, tried, type Tried } from './best';
import { WHATIF } from './limits';
import { reckon, type Reckoned } from './reckon';
import type { Standing } from './standing';

const { rows: CHECKS } = data as unknown as CheckData;

/** What was so, and what the model says of the same. */
export interface Beside {
  what: CloseCallDeed;
  at: number;
  /** Seconds after it began. */
  after: number;
  says: Phrase[];
}

/** A thing that would have helped, with the minute at which it would have. */
export interface Thing extends Tried {
  /** Absent where it changes nothing of when somebody knows. */
  says?: Phrase;
}

/** A near miss run back through the model. */
export interface Replay {
  answer: Answer;
  beside: Beside[];
  /** Checks that stood open as they left and speak of it; worst first. */
  checks: Pick<Finding, 'id' | 'level' | 'title'>[];
  things: Thing[];
}

/** Which deed is what of the model. */
const SAME: Partial<Record<CloseCallDeed, (reckoned: Reckoned) => Band | undefined>> = {
  answered: ({ known }) => known,
  out: ({ out }) => out,
  landed: ({ landed }) => landed,
  helped: ({ help }) => help,
};
/** Deeds that end it, the first of them counts: somebody knew. */
const KNEW: readonly CloseCallDeed[] = ['answered', 'helped', 'over'];
const SHOWN = WHATIF.limit('things-shown');

/**
 * What really happened against what is reckoned of it: which check stood open, which minute would have been another, which thing
 * would have caught it. A moment before or after the hours of the plan is where the plan has them at its ends.
 * @yields how many changes were tried
 */
export function* replaySteps(
  standing: Standing,
  { incident: id, at: began, deeds }: CloseCall,
): Generator<{ done: number; of: number }, Replay | undefined> {
  const at = Date.parse(began);
  const incident = { id };
  const answer = ask(standing, { at, incident });
  const moment = momentAt(standing, at);
  if (!answer || !moment) return undefined;
  const reckoned = reckon(standing, moment, incident);
  const real = deeds
    .map(({ what, at: then }) => ({ what, at: Date.parse(then) }))
    .filter((deed) => deed.at >= at)
    .sort((a, b) => a.at - b.at);
  const asked = { standing, moment, incident };
  const steps = bestChanges(asked);
  let next = steps.next();
  while (!next.done) {
    yield next.value;
    next = steps.next();
  }
  const knew = real.find(({ what }) => KNEW.includes(what))?.at;
  return {
    answer,
    beside: real.map(({ what, at: then }) => besideOf(what, then, at, reckoned)),
    checks: checksOf(standing, id),
    things: next.value.slice(0, SHOWN).map((each) => withMinute(each, asked, reckoned.known, knew)),
  };
}

/** When somebody would have known with a change, where it makes that sooner than the plan would have. */
function withMinute(
  each: Tried,
  asked: Parameters<typeof tried>[0],
  was: Band,
  knew: number | undefined,
): Thing {
  const { standing, moment } = tried(asked, each.change);
  const { low, high } = reckon(standing, moment, asked.incident).known;
  const { at } = asked.moment;
  if (high < was.high) {
    const would = at + high * MS.second;
    return knew !== undefined && would >= knew
      ? { ...each, says: phrase('replay.later') }
      : { ...each, says: soonerThan(would, knew ?? at + was.high * MS.second) };
  }
  return low < was.low ? { ...each, says: phrase('replay.unsure', { at: at + low * MS.second }) } : each;
}

const soonerThan = (would: number, knew: number): Phrase =>
  knew === Infinity
    ? phrase('replay.at', { at: would })
    : phrase('replay.sooner', { at: would, by: (knew - would) / MS.second });

function besideOf(what: CloseCallDeed, then: number, at: number, reckoned: Reckoned): Beside {
  const after = (then - at) / MS.second;
  const model = SAME[what]?.(reckoned);
  return {
    what,
    at: then,
    after,
    says: [...(model ? [against(after, model)] : []), ...inWater(what, after, reckoned)],
  };
}

function against(after: number, { low, high }: Band): Phrase {
  if (low === Infinity) return phrase('replay.none');
  if (after < low) return phrase('replay.before', { from: low });
  if (after > high) return phrase('replay.after', { until: high });
  return high === Infinity
    ? phrase('replay.within.from', { from: low })
    : phrase('replay.within', { from: low, until: high });
}

/** How long they were in the water, against what it does. */
function inWater(what: CloseCallDeed, after: number, { phases }: Reckoned): Phrase[] {
  if (what !== 'out' || !phases?.worn || phases.unknown) return [];
  const { hands, worn } = phases;
  return [
    hands
      ? phrase('replay.water', { for: after, hands: hands.low, worn: worn.low })
      : phrase('replay.water.worn', { for: after, worn: worn.low }),
  ];
}

/** What stood open before they left, of the kinds that speak of it, and what was asked for and not there. */
function checksOf({ assessment }: Standing, incident: CloseCall['incident']): Replay['checks'] {
  const row = CHECKS.find((each) => each.incident === incident);
  if (!row) return [];
  const asks = new Set<string>(row.asks);
  const found = assessment.findings
    .filter(({ id, level }) => level !== 'ready' && row.findings.some((kind) => id.startsWith(kind)))
    .map(({ id, level, title }) => ({ id, level, title }));
  const lacked = assessment.requirements
    .filter(
      ({ met, applies, anyOf }) =>
        met !== 'yes' && applies !== 'no' && anyOf.flat().some(({ capability }) => asks.has(capability)),
    )
    .map(({ pack, rule, title, met }) => ({
      id: `${pack}/${rule}`,
      level: met === 'no' ? ('fix' as const) : ('know' as const),
      title: phrase('replay.lacked', { title }),
    }));
  const seen = new Set<string>();
  return [...found, ...lacked]
    .filter(({ id }) => !seen.has(id) && seen.add(id))
    .sort((a, b) => LEVELS.indexOf(a.level) - LEVELS.indexOf(b.level));
}
