import type { Phrase, ProcedureRow, StepRow } from '../model';
import { CRAFT } from '../model/lists';
import { evaluate, type World } from '../rules';
import { own, phrase } from '../say';

/** A step as it is read: its sentences filled with the figures of this trip. */
export interface Step extends Omit<StepRow, 'what' | 'unsettled' | 'why' | 'danger' | 'when'> {
  what: Phrase;
  why: Phrase;
  danger?: Phrase;
  n: number;
  of: number;
}

export interface Procedure extends Omit<ProcedureRow, 'steps' | 'stopIf'> {
  stopIf?: Phrase;
  steps: Step[];
  /** Minutes of all its steps that say how long they take; absent where none does. */
  minutes?: number;
}

/** What a trip knows of the figures that a procedure names, SI, by the name that its sentences use. */
export type StepFigures = Readonly<Record<string, number | undefined>>;

/** Not refuted; of a boat of which nobody said the kind, whatever kind she is. */
function suits({ for: when }: ProcedureRow, world: World): boolean {
  if (world.facts['boat.kind'] !== undefined) return evaluate(when, world).truth !== 'no';
  return Object.keys(CRAFT).every(
    (kind) => evaluate(when, { ...world, facts: { ...world.facts, 'boat.kind': kind } }).truth !== 'no',
  );
}

/** The procedures that suit a boat: those whose condition is not refuted; without a boat, those of all craft. */
export function proceduresFor(rows: ProcedureRow[], world: World, figures: StepFigures = {}): Procedure[] {
  return rows.filter((row) => suits(row, world)).map((row) => procedureOf(row, world, [], figures));
}

/**
 * The steps for these facts, with what was forgotten on earlier trips asked first. A step whose condition does not hold is
 * left out; one that can't be told stays in, and says for whom it is.
 * @param figures what its sentences name; one that is not known is said in the words that the procedure has for it
 */
export function procedureOf(
  row: ProcedureRow,
  world: World,
  forgotten: string[] = [],
  figures: StepFigures = {},
): Procedure {
  const say = (template: string) => own(template, valuesOf(row, figures));
  const asked = row.group === 'go' ? forgotten.map(askedFor) : [];
  const chosen = row.steps.flatMap(({ what, unsettled, why, danger, when, ...step }) => {
    const truth = when ? evaluate(when, world).truth : 'yes';
    if (truth === 'no') return [];
    const sentence = truth === 'unknown' ? (unsettled ?? what) : what;
    return [{ ...step, what: say(sentence), why: say(why), ...(danger ? { danger: say(danger) } : {}) }];
  });
  const steps = [...asked, ...chosen];
  const minutes = steps.reduce((sum, step) => sum + (step.minutes ?? 0), 0);
  const { stopIf, ...rest } = row;
  return {
    ...rest,
    ...(stopIf ? { stopIf: say(stopIf) } : {}),
    ...(minutes > 0 ? { minutes } : {}),
    steps: steps.map((step, i) => ({ ...step, n: i + 1, of: steps.length })),
  };
}

/** A figure that is not known stands as the words that say so. */
function valuesOf({ figures = {} }: ProcedureRow, known: StepFigures): Record<string, number | string> {
  return Object.fromEntries(
    Object.entries(figures).map(([name, { unknown }]) => [name, known[name] ?? unknown]),
  );
}

/** The sentence of each step by its id, apart from any trip: figures stand as the words for what is not known. */
export const sentencesOf = (row: ProcedureRow): ReadonlyMap<string, Phrase> => {
  const values = valuesOf(row, {});
  return new Map(row.steps.map(({ id, what }) => [id, own(what, values)]));
};

/** What was forgotten before is a step of its own; known by its words, so that it stays itself when the list changes. */
const askedFor = (what: string): Omit<Step, 'n' | 'of'> => ({
  id: `forgotten:${slug(what)}`,
  what: phrase('procedure.forgotten', { what }),
  why: phrase('procedure.forgotten.why'),
});

const slug = (what: string) =>
  what
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .slice(0, 48);
