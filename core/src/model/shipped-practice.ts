import * as z from 'zod';
import { CRAFT, DRILLS, type Craft, type DrillKind } from './lists';
import { Condition, CONFIDENCE } from './rules';

// What ships for practising, held against its schemas by a test alone.

const From = { source: z.string().max(60), confidence: z.enum(CONFIDENCE), note: z.string().max(700) };
const at = { x: z.number(), y: z.number() };
const metres = z.number().positive();

/** Cars, hands and courses for backing a trailer (`ramp/driving.json`): metres, degrees, seconds. */
export const DrivingData = z.strictObject({
  ...From,
  car: z.strictObject({
    wheelbase: metres,
    overhang: metres,
    drawbar: metres,
    circle: metres,
    track: metres,
    touches: z.number().min(45).max(120),
    nose: metres,
    tail: metres,
    half: metres,
    eye: z.strictObject({ ahead: metres, side: metres, up: metres }),
  }),
  trailer: z.strictObject({ bow: metres, half: metres, behind: metres, up: metres, low: metres }),
  pace: z.strictObject({ arms: metres, gains: metres, back: metres, ahead: metres }),
  score: z.strictObject({
    lane: metres,
    correction: metres,
    pull: metres,
    slow: metres,
    touch: metres,
    jack: metres,
    counts: z.number().positive().max(1),
    moved: metres,
    straight: z.number().positive().max(30),
  }),
  courses: z
    .array(
      z.strictObject({
        id: z.string().max(20),
        title: z.string().max(60),
        lead: z.string().max(200),
        lane: z.strictObject({ half: metres, from: z.number(), until: z.number() }),
        goal: z.number(),
        water: z.number().optional(),
        crest: z.strictObject({ y: z.number(), slope: z.number().positive().max(0.3) }).optional(),
        start: z.strictObject({ ...at, heading: z.number().min(0).max(360) }),
        cones: z.array(z.strictObject(at)),
        solids: z.array(z.strictObject({ what: z.enum(['rig', 'dock']), ...at, wide: metres, long: metres })),
        par: z.strictObject({
          corrections: z.number().int().min(0),
          pulls: z.number().int().min(0),
          seconds: z.number().positive(),
        }),
      }),
    )
    .min(1),
});

/** How a boat moves while she is turned upright (`recover/turning.json`): seconds, degrees, shares. */
export const TurningData = z.strictObject({
  ...From,
  waterSlows: metres,
  runsOut: metres,
  lifted: metres,
  turtle: z.strictObject({ after: metres, rate: metres, at: metres }),
  up: metres,
  overEdge: metres,
  lull: z.number().min(0).max(1),
  still: metres,
});

const Blows = z.strictObject({
  minute: z.number().min(0),
  speed: z.number().min(0),
  gust: z.number().min(0),
  from: z.number().min(0).max(360),
});
/** Places to practise anchoring at (`hold/anchoring.json`): metres, seconds, knots, degrees true, newtons. */
export const AnchoringData = z.strictObject({
  ...From,
  pays: metres,
  pulls: metres,
  settles: metres,
  astern: z.strictObject({ force: metres, speed: metres }),
  takesUp: z.strictObject({ share: z.number().positive().max(1), least: metres }),
  dug: z.strictObject({
    first: z.number().min(0).max(1),
    within: metres,
    level: metres,
    lifts: metres,
    turns: metres,
    load: z.number().min(0).max(1),
  }),
  gusts: z.strictObject({ periods: z.array(metres).min(1) }),
  looks: metres,
  score: z.strictObject({ dragged: metres, out: metres, near: metres, close: metres, ended: metres }),
  scenes: z
    .array(
      z.strictObject({
        id: z.string().max(20),
        title: z.string().max(60),
        lead: z.string().max(200),
        depth: metres,
        seabed: z.enum(['sand', 'mud', 'rock', 'weed', 'mixed']),
        wave: z.number().min(0),
        minutes: metres,
        wind: z.array(Blows).min(2),
        stream: z.strictObject({
          sets: z.number().min(0).max(360),
          speed: z.number().min(0),
          minutes: metres,
        }),
        near: z.array(z.strictObject({ what: z.enum(['rocks', 'boat']), ...at, radius: metres })).min(1),
      }),
    )
    .min(1),
});

const share = z.number().min(0).max(1);
const degrees = z.number().min(0).max(360);
/** When to spend flares (`signals/spending.json`): miles, knots, minutes, metres, candela, lux, shares a second. */
export const SpendingData = z.strictObject({
  ...From,
  flare: z.strictObject({ candela: metres, seconds: metres, height: metres }),
  lux: z.strictObject({ day: metres, night: metres }),
  notices: z.strictObject({ ahead: share, abeam: share, astern: share, within: metres, behind: metres }),
  heard: metres,
  scenes: z
    .array(
      z.strictObject({
        id: z.string().max(20),
        title: z.string().max(60),
        lead: z.string().max(200),
        flares: z.number().int().min(1).max(6),
        minutes: metres,
        sunset: z.number(),
        dark: z.number(),
        visibility: metres,
        swell: z.number().min(0),
        who: z
          .array(
            z.strictObject({
              what: z.enum(['boat', 'helicopter']),
              eye: metres,
              shows: metres,
              closest: metres,
              bearing: degrees,
              course: degrees,
              speed: metres,
              at: z.number().min(0),
            }),
          )
          .min(1),
      }),
    )
    .min(1),
});

const stepId = z.string().regex(/^[a-z0-9-]{2,60}$/);
/** What must not be turned round in a procedure, and what it costs (`practice/orders.json`). */
export const OrderData = z.strictObject({
  ...From,
  par: metres,
  most: z.number().int().min(3),
  score: z.strictObject({ wrong: metres, slow: metres }),
  facts: z.record(z.string(), z.union([z.string(), z.boolean()])),
  rows: z
    .array(
      z.strictObject({
        of: z.array(stepId).min(1).optional(),
        first: z.array(stepId).min(1),
        then: z.array(stepId).min(1),
        price: z.string().regex(/^[A-Z].*[.?!]$/),
      }),
    )
    .min(1),
});

/** What somebody may name who reads a day’s strip (`practice/signs.json`). */
export const SignData = z.strictObject({
  ...From,
  rows: z
    .array(
      z.strictObject({
        id: z.string().max(20),
        word: z.string().max(60),
        kinds: z.array(z.string().regex(/^[a-z]+\/[a-z-]+$/)).min(1),
      }),
    )
    .min(1),
});

const crafts = Object.keys(CRAFT) as [Craft, ...Craft[]];
const drillKinds = Object.keys(DRILLS) as [DrillKind, ...DrillKind[]];
/** Something that is practised in the real world, and how it ages. */
export const DrillRow = z.strictObject({
  id: z.enum(drillKinds),
  months: z.number().int().min(1).max(120),
  craft: z.array(z.enum(crafts)).min(1).optional(),
  of: z.enum(['each', 'any']),
  inHer: z.boolean().optional(),
  afloat: z.boolean().optional(),
  asks: z.boolean().optional(),
  others: z.boolean().optional(),
  can: z.string().max(40).optional(),
  how: z.string().max(300),
});
export type DrillRow = z.infer<typeof DrillRow>;
/** Drills (`logbook/drills.json`): m, °C, m/s. */
export const DrillData = z.strictObject({
  ...From,
  deep: metres,
  warm: metres,
  calm: metres,
  rows: z.array(DrillRow).min(1),
});

/** Something to do after a trip. */
export const AfterRow = z.strictObject({
  id: z.string().regex(/^[a-z-]{2,20}$/),
  group: z.enum(['now', 'day', 'week']),
  what: z.string().max(200),
  /** The same where its condition can’t be told. */
  unsettled: z.string().max(200).optional(),
  why: z.string().max(200),
  when: Condition.optional(),
});
export type AfterRow = z.infer<typeof AfterRow>;
/** What is done after a trip (`logbook/after.json`), within so many hours. */
export const AfterData = z.strictObject({
  ...From,
  within: z.strictObject({ now: metres, day: metres, week: metres }),
  rows: z.array(AfterRow).min(1),
});
