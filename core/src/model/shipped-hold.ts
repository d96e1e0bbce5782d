import * as z from 'zod';
import {
  ANCHORS,
  CRAFT,
  POLES,
  SEABEDS,
  type AnchorKind,
  type Craft,
  type PoleKind,
  type Seabed,
} from './lists';
import { CONFIDENCE } from './rules';

// What ships of anchors and lines, held against its schemas by a test alone.

const crafts = Object.keys(CRAFT) as [Craft, ...Craft[]];
type Bottom = Exclude<Seabed, 'mixed'>;
const bottoms = Object.keys(SEABEDS).filter((seabed) => seabed !== 'mixed') as [Bottom, ...Bottom[]];
type Heavy = Extract<AnchorKind, `weight-${string}`>;
const kinds = Object.keys(ANCHORS) as AnchorKind[];
const heavy = kinds.filter((kind) => kind.startsWith('weight-')) as [Heavy, ...Heavy[]];
type Digs = Exclude<AnchorKind, Heavy>;
const digs = kinds.filter((kind) => !kind.startsWith('weight-')) as [Digs, ...Digs[]];

const Span = z
  .tuple([z.number().min(0), z.number().positive().or(z.literal(0))])
  .refine(([low, high]) => low <= high, 'least before most');
const told = { source: z.string().max(60), confidence: z.enum(CONFIDENCE), note: z.string().max(400) };

/** What wind and stream push on (`hold/loads.json`): coefficients, areas in m², and by how much a pull surges. */
export const HoldLoads = z.strictObject({
  ...told,
  air: z.strictObject({ hullBow: Span, hullBeam: Span, above: Span }),
  water: z.strictObject({ bow: Span, beam: Span }),
  body: z.strictObject({ seated: Span, standing: Span }),
  standing: z.array(z.enum(crafts)),
  top: z.record(z.enum(crafts), z.strictObject({ bow: Span, beam: Span })),
  surge: z.strictObject({
    ...told,
    rows: z
      .array(z.strictObject({ upTo: z.number().positive().optional(), times: z.number().min(1) }))
      .min(1)
      .refine((rows) => rows.at(-1)?.upTo === undefined, 'the last row has no end'),
  }),
  builders: z.strictObject({
    ...told,
    /** Knots; rows are feet of length and pounds of force. */
    wind: z.number().positive(),
    rows: z.array(z.tuple([z.number().positive(), z.number().positive()])).min(2),
  }),
});
export type HoldLoads = z.infer<typeof HoldLoads>;

/** Which craft practice keeps from what (`hold/practice.json`). */
export const HoldPractice = z.strictObject({
  ...told,
  small: z.array(z.enum(crafts)),
  river: z.array(z.enum(crafts)),
  bowOnly: z.array(z.enum(crafts)),
});
export type HoldPractice = z.infer<typeof HoldPractice>;

const Grade = z.strictObject({ grade: z.enum(['good', 'fair', 'poor']), ratio: Span });
/** What anchors hold (`hold/anchors.json`): over their weight by kind and bottom, by friction, and by how their line leads. */
export const AnchorData = z.strictObject({
  ...told,
  rows: z.record(z.enum(digs), z.record(z.enum(bottoms), Grade)),
  /** Share of its weight that iron has in water, and what weights have. */
  iron: z.number().min(0).max(1),
  weights: z.record(z.enum(heavy), z.number().min(0).max(1)),
  friction: z.strictObject({ ...told, rows: z.record(z.enum(bottoms), Span) }),
  lead: z.strictObject({
    ...told,
    rows: z.array(z.strictObject({ degrees: z.number().min(0).max(90), share: Span })).min(2),
  }),
  usual: z.strictObject({ ...told, small: Span, other: Span }),
});
export type AnchorData = z.infer<typeof AnchorData>;

const bottomed = <S extends z.ZodType>(schema: S) => z.partialRecord(z.enum(bottoms), schema);
/** Poles in the ground (`hold/poles.json`). */
export const PoleData = z.strictObject({
  ...told,
  goesIn: z.record(z.enum(bottoms), Span),
  soft: bottomed(Span),
  loose: bottomed(z.strictObject({ weight: Span, friction: Span })),
  materials: z.record(
    z.enum(Object.keys(POLES) as [PoleKind, ...PoleKind[]]),
    z.strictObject({ stiff: Span, strong: Span, solid: z.boolean() }),
  ),
  tube: z.strictObject({ ...told, wall: Span }),
  over: z.strictObject({ ...told, metres: z.number().min(0) }),
  school: z.strictObject({ ...told, usual: z.number(), most: z.number(), past: Span }),
});
export type PoleData = z.infer<typeof PoleData>;

/** Sea anchors and socks (`hold/sea-anchors.json`). */
export const SeaAnchorData = z.strictObject({
  ...told,
  small: z.strictObject({ across: Span, line: Span }),
  other: z.strictObject({ acrossShare: Span, lineLengths: z.number(), lineLeast: z.number() }),
  drag: z.strictObject({ ...told, coefficient: Span }),
  blow: z.strictObject({ ...told, small: z.number(), other: z.number() }),
});
export type SeaAnchorData = z.infer<typeof SeaAnchorData>;

const LeewayRow = z.strictObject({
  name: z.string().max(80),
  slope: Span,
  /** Knots. */
  offset: z.number(),
  /** Degrees to either side of straight downwind. */
  divergence: z.number().min(0).max(90),
  /** m/s */
  error: z.number().min(0),
  source: z.string().max(60),
  confidence: z.enum(CONFIDENCE),
});
const RowId = z.string().max(20);
/** How things drift (`hold/leeway.json`). */
export const LeewayData = z
  .strictObject({
    ...told,
    rows: z.record(RowId, LeewayRow),
    crafts: z.record(z.enum(crafts), z.strictObject({ afloat: RowId, swamped: RowId })),
    person: z.strictObject({ jacket: RowId, suit: RowId, suits: z.array(z.string().max(20)) }),
    sock: z.strictObject({ ...told, share: Span }),
  })
  .refine(
    ({ rows, crafts: by, person }) =>
      [
        ...Object.values(by).flatMap(({ afloat, swamped }) => [afloat, swamped]),
        person.jacket,
        person.suit,
      ].every((id) => id in rows),
    'a row for each',
  );
export type LeewayData = z.infer<typeof LeewayData>;

/** Lines and chains (`hold/lines.json`): stiffness in N/mm², weights, and how much is let out. */
export const HoldLines = z.strictObject({
  ...told,
  stiff: z.partialRecord(z.enum(['nylon', 'polyester', 'polypropylene', 'cord']), Span),
  most: z.number().min(0).max(1),
  /** Millimetres of a chain's links where nobody said. */
  thin: z.number().positive(),
  chain: z.strictObject({ perSquare: z.number().positive(), submerged: z.number().min(0).max(1) }),
  scopes: z.strictObject({
    ...told,
    rows: z.record(z.enum(['lunch', 'chain', 'least', 'usual', 'storm']), z.number().min(1)),
  }),
});
export type HoldLines = z.infer<typeof HoldLines>;
