import './words';
import type { MeasureRow, Phrase } from '../model';
import type { Band } from '../numeric';
import { phrase } from '../say';
import { MINUTE } from '../units';
import { MEASURES } from './incidents';
import { WHATIF } from './limits';
import type { Reckoned } from './reckon';

/** How bad a gap is at its cautious end: closed, short, long, very long. */
export type Grade = 0 | 1 | 2 | 3;

/** How long a limit is passed before anything that would help, seconds within limits. */
export interface Gap {
  measure: MeasureRow;
  gap: Band;
  /** When the limit is reached, and when the first of what would help comes, and surely. */
  limit: Band;
  first: Band;
  grade: Grade;
  /** What it leans on and is not known, or made up: the cautious end is taken for it. */
  leans: Phrase[];
}

/** A gap with its sentence. */
export interface SaidGap extends Gap {
  says: Phrase;
}

/** Less than this is none: nobody reckons in seconds here. */
const LEAST = WHATIF.limit('gain-least');
const SAID_FROM = WHATIF.limit('gap-said-from');
/** Is there a gap at all? */
export const isGap = ({ gap }: Pick<Gap, 'gap'>): boolean => gap.high >= LEAST;

const NEVER: Band = { low: Infinity, high: Infinity };
const START: Band = { low: 0, high: 0 };

/** When a limit is reached; absent where it is none here, and at once at the worst where nobody knows. */
function limitOf(reckoned: Reckoned, limit: MeasureRow['limit']): Band | undefined {
  const { phases, filling, rocks, dark } = reckoned;
  switch (limit) {
    case 'start':
      return START;
    case 'under':
    case 'hands':
    case 'worn':
      return phases?.[limit];
    case 'full':
      return filling?.full ?? { low: 0, high: Infinity };
    case 'rocks':
      return rocks;
    case 'dark':
      return { low: dark, high: dark };
  }
}

function remedyOf(reckoned: Reckoned, remedy: MeasureRow['before'][number]): Band {
  const { known, help, out, landed, held, shines, finds } = reckoned;
  switch (remedy) {
    case 'known':
      return known;
    case 'help':
      return help ?? NEVER;
    case 'out':
      return out ?? NEVER;
    case 'landed':
      return landed ?? NEVER;
    case 'held':
      return held ?? NEVER;
    case 'shines':
      return shines ? START : NEVER;
    case 'finds':
      return finds ? START : NEVER;
  }
}

/**
 * A limit against what comes before it: the most by the earliest limit and the latest remedy, the least by the latest limit and the
 * earliest remedy; nought where the remedy comes first. Of several remedies the first to come counts, and the latest is that of the
 * surest of them.
 */
export function gapBetween(limit: Band, remedies: readonly Band[]): Band {
  const { low: first, high: surest } = firstOf(remedies);
  const less = (later: number, sooner: number) =>
    sooner === Infinity ? 0 : later === Infinity ? Infinity : Math.max(0, later - sooner);
  return { low: less(first, limit.high), high: less(surest, limit.low) };
}

/** The soonest of several may come then, the surest of them by then. */
const firstOf = (remedies: readonly Band[]): Band => ({
  low: Math.min(Infinity, ...remedies.map(({ low }) => low)),
  high: Math.min(Infinity, ...remedies.map(({ high }) => high)),
});

const gradeOf = ({ high }: Band, { long, very }: MeasureRow): Grade =>
  high < LEAST ? 0 : very !== undefined && high > very * MINUTE ? 3 : high > long * MINUTE ? 2 : 1;

/** The gaps of what was reckoned, the worst first: by how bad they are, then how long, at the cautious end. */
export function gapsOf(reckoned: Reckoned): Gap[] {
  return MEASURES.filter(({ id }) => reckoned.row.measures.includes(id))
    .flatMap((measure): Gap[] => {
      const limit = limitOf(reckoned, measure.limit);
      // Nobody plans on help of which no time was said: that is told beside it, and measures nothing.
      if (!limit || (measure.id === 'late' && !reckoned.help)) return [];
      const remedies = measure.before.map((remedy) => remedyOf(reckoned, remedy));
      const gap = gapBetween(limit, remedies);
      return [
        {
          measure,
          gap,
          limit,
          first: firstOf(remedies),
          grade: gradeOf(gap, measure),
          leans: leansOf(reckoned, measure),
        },
      ];
    })
    .sort(worseFirst);
}

type Ranked = Pick<Gap, 'grade'> & { gap: Pick<Band, 'high'> };
export const worseFirst = (a: Ranked, b: Ranked): number =>
  b.grade - a.grade || order(a.gap.high, b.gap.high);

/** The longer first; two without an end are alike. */
const order = (a: number, b: number): number => (a === b ? 0 : b > a ? 1 : -1);

/** What a gap leans on that nobody said, or that is only a stand-in. */
function leansOf(reckoned: Reckoned, { limit, before }: MeasureRow): Phrase[] {
  const { phases, filling, ends, moment, nearest, invented, bodies, routes, known } = reckoned;
  const body = phases !== undefined && (limit === 'hands' || limit === 'worn' || limit === 'under');
  const told = before.includes('known') && known.high < Infinity;
  const surest = routes.find(({ after }) => after.high === known.high);
  const lands = before.includes('landed');
  const all: [boolean, Lean][] = [
    [body && phases.unknown && limit !== 'under', 'water'],
    [body && !phases.unknown && phases.unsaid && limit === 'worn', 'clothes'],
    [limit === 'under' && bodies[0]?.jacket === 'unknown', 'jacket'],
    [invented && ((body && limit !== 'under') || limit === 'rocks' || limit === 'full'), 'invented'],
    [limit === 'full' && filling === undefined, 'hull'],
    [limit === 'full' && filling?.hole.guessed === true, 'hole'],
    [limit === 'rocks' && ends?.unsaid === true, 'shore'],
    [lands && moment.flow === undefined, 'stream'],
    [lands && nearest?.sure !== true, 'landing'],
    [told && surest?.simulated === true, 'simulated'],
  ];
  return all.flatMap(([holds, lean]) => (holds ? [phrase(`gap.leans.${lean}`)] : []));
}
type Lean =
  | 'water'
  | 'clothes'
  | 'jacket'
  | 'invented'
  | 'hull'
  | 'hole'
  | 'shore'
  | 'stream'
  | 'landing'
  | 'simulated';

/** A gap in one sentence: as a band, an estimate, never a countdown. */
export function sayGap({ measure, gap: { low, high } }: Gap): Phrase {
  const id = measure.id as Said;
  if (high < LEAST) return phrase(`gap.${id}.closed`);
  // A gap that may begin within minutes is told by its far end alone.
  const some = low >= SAID_FROM;
  if (high === Infinity)
    return some && low !== Infinity ? phrase(`gap.${id}.from`, { from: low }) : phrase(`gap.${id}.ever`);
  return some
    ? phrase(`gap.${id}.band`, { from: low, until: high })
    : phrase(`gap.${id}.up`, { until: high });
}
type Said =
  | 'under'
  | 'under-aboard'
  | 'hands-aboard'
  | 'worn-aboard'
  | 'hands'
  | 'worn'
  | 'late'
  | 'full'
  | 'rocks'
  | 'dark'
  | 'open'
  | 'ashore'
  | 'blind'
  | 'silent'
  | 'adrift';
