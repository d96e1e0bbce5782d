import * as z from 'zod';
import { Text } from './common';
import { Condition } from './rules';

/** Whose hands a step takes. */
export const HANDS = ['Driver', 'Helper', 'Helm'] as const;
export type Hand = (typeof HANDS)[number];

const Id = z.string().regex(/^[a-z0-9-]{2,60}$/);
/** A sentence; `{rode:length}` stands for a figure that the procedure declares. */
const Sentence = z.string().min(3).max(400);

export const StepRow = z.strictObject({
  id: Id,
  what: Sentence,
  /** The same where its condition can't be told: it then says for whom it is ("In the dark: …"). */
  unsettled: Sentence.optional(),
  why: Sentence,
  danger: Sentence.optional(),
  /** Whose hands it takes, where more than one is there. */
  who: z.enum(HANDS).optional(),
  /** How long it takes, where practice says. */
  minutes: z.number().positive().max(240).optional(),
  /** Must be looked at again, by another eye or later: it has sunk boats. */
  second: z.boolean().optional(),
  when: Condition.optional(),
  /** Steps that must be done first, with their second looks: what follows can't be undone. */
  after: z.array(Id).max(20).optional(),
  /** The same from the other side: what stays locked until this one is done. */
  locks: z.array(Id).max(20).optional(),
});
export type StepRow = z.infer<typeof StepRow>;

/** What is told of here and now on a card of trouble. */
export const NOW = [
  'right',
  'people',
  'cold',
  'wind',
  'tide',
  'thunder',
  'light',
  'landing',
  'openings',
  'swamped',
  'signals',
  'watch',
] as const;
export type NowId = (typeof NOW)[number];

/** What stands on a card of trouble before its steps. */
export const Card = z.strictObject({
  /** Under which head it stands among the others. */
  about: z.enum(['over', 'people', 'boat', 'water']),
  /** The first ten seconds. */
  first: Sentence,
  /** What of here and now decides. */
  now: z.array(z.enum(NOW)).max(8).optional(),
  /** How it is called: in distress, in urgency, or not by radio. */
  call: z.enum(['mayday', 'pan', 'none']),
  /** What is said to be the matter. */
  nature: Sentence.optional(),
});
export type Card = z.infer<typeof Card>;

/** Steps for a situation (`core/data/procedure`, one file each): which hold, in which order, is made from the facts of a trip. */
export const ProcedureRow = z.strictObject({
  schema: z.literal(1),
  id: Id,
  title: Text,
  group: z.enum(['go', 'hold', 'trouble', 'home', 'fish', 'check']),
  card: Card.optional(),
  /** What a person reads before starting. */
  stopIf: Sentence.optional(),
  for: Condition,
  source: z.string().max(60),
  confidence: z.enum(['H', 'M', 'L']),
  /** Figures that sentences name, by the name they use: what it is, and what is said while it is not known. */
  figures: z
    .record(
      z.string().regex(/^[a-z][A-Za-z]{1,30}$/),
      z.strictObject({ quantity: z.string().max(20), unknown: z.string().min(3).max(120) }),
    )
    .optional(),
  steps: z.array(StepRow).min(1).max(60),
  /** Where practitioners differ: the question, and what each side says. */
  schools: z
    .array(z.strictObject({ question: Text, sides: z.array(Sentence).min(2).max(5) }))
    .max(8)
    .optional(),
});
export type ProcedureRow = z.infer<typeof ProcedureRow>;
