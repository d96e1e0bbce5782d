import * as z from 'zod';
import { CAPABILITIES } from './capabilities';
import { CivilDate, Text, thing } from './common';
import { STOWAGE } from './lists';

/** A limit with its unit as the text writes it, turned into SI when compared. */
export const Limit = z.strictObject({ value: z.number(), unit: z.string().max(8) });
const Value = z.union([z.boolean(), z.number(), z.string().max(80), Limit]);

/**
 * A condition is data: an expression over named facts, evaluated three-valued (`rules/evaluate`).
 * Depth and size are bounded so that a hostile pack can't hang the evaluator.
 */
export type Condition =
  | { all: Condition[] }
  | { any: Condition[] }
  | { not: Condition }
  | { always: true }
  | { fact: string; is: z.infer<typeof Value>; unsaid?: 'yes' | 'no' }
  | { fact: string; in: (string | number)[] }
  | { fact: string; under: z.infer<typeof Value> }
  | { fact: string; atLeast: z.infer<typeof Value> }
  | { fact: string; over: z.infer<typeof Value> }
  | { fact: string; atMost: z.infer<typeof Value> }
  | { some: 'crew'; where: Condition };

const OPERATORS: readonly string[] = ['is', 'in', 'under', 'atLeast', 'over', 'atMost', 'unsaid'];

/** What no shape of a condition has, and where in it; undefined where the shape is one and a value is wrong. */
function misshapen(raw: unknown, at = ''): string | undefined {
  if (typeof raw !== 'object' || raw === null) return `${at} a condition is an object`;
  const { all, any, not, where } = raw as Record<string, unknown>;
  if ('fact' in raw) {
    const strange = Object.keys(raw).find((key) => key !== 'fact' && !OPERATORS.includes(key));
    return strange === undefined
      ? undefined
      : `${at} no operator is called "${strange}"; known: ${OPERATORS.join(', ')}`;
  }
  const [name, inner] = all === undefined ? ['any', any] : ['all', all];
  if (Array.isArray(inner))
    return inner.map((part, i) => misshapen(part, `${at}/${name}/${i}`)).find((fault) => fault !== undefined);
  if ('not' in raw) return misshapen(not, `${at}/not`);
  if ('some' in raw) return misshapen(where, `${at}/where`);
  return 'always' in raw
    ? undefined
    : `${at} a condition is always, all, any, not, some, or a fact with an operator`;
}

export const Condition: z.ZodType<Condition> = z.lazy(() =>
  z.union(
    [
      z.strictObject({ always: z.literal(true) }),
      z.strictObject({ all: z.array(Condition).min(1).max(40) }),
      z.strictObject({ any: z.array(Condition).min(1).max(40) }),
      z.strictObject({ not: Condition }),
      z.strictObject({ some: z.literal('crew'), where: Condition }),
      // `unsaid`: what counts while nobody said: the stricter of two lists, as the text has it.
      z.strictObject({ fact: z.string().max(60), is: Value, unsaid: z.enum(['yes', 'no']).optional() }),
      z.strictObject({
        fact: z.string().max(60),
        in: z
          .array(z.union([z.string().max(60), z.number()]))
          .min(1)
          .max(60),
      }),
      z.strictObject({ fact: z.string().max(60), under: Value }),
      z.strictObject({ fact: z.string().max(60), atLeast: Value }),
      z.strictObject({ fact: z.string().max(60), over: Value }),
      z.strictObject({ fact: z.string().max(60), atMost: Value }),
    ],
    { error: ({ input }) => misshapen(input)?.trim() },
  ),
);

const demand = {
  capability: z.enum(CAPABILITIES),
  count: z.number().int().min(1).max(99).optional(),
  /** `each`: one for every person aboard, matched to that body. */
  forWhom: z.literal('each').optional(),
  /** The furthest stowage that still counts. */
  within: z.enum(Object.keys(STOWAGE) as [keyof typeof STOWAGE, ...(keyof typeof STOWAGE)[]]).optional(),
  /** The text asks for an approved device. */
  approved: z.boolean().optional(),
  /** The line on it is at least this long. */
  leastLength: Limit.optional(),
  /** Another thing that has to be fixed to it: a jacket to throw, with its own whistle. */
  carries: z.enum(CAPABILITIES).optional(),
  /** An inflatable jacket counts only when it is worn: always, or where its label says so. */
  inflatable: z.enum(['worn', 'label']).optional(),
  /** The demand stands only where this holds: an older class that still serves older boats. */
  when: Condition.optional(),
  /** What serves a demand of this pool serves no other demand of it: a second extinguisher is a second one. */
  pool: z.string().max(40).optional(),
};
export const Demand = z.strictObject(demand);
export type Demand = z.infer<typeof Demand>;

export const CONFIDENCE = ['H', 'M', 'L'] as const;

export const Rule = z.strictObject({
  id: z.string().regex(/^[A-Za-z0-9-]{2,40}$/),
  layer: z.enum(['law', 'advice', 'own']),
  /** How loud unmet advice speaks. Law is always loud. */
  weight: z.enum(['fix', 'know']).optional(),
  title: Text,
  /** In plain words, ours. */
  text: z.string().max(600),
  /** Why a person would want it, for advice. */
  why: z.string().max(400).optional(),
  source: z.string().max(60),
  section: z.string().max(120),
  confidence: z.enum(CONFIDENCE),
  verified: z.boolean(),
  noted: CivilDate,
  when: Condition,
  unless: Condition.optional(),
  /** Alternatives: any one list of demands, whole, satisfies the rule. */
  anyOf: z.array(z.array(Demand).min(1).max(6)).max(6),
  /** Deeds that only people can vouch for: those for whom the condition holds wear their jacket, or the kill cord. */
  declared: z
    .strictObject({ worn: Condition.optional(), cord: Condition.optional() })
    .refine((d) => d.worn !== undefined || d.cord !== undefined, 'a deed: worn or cord')
    .optional(),
});
export type Rule = z.infer<typeof Rule>;

/** Facts of a situation, by name; those of people under `crew`. */
const Situation = z.record(
  z.string().max(60),
  z.union([
    z.boolean(),
    z.number(),
    z.string().max(60),
    z.strictObject({ low: z.number(), high: z.number() }),
  ]),
);

/** A situation and what the pack must say of it: a pack proves itself. */
export const Example = z.strictObject({
  title: Text,
  facts: Situation,
  crew: z.array(Situation).max(30).optional(),
  /** Ids of rules that must apply, must not, and must stay open. Rules that are not named are not looked at. */
  applies: z.array(z.string().max(40)).max(60).optional(),
  not: z.array(z.string().max(40)).max(60).optional(),
  open: z.array(z.string().max(40)).max(60).optional(),
});
export type Example = z.infer<typeof Example>;

export const RulePack = z.strictObject({
  schema: z.literal(2),
  id: z.string().regex(/^[a-z0-9-]{2,40}$/),
  title: Text,
  authority: Text,
  jurisdiction: z.string().max(12),
  version: z.string().max(20),
  inForce: CivilDate.optional(),
  /** The pack that an edited copy stands in for. */
  replaces: z.string().max(40).optional(),
  /** Whose approval counts here, by capability, `*` for all others: ids of `core/data/kit/approvals.json`. */
  approvals: z.record(z.string().max(40), z.array(z.string().max(20)).min(1).max(12)).optional(),
  /** Rules of other packs in whose place this one stands, where the condition holds: a State's own ages instead of the federal one. */
  displaces: z
    .array(z.strictObject({ pack: z.string().max(40), rule: z.string().max(40), when: Condition }))
    .max(20)
    .optional(),
  /** Who held the pack against the text, and when. */
  checked: z.strictObject({ by: Text, on: CivilDate }).optional(),
  questions: z
    .array(
      z.strictObject({
        id: z.string().max(40),
        ask: z.string().max(200),
        help: z.string().max(300).optional(),
        onWater: z.array(z.string().max(20)).optional(),
      }),
    )
    .max(20)
    .optional(),
  rules: z.array(Rule).max(500),
  examples: z.array(Example).max(300).optional(),
});
export type RulePack = z.infer<typeof RulePack>;

export const GearKind = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{2,40}$/),
  title: Text,
  group: z.enum([
    'wear',
    'signal',
    'light',
    'call',
    'drive',
    'water-out',
    'hold',
    'tool',
    'care',
    'comfort',
    'paper',
  ]),
  /** It costs so much that it is sooner borrowed than bought. */
  dear: z.boolean().optional(),
  supplies: z
    .array(
      z.strictObject({
        capability: z.enum(CAPABILITIES),
        /** The thing has to be worn or within this stowage to do its work, whatever a rule says. */
        within: z
          .enum(Object.keys(STOWAGE) as [keyof typeof STOWAGE, ...(keyof typeof STOWAGE)[]])
          .optional(),
      }),
    )
    .max(8),
  /** Capabilities that another packed thing must supply for this one to count. */
  needs: z.array(z.enum(CAPABILITIES)).max(4).optional(),
  /** Fields of the item that decide whether it counts. */
  dated: z.boolean().optional(),
  /** Good for so long from its making, where the label shows no end. */
  lastsMonths: z.number().min(1).max(600).optional(),
  /** Blown up by a cylinder, which must be full, tight and green. */
  cylinder: z.boolean().optional(),
  /** Has a line whose length matters. */
  lined: z.boolean().optional(),
  /** An anchor, which is told by its kind, its weight and what leads to it. */
  grounds: z.boolean().optional(),
  /** A pole, which is told by its length, its thickness and what it is made of. */
  poled: z.boolean().optional(),
  /** A sea anchor or a sock, which is told by its width and its line. */
  drags: z.boolean().optional(),
  sized: z.boolean().optional(),
  /** How it is used so that it does no harm. */
  use: z.array(z.string().max(200)).max(8).optional(),
  /** Counts only in a case that floats and keeps water out. */
  cased: z.boolean().optional(),
  /** It calls for help by a number of its own. */
  numbered: z.enum(['radio', 'beacon']).optional(),
  /** Holds fuel. */
  filled: z.boolean().optional(),
  /** Left in the water by itself, under a number. */
  marked: z.boolean().optional(),
  registered: z.boolean().optional(),
  charged: z.number().min(0).max(1).optional(),
  /** When it is put in hand; absent: the evening before. */
  when: z.enum(['week', 'evening', 'morning', 'car']).optional(),
  test: z
    .strictObject({
      how: z.string().max(300),
      passes: z.string().max(200),
      everyMonths: z.number().min(0.1).max(120),
      mustHavePassed: z.boolean(),
    })
    .optional(),
  /** Limits of the kind itself, whatever the single label says (46 CFR 160.076 for inflatable jackets). */
  leastAge: z.number().min(0).max(99).optional(),
  leastMass: z.number().min(0).max(200).optional(),
  notOn: z.array(z.string().max(30)).max(10).optional(),
  /** Not for rapids, unless the single label allows it. */
  notInRapids: z.boolean().optional(),
  source: z.string().max(60),
});
export type GearKind = z.infer<typeof GearKind>;
export const Catalogue = z.strictObject({
  schema: z.literal(1),
  version: z.string().max(20),
  kinds: z.array(GearKind).max(2000),
  /** What a jacket should lift where no shelter and no help is near: newtons by the wearer's mass, the last row without an end. */
  openWater: z
    .strictObject({
      waters: z.array(z.string().max(20)).min(1),
      least: z
        .array(z.strictObject({ upTo: z.number().positive().optional(), newtons: z.number().positive() }))
        .min(1),
      source: z.string().max(60),
    })
    .optional(),
});
export type Catalogue = z.infer<typeof Catalogue>;

/** A pack of one's own: imported, or a copy that was edited. */
export const OwnPack = z.strictObject({ ...thing, pack: RulePack });
export type OwnPack = z.infer<typeof OwnPack>;
