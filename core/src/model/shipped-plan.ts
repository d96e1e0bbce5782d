import * as z from 'zod';
import { CONFIDENCE } from './rules';

// What ships of the float plan, held against its schemas by a test alone.

const from = { source: z.string().max(60), confidence: z.enum(CONFIDENCE) };
const Minutes = z.number().int().min(1).max(240);

const Step = z
  .strictObject({ usual: Minutes, sooner: Minutes, least: Minutes, most: Minutes, ...from })
  .refine(({ least, sooner, usual, most }) => least <= sooner && sooner <= usual && usual <= most, {
    message: 'out of their order',
  });
const Reason = z.strictObject({ under: z.number(), unit: z.string(), ...from, note: z.string().max(200) });

/** Who ashore hears what, and when (`floatplan/escalation.json`). */
export const EscalationData = z.strictObject({
  note: z.string().max(300),
  steps: z.strictObject({ told: Step, alarm: Step }),
  reminded: z.strictObject({ before: Minutes, ...from, note: z.string().max(200) }),
  sooner: z.strictObject({ child: Reason, cold: Reason, dusk: Reason }),
  answer: z.strictObject({ within: Minutes, unit: z.string(), ...from, note: z.string().max(200) }),
});

const Form = z.string().min(1).max(120);
/** How numbers look by which one is called (`floatplan/identity.json`): regular expressions. */
export const IdentityData = z.strictObject({
  note: z.string().max(300),
  source: z.string().max(60),
  forms: z.strictObject({ beacon: Form.array().min(1), radio: Form.array().min(1) }),
  phone: z.strictObject({ dialled: Form, least: z.number().int().min(1) }),
  mail: Form,
});
