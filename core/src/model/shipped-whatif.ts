import * as z from 'zod';
import { CLOTHING, INCIDENT_KINDS, type ClothingKind, type IncidentKind } from './lists';
import { CAPABILITIES } from './capabilities';
import { CONFIDENCE } from './rules';

// What ships of the question what if, held against its schemas by a test alone.

const From = {
  note: z.string().max(700),
  source: z.string().max(60),
  confidence: z.enum(CONFIDENCE),
};

/** What happened, when home may be recommended, and whether her motor may still drive her (`whatif/mishaps.json`). */
export const MishapData = z.strictObject({
  ...From,
  speeds: z.array(z.number().positive()).min(1),
  boats: z.array(z.number().positive()).min(1),
  rows: z
    .array(
      z.strictObject({ id: z.string().max(20), home: z.enum(['nearest', 'within']), motor: z.boolean() }),
    )
    .min(1),
});

/** Events of a timeline that a limit is made of, and those that come before it in time, or not. */
export const LIMIT_EVENTS = ['start', 'under', 'hands', 'worn', 'full', 'rocks', 'dark'] as const;
export const REMEDIES = ['known', 'help', 'out', 'landed', 'held', 'shines', 'finds'] as const;

const incidents = Object.keys(INCIDENT_KINDS) as [IncidentKind, ...IncidentKind[]];

/** Something that goes wrong (`whatif/incidents.json`). */
export const IncidentRow = z.strictObject({
  id: z.enum(incidents),
  /** Of whom it can be asked. */
  needs: z.enum(['any', 'motor', 'arms', 'opening', 'crew', 'company']),
  /** Who is in the water. */
  in: z.enum(['nobody', 'one', 'driver', 'all']),
  /** What becomes of the boat. */
  boat: z.enum(['adrift', 'afloat', 'over', 'filling', 'left']),
  /** With what one can still call: all that is aboard, or what is on the bodies in the water. */
  calls: z.enum(['boat', 'body']),
  /** Those aboard see it. */
  seen: z.boolean().optional(),
  /** How one comes out of the water again. */
  out: z.enum(['righting', 'turn', 'cord']).optional(),
  /** Neither radio nor phone is answered. */
  silent: z.boolean().optional(),
  /** How fast she still goes. */
  still: z.enum(['none', 'usual', 'slow', 'tow', 'other']),
  measures: z.array(z.string().max(20)).min(1),
});
export type IncidentRow = z.infer<typeof IncidentRow>;

/** A gap: how long a limit is passed before what would help; from which minutes on it is long, and very long. */
export const MeasureRow = z.strictObject({
  id: z.string().max(20),
  limit: z.enum(LIMIT_EVENTS),
  before: z.array(z.enum(REMEDIES)).min(1),
  long: z.number().positive(),
  very: z.number().positive().optional(),
});
export type MeasureRow = z.infer<typeof MeasureRow>;

export const IncidentData = z.strictObject({
  ...From,
  rows: z.array(IncidentRow).min(1),
  measures: z.array(MeasureRow).min(1),
});
export type IncidentData = z.infer<typeof IncidentData>;

/** What is asked of the crew before it leaves, aloud, and what a good answer holds (`whatif/questions.json`). */
export const QuestionData = z.strictObject({
  ...From,
  rows: z.array(
    z.strictObject({ incident: z.enum(incidents), asks: z.string().max(200), holds: z.string().max(240) }),
  ),
});
export type QuestionData = z.infer<typeof QuestionData>;

/** Which checks before leaving speak of an incident (`whatif/checks.json`): findings by kind, and what is asked for. */
export const CheckData = z.strictObject({
  ...From,
  rows: z.array(
    z.strictObject({
      incident: z.enum(incidents),
      findings: z.array(z.string().max(40)).min(1),
      asks: z.array(z.enum(CAPABILITIES)),
    }),
  ),
});
export type CheckData = z.infer<typeof CheckData>;

/** What changes cost (`whatif/changes.json`), from a hand’s turn up, and how many are tried. */
export const ChangeData = z.strictObject({
  ...From,
  costs: z.record(z.string().max(20), z.number().int().positive()),
  most: z.number().int().positive(),
  matters: z.array(z.enum(CAPABILITIES)),
  contacts: z.number().int().positive(),
});

const clothes = Object.keys(CLOTHING) as [ClothingKind, ...ClothingKind[]];
/** By how much clothing puts off being worn out (`whatif/clothed.json`). */
export const ClothedData = z.strictObject({ ...From, near: z.record(z.enum(clothes), z.number().min(1)) });
export type ClothedData = z.infer<typeof ClothedData>;
