import * as z from 'zod';
import { CatchLimit } from './catch';
import {
  CivilDate,
  Note,
  Position,
  Text,
  Zone,
  choice,
  measure,
  ref,
  thing,
  titled,
  type FieldMeta,
  Instant,
  WallTime,
} from './common';
import {
  CRAFT,
  HAZARDS,
  JETTIES,
  LAUNCHES,
  PLACE_KINDS,
  RECEPTION,
  RIVER_TRENDS,
  SEABEDS,
  SHORES,
  SIDES,
  SURFACES,
  TRAFFIC,
  WATERS,
} from './lists';

// Where one goes: places, and the waters they lie on with their tides.

/** What is allowed at a place, as the local authority has it. */
export const ByLaws = z.strictObject({
  craft: titled(
    z.array(z.enum(Object.keys(CRAFT) as [keyof typeof CRAFT, ...(keyof typeof CRAFT)[]])).max(20),
    'Boats that may be launched',
    { words: CRAFT, help: 'None ticked: nothing is said about kinds of boat.' },
  ).optional(),
  opens: titled(WallTime.optional(), 'Open from'),
  closes: titled(WallTime.optional(), 'Open until'),
  licence: titled(z.string().max(200).optional(), 'Licence or permit', {
    help: 'What is asked for, or “none”.',
  }),
  zones: titled(z.string().max(400).optional(), 'Zones: speed, no motors, no landing'),
  swimmers: titled(z.string().max(200).optional(), 'Swimmers: where and when'),
  ask: titled(z.string().max(120).optional(), 'Whom to ask'),
  number: titled(z.string().max(40).optional(), 'Their number'),
});
export type ByLaws = z.infer<typeof ByLaws>;

export const Place = z.strictObject({
  ...thing,
  name: titled(Text, 'Name'),
  kind: choice('Kind', PLACE_KINDS),
  position: titled(Position, 'Position'),
  water: ref('water', 'On the water').optional(),
  launchFrom: choice('You launch from', LAUNCHES).optional(),
  surface: choice('Ground under wheels and keel', SURFACES).optional(),
  jetty: choice('Jetty beside it, as one goes down', JETTIES).optional(),
  slope: measure(
    'percent',
    'Slope',
    0.005,
    0.5,
    'How far it falls in a hundred: a ramp 12 to 15, a beach 2 to 10.',
  ).optional(),
  foot: measure(
    'height',
    'Height of the ramp’s foot',
    -10,
    10,
    'Above chart datum; below it negative. Past the foot the wheels drop off.',
  ).optional(),
  faces: measure(
    'bearing',
    'Which way it falls',
    0,
    360,
    'Looking down it to the water, degrees true: from it the side on which wind sets her is told.',
  ).optional(),
  shore: choice('Kind of shore', SHORES, 'Where one can land, and where not.').optional(),
  works: measure(
    'height',
    'Works from this height of tide',
    -5,
    20,
    'Above chart datum. Below it there is mud or no water.',
  ).optional(),
  hazard: choice('What lies there', HAZARDS).optional(),
  reach: measure('length', 'Keep off by', 5, 20_000, 'How far around it one does not want to be.').optional(),
  busy: titled(
    z
      .strictObject({
        what: choice('Who goes there', TRAFFIC),
        from: titled(WallTime.optional(), 'From'),
        until: titled(WallTime.optional(), 'Until'),
        on: titled(CivilDate.optional(), 'On this day only', { help: 'Left out: on every day.' }),
      })
      .optional(),
    'Traffic there',
    { help: 'Ships, a ferry, a regatta: who they are, and in which hours.' },
  ),
  clearance: measure(
    'height',
    'Clear height under it',
    0.5,
    80,
    'Of a line or a bridge, over high water.',
  ).optional(),
  seabed: choice('What the bottom is', SEABEDS).optional(),
  depth: measure('height', 'Depth', -10, 200, 'Below chart datum; above it negative.').optional(),
  byLaws: titled(ByLaws.optional(), 'What is allowed here'),
  rules: titled(Note.optional(), 'Rules of the place and who to ask', { long: true }),
  confirmed: titled(CivilDate.optional(), 'Last confirmed', { past: true }),
});
export type Place = z.infer<typeof Place>;

/** A real station: which, where it lies, and whose figures they are. */
export const StationRef = z.strictObject({
  id: z.string().max(40),
  where: z.string().max(160),
  position: Position,
  source: z.string().max(200),
});

export const TideConstants = z.strictObject({
  kind: z.literal('constants'),
  name: Text,
  datum: z.string().max(40),
  station: StationRef.optional(),
  /** Mean level above that datum, metres. */
  z0: z.number().min(-20).max(20),
  /** Amplitude in metres, Greenwich phase lag in degrees. */
  constituents: z
    .array(
      z.strictObject({
        name: z.string().max(8),
        amplitude: z.number().min(0).max(10),
        phase: z.number().min(0).max(360),
      }),
    )
    .min(1)
    .max(200),
});
export type TideConstants = z.infer<typeof TideConstants>;

/** How a turn of one station differs from that of another: seconds later, and its height times or plus so much. */
const TurnOffset = z.strictObject({
  later: z
    .number()
    .min(-12 * 3600)
    .max(12 * 3600),
  height: z.number().min(-20).max(20),
});
/** A station whose high and low waters are told from those of another. */
export const TideOffsets = z.strictObject({
  kind: z.literal('offsets'),
  name: Text,
  datum: z.string().max(40),
  station: StationRef.optional(),
  of: TideConstants,
  high: TurnOffset,
  low: TurnOffset,
  heights: z.enum(['times', 'plus']),
});
export type TideOffsets = z.infer<typeof TideOffsets>;

export const TideTable = z.strictObject({
  kind: z.literal('table'),
  name: Text,
  datum: z.string().max(40),
  /** High and low waters. Which of them a row is may be left out where the tide has two of each a day. */
  rows: z
    .array(
      z.strictObject({
        at: Instant,
        height: z.number().min(-20).max(20),
        turn: z.enum(['high', 'low']).optional(),
      }),
    )
    .min(2)
    .max(2000),
});
export const TideStation = z.discriminatedUnion('kind', [TideConstants, TideOffsets, TideTable]);
export type TideStation = z.infer<typeof TideStation>;

const Speed = z.number().min(0).max(8);
const Bearing = z.number().min(0).max(360);

/** A stream along one axis, by harmonic constants: m/s towards the flood, phase lag at Greenwich in degrees. */
export const StreamConstants = z.strictObject({
  kind: z.literal('constants'),
  name: Text,
  station: StationRef.optional(),
  flood: Bearing,
  ebb: Bearing,
  mean: z.number().min(-8).max(8),
  constituents: z
    .array(
      z.strictObject({
        name: z.string().max(8),
        amplitude: Speed,
        phase: z.number().min(0).max(360),
      }),
    )
    .min(1)
    .max(200),
});
export type StreamConstants = z.infer<typeof StreamConstants>;

/** A stream by hours before and after high water at the water's own tide station, at springs and at neaps. */
export const StreamHours = z.strictObject({
  kind: z.literal('hours'),
  name: Text,
  /** Ranges of the tide, metres, at which the two speeds hold; without them the one of springs is taken. */
  springRange: z.number().min(0.1).max(17).optional(),
  neapRange: z.number().min(0.1).max(17).optional(),
  rows: z
    .array(
      z.strictObject({
        hour: z.number().int().min(-7).max(7),
        direction: Bearing,
        springs: Speed,
        neaps: Speed.optional(),
      }),
    )
    .min(2)
    .max(15),
});
export type StreamHours = z.infer<typeof StreamHours>;

/** A stream by its turns: slack is nought, the flood is positive, the ebb negative, m/s. */
export const StreamTurns = z.strictObject({
  kind: z.literal('turns'),
  name: Text,
  flood: Bearing,
  ebb: Bearing,
  rows: z
    .array(z.strictObject({ at: Instant, speed: z.number().min(-8).max(8) }))
    .min(2)
    .max(2000),
});
export type StreamTurns = z.infer<typeof StreamTurns>;

export const StreamStation = z.discriminatedUnion('kind', [StreamConstants, StreamHours, StreamTurns]);
export type StreamStation = z.infer<typeof StreamStation>;

/** How a river stands, and where it goes. */
export const RiverStage = z.strictObject({
  trend: choice('The river is', RIVER_TRENDS).optional(),
  level: measure('height', 'At the gauge', -20, 100).optional(),
  speed: measure(
    'speed',
    'It runs',
    0,
    8,
    'As seen on the water: a stick over a measured length.',
  ).optional(),
  downstream: measure('bearing', 'Towards', 0, 360, 'Degrees true, along the part you are on.').optional(),
  on: titled(CivilDate.optional(), 'Seen on', { past: true }),
});
export type RiverStage = z.infer<typeof RiverStage>;

/** A line of positions in a few letters: `formats/line` writes and reads it. */
const Line = z.string().min(1).max(400_000);

/** A piece of shore: rings, the first of them around it, further ones holes; or an open line. */
export const ShorePiece = z.strictObject({
  inside: z.enum(Object.keys(SIDES) as [keyof typeof SIDES, ...(keyof typeof SIDES)[]]).optional(),
  rings: z.array(Line).min(1).max(2000),
});
export type ShorePiece = z.infer<typeof ShorePiece>;

/** An area of charted depth: metres below chart datum, what dries is negative. */
export const DepthArea = z.strictObject({
  least: z.number().min(-20).max(2000),
  rings: z.array(Line).min(1).max(500),
});
export type DepthArea = z.infer<typeof DepthArea>;

/** Shore and depths of a water, as somebody drew them. */
export const Chart = z.strictObject({
  source: Text,
  shore: z.array(ShorePiece).max(4000),
  depths: z.array(DepthArea).max(1000),
  /** Ways that somebody went there. */
  tracks: z
    .array(z.strictObject({ name: z.string().max(120).optional(), line: Line }))
    .max(50)
    .optional(),
  /** Metres by which its lines may be off because they were thinned. */
  off: z.number().min(0).max(10_000).optional(),
});
export type Chart = z.infer<typeof Chart>;

/** Somebody to ring about a water. */
export const WaterNumber = z.strictObject({
  who: titled(Text, 'Who answers'),
  number: titled(z.string().trim().min(2, 'a number').max(40), 'Number'),
  confirmed: titled(CivilDate.optional(), 'Last confirmed', { past: true }),
});

/** How one is heard on a water, and how soon somebody comes: as those who know it say, never reckoned. */
export const WaterHelp = z.strictObject({
  minutes: measure('count', 'Minutes until help is there, once it is called', 1, 2880).int().optional(),
  source: titled(z.string().trim().min(2).max(120).optional(), 'Who says so'),
  on: titled(CivilDate.optional(), 'Said on', { past: true }),
  phone: choice('A phone has signal', RECEPTION).optional(),
  radio: choice('A radio call is answered', RECEPTION).optional(),
});
export type WaterHelp = z.infer<typeof WaterHelp>;

export const Water = z.strictObject({
  ...thing,
  name: titled(Text, 'Name'),
  class: choice('Kind of water', WATERS),
  jurisdiction: titled(z.array(z.string().max(12)).max(6), 'Whose rules hold', { hidden: true }),
  zone: titled(Zone, 'Time zone'),
  tide: titled(TideStation.optional(), 'Tide station', { hidden: true }),
  stream: titled(StreamStation.optional(), 'Stream', { hidden: true }),
  stage: titled(RiverStage.optional(), 'How the river stands'),
  forecastAt: titled(Position.optional(), 'Forecast for', { hidden: true }),
  rapids: titled(z.boolean().optional(), 'Rapids', { help: 'White water of any grade on the way you go.' }),
  grade: measure('count', 'Hardest grade of them', 1, 6, 'From 1, easy, to 6, as the guide book has it.')
    .int()
    .optional(),
  rescueNumber: titled(z.string().max(40).optional(), 'Number to ring for rescue here', {
    help: 'Ask locally. Escale never rings it by itself.',
  }),
  rescueName: titled(z.string().max(80).optional(), 'Who answers it'),
  rescueConfirmed: titled(CivilDate.optional(), 'Number last confirmed', { past: true }),
  help: titled(WaterHelp.optional(), 'Help on this water', {
    help: 'Ask those who come. Without who said it and when, nobody plans on it.',
  }),
  numbers: titled(z.array(WaterNumber).max(12).optional(), 'Others to ring about this water', {
    help: 'Harbour master, lock, firing range, a towing service, who knows the bar.',
  }),
  catchLimits: titled(z.array(CatchLimit).max(60).optional(), 'What may be kept here', {
    help: 'As the local text has it, with where and when it was read. Escale knows none by itself.',
  }),
  chart: titled(Chart.optional(), 'Shore and depths', { hidden: true }),
  /** Rule packs of its jurisdictions that were switched off here, by id. */
  without: z
    .array(z.string().max(40))
    .max(20)
    .optional()
    .meta({ hidden: true } satisfies FieldMeta),
  /** Answers to a rule pack's own questions, by question id. */
  answers: z
    .record(z.string(), z.union([z.boolean(), z.number(), z.string().max(80)]))
    .optional()
    .meta({ hidden: true }),
});
export type Water = z.infer<typeof Water>;
