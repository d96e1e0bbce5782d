import * as z from 'zod';
import { CAPABILITIES } from './capabilities';
import { CONFIDENCE } from './rules';

const Pair = z.tuple([z.number().positive(), z.number().positive()]);

/** How far a layer reaches: as it is told, in miles, or a light by how bright it is and how high it is held. */
const Reach = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('told'), miles: Pair }),
  z.strictObject({ kind: z.literal('light'), candela: Pair, height: z.number().min(0).max(500) }),
]);

export const SIGNAL_LAYERS = [
  'sound',
  'light',
  'reflection',
  'mirror',
  'flag',
  'flare',
  'smoke',
  'radio',
  'phone',
  'beacon',
] as const;

export const SignalLayer = z.strictObject({
  id: z.enum(SIGNAL_LAYERS),
  capabilities: z.array(z.enum(CAPABILITIES)).min(1).max(8),
  /** What has one of these is of another layer: a beacon is no radio, a flare no smoke. */
  without: z.array(z.enum(CAPABILITIES)).min(1).max(8).optional(),
  /** When it is noticed at all. */
  day: z.boolean(),
  night: z.boolean(),
  reach: Reach.optional(),
  source: z.string().max(60),
  confidence: z.enum(CONFIDENCE),
});
export type SignalLayer = z.infer<typeof SignalLayer>;

/** Signals in layers (`core/data/signals/layers.json`), and kinds of things that are a box for others. */
export const SignalLayers = z.strictObject({
  note: z.string().max(400),
  layers: z.array(SignalLayer).min(1),
  boxes: z.array(z.string().max(40)).min(1),
});
export type SignalLayers = z.infer<typeof SignalLayers>;

/** From where something small is seen (`core/data/signals/seen.json`): minutes of arc, metres, knots, candela. */
export const SeenData = z.strictObject({
  note: z.string().max(400),
  source: z.string().max(60),
  confidence: z.enum(CONFIDENCE),
  arcMinutes: Pair,
  eye: z.number().positive(),
  knots: z.number().positive(),
  clear: z.number().positive(),
  seated: z.number().positive(),
  inWater: z.number().positive(),
  mast: z.number().positive(),
  lamp: z.number().positive(),
});
export type SeenData = z.infer<typeof SeenData>;

export const PURPOSES = [
  'floats',
  'heard',
  'seen-day',
  'seen-night',
  'calls',
  'found',
  'cuts',
  'warms',
  'head',
  'feet',
] as const;
/** What things on a body are for once the boat is gone (`core/data/kit/purposes.json`). */
export const Purpose = z.strictObject({
  id: z.enum(PURPOSES),
  capabilities: z.array(z.enum(CAPABILITIES)).min(1).max(8),
});
export type Purpose = z.infer<typeof Purpose>;
