import * as z from 'zod';
import { CONFIDENCE } from './rules';

// What ships of the question where to go, held against its schema by a test alone.

/** What happened, when home may be recommended, and whether her motor may still drive her (`whatif/mishaps.json`). */
export const MishapData = z.strictObject({
  note: z.string().max(300),
  source: z.string().max(60),
  confidence: z.enum(CONFIDENCE),
  speeds: z.array(z.number().positive()).min(1),
  boats: z.array(z.number().positive()).min(1),
  rows: z
    .array(
      z.strictObject({ id: z.string().max(20), home: z.enum(['nearest', 'within']), motor: z.boolean() }),
    )
    .min(1),
});
