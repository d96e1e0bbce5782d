import * as z from 'zod';
import { CAPABILITIES } from './capabilities';
import { Text, THING_TYPES, WallTime } from './common';
import { CLOTHING, CRAFT, HARMS, HAZARDS, LEVELS, type ClothingKind, type Craft, type Hazard } from './lists';
import { Condition, CONFIDENCE } from './rules';
import { Boat } from './shed';
import { LoadItem } from './trip';

/**
 * What ships with Escale as data, one schema a file under `core/data`. Rooms read their files by themselves and take only the
 * types from here; a test holds every file against its schema, so that no worker carries the validator.
 */
const kinds = Object.keys(CRAFT) as [Craft, ...Craft[]];
const share = z.number().min(0).max(1);
/** Id of an entry in `sources`; the test resolves each. */
const Source = z.string().max(60);
const Spot = z.strictObject({ name: Text, x: share, y: z.number().min(-1).max(1) });
const ends = z.strictObject({ bow: z.number(), stern: z.number() });

/**
 * The shape that stands in for a kind of craft, as fractions of its own length, beam and depth (`boat/hulls.json`).
 * Ours, not a published hull: the waterplane coefficients it gives are held against the ranges of handbooks.
 */
export const HullForm = z.strictObject({
  /** Half breadth along the length: full at `fullest` (0 stern, 1 bow), falling to `sternEnd` and `bowEnd` of it by a power. */
  plan: z.strictObject({
    fullest: share,
    bow: z.number(),
    stern: z.number(),
    bowEnd: share,
    sternEnd: share,
  }),
  /** From the keel out to the turn of the bilge at `bilge` of the depth by a power; from there flaring by `flare` of the half breadth. */
  section: z.strictObject({ bilge: share, power: z.number().min(0), flare: share }),
  /** What the sheer rises and the keel lifts at the ends, as shares of the depth. */
  sheer: ends,
  rocker: ends,
  /** Two hulls, each this share of the whole beam. */
  hulls: z.strictObject({ share }).optional(),
  /** Depth by the beam, mass by length × beam (kg/m²), and seats, where nobody said. */
  guess: z.strictObject({
    depth: z.number().positive(),
    mass: z.number().positive(),
    seats: z.number().int().min(1),
  }),
  /** Closed on top: what washes over runs off. Where it is not, water over the edge stays. */
  deck: z.enum(['closed', 'open']),
  /** Edge over which water comes aboard, as a share of the depth: a cockpit's rim stands lower or higher than the sheer. */
  rim: z.number().positive(),
  /** Freeboard that should be left at the lowest point, metres. */
  edge: z.strictObject({ least: z.number().positive(), source: Source }),
  /** Centre of the empty boat along the length and in height, as shares. */
  centre: z.strictObject({ x: share, z: share }),
  /** Where people sit: along, across (−1 starboard to 1 port), and height of the seat as a share of the depth. */
  seats: z.array(Spot).min(1),
  /** Where somebody alone sits, if not on the first of the seats. */
  alone: Spot.optional(),
  seat: z.number().min(0),
  /** Where feet are of who stands, as a share of the depth. */
  stand: z.number().min(0),
  /** Metres from the seat, or from the board, up to the middle of a body. */
  body: z.number().positive(),
  /** Where things lie. */
  holds: z.array(Spot.extend({ id: LoadItem.shape.place.unwrap(), z: z.number().min(0) })).min(1),
});
export type HullForm = z.infer<typeof HullForm>;
export const HullForms = z.record(z.enum(kinds), HullForm);
export type HullForms = Record<Craft, HullForm>;

/** How water runs in and is thrown out (`boat/flooding.json`). */
export const FloodData = z.strictObject({
  /** By kind of opening: bore in metres, place along as a share of the length, height as a share of the depth. */
  openings: z.record(
    z.enum(['plug', 'bung', 'hatch', 'scupper']),
    z.strictObject({ diameter: z.number().positive(), x: share, z: share }),
  ),
  /**
   * Waves over an open hatch: the share of a wave that a small boat does not ride, significant heights to
   * ask for, the usual one, metres.
   */
  wash: z.strictObject({
    rides: share,
    seas: z.array(z.number().min(0)).min(1),
    usual: z.number().min(0),
    source: Source,
  }),
  discharge: z.strictObject({ value: share, source: Source }),
  /** A small electric pump by its label, 500 US gallons an hour, m³/s. */
  pump: z.strictObject({ rated: z.number().positive(), source: Source }),
  /** Share of its rated flow that a pump gives lifting water in a boat. */
  pumpReal: z.strictObject({ value: share, source: Source }),
  /** Share of her planing speed that full throttle makes with a third of her full. */
  planingFlooded: z.strictObject({ share, source: Source }),
  /** m³/s of one person with a bucket, fresh and after so many seconds. */
  bailer: z.strictObject({ fresh: z.number(), tired: z.number(), seconds: z.number(), source: Source }),
});
export type FloodData = z.infer<typeof FloodData>;

const Material = Boat.shape.material.unwrap();
/** What keeps swamped boats up (`boat/flotation.json`): specific gravities of hulls, a usual bag, what a person in the water weighs. */
export const FlotationData = z.strictObject({
  materials: z.record(Material, z.number().positive()),
  guess: z.record(z.enum(kinds), Material),
  bags: z.strictObject({ litres: z.number().positive(), source: Source }),
  inWater: z.strictObject({ share, source: Source }),
  /**
   * Level, by the flotation test of 33 CFR 183.225 to 230: heel and trim in degrees, the deepest point of
   * the edge in metres over the water.
   */
  level: z.strictObject({ heel: z.number(), trim: z.number(), edge: z.number(), source: Source }),
});
export type FlotationData = z.infer<typeof FlotationData>;

const Formula = z.strictObject({ times: z.number(), minus: z.number() });
/** Steps and formulas of Table 183.53 (`boat/powering.json`). */
export const PoweringData = z.strictObject({
  source: Source,
  lowFactor: z.array(z.strictObject({ upTo: z.number(), horsepower: z.number().positive() })).min(1),
  remote: Formula,
  flat: Formula,
  other: Formula,
  roundUpTo: z.number().positive(),
  remoteTransomInches: z.number().positive(),
  /** What motor, controls, battery and a full portable tank weigh, by power (table 4 of subpart H). */
  equipment: z.strictObject({
    source: Source.optional(),
    note: z.string().max(300).optional(),
    rows: z.array(z.strictObject({ upTo: z.number().positive(), pounds: z.number().positive() })).min(1),
  }),
});
export type PoweringData = z.infer<typeof PoweringData>;

/** A usual boat of a kind, to start from (`boat/starting-points.json`). Nothing in it that a law turns on is answered: that is asked. */
export const StartingPoint = z.strictObject({
  id: z.string().max(40),
  kind: z.enum(kinds),
  title: Text,
  note: Text,
  boat: Boat.omit({ id: true, name: true, kind: true, basis: true })
    .partial()
    .required({ propulsion: true, openings: true }),
});
export type StartingPoint = z.infer<typeof StartingPoint>;

/** A walk through a boat one does not know: what to do, why, and which of her fields it fills (`boat/handover.json`). */
export const HandoverStep = z.strictObject({
  id: z.string().max(40),
  what: z.string().max(200),
  why: z.string().max(300),
  fields: z.array(z.enum(Object.keys(Boat.shape) as [string, ...string[]])),
  kit: z.literal(true).optional(),
});
export type HandoverStep = z.infer<typeof HandoverStep>;

const cloth = Object.keys(CLOTHING) as [ClothingKind, ...ClothingKind[]];
/** Exhaustion and survival by water temperature (`body/cold.json`): °F, minutes; the upper end of survival may be open. */
export const ColdTable = z.strictObject({
  source: Source,
  note: z.string().max(300),
  rows: z
    .array(
      z.strictObject({
        below: z.number(),
        exhausted: z.tuple([z.number(), z.number()]),
        survives: z.union([z.tuple([z.number(), z.number()]), z.tuple([z.number()])]),
      }),
    )
    .min(1),
});
export type ColdTable = z.infer<typeof ColdTable>;

/** What practice wears by water temperature, °C (`body/clothing.json`). */
export const ClothingTable = z.strictObject({
  source: Source,
  note: z.string().max(300),
  rows: z.array(z.strictObject({ below: z.number(), least: z.enum(cloth) })).min(1),
  warmth: z.record(z.enum(cloth), z.number().int().min(0)),
});
export type ClothingTable = z.infer<typeof ClothingTable>;

/** What practice asks of a crew (`rules/crew.json`): asked of each person, or of the crew as one. */
export const CrewRow = z.strictObject({
  id: z.string().max(40),
  each: z.boolean(),
  when: Condition,
  level: z.enum(LEVELS),
  /** What it weighs where a fact is missing; absent: nothing. */
  unknown: z.enum(LEVELS).optional(),
  title: Text,
  why: z.string().max(400),
  at: z.strictObject({ type: z.enum(THING_TYPES), pointer: z.string().max(120) }),
  source: Source,
});
export type CrewRow = z.infer<typeof CrewRow>;

/** What a trip has, in the words by which rows of getting ready and of the last look are chosen. */
export const HAS = [
  'combustion',
  'motor',
  'manual',
  'sail',
  'trailer',
  'by-hand',
  'inflate',
  'company',
  'dark',
] as const;

/** How far to keep off what lies in wait (`passage/keep-off.json`), metres by kind of hazard. */
export const KeepOff = z.strictObject({
  source: z.string().max(60),
  confidence: z.enum(CONFIDENCE),
  note: z.string().max(300),
  metres: z.record(z.enum(Object.keys(HAZARDS) as [Hazard, ...Hazard[]]), z.number().min(5).max(2000)),
});
export type KeepOff = z.infer<typeof KeepOff>;

/** A task of getting ready (`passage/ready.json`). */
export const ReadyRow = z.strictObject({
  id: z.string().max(40),
  title: Text,
  why: z.string().max(300).optional(),
  group: z.enum(['before', 'evening', 'morning', 'launch']),
  minutes: z.number().min(0).max(600),
  /** Only where the trip has this: all of them. */
  needs: z.array(z.enum(HAS)).optional(),
  craft: z.array(z.enum(kinds)).min(1).optional(),
  /** Not before these are done. */
  leansOn: z.array(z.string().max(40)).min(1).optional(),
  /** What it weighs when its hour has gone by and it is not done; absent: to be known. */
  weight: z.enum(['fix', 'know']).optional(),
  /** For `before`: days ahead. */
  days: z.number().int().min(1).optional(),
  /** For `before` and `evening`: wall time at which it begins. */
  at: WallTime.optional(),
});
export type ReadyRow = z.infer<typeof ReadyRow>;

/** One stop of an inspection (`kit/officer.json`), in the order in which it is taken. */
export const OfficerRow = z.strictObject({
  id: z.string().max(40),
  title: Text,
  ask: z.string().max(200),
  capabilities: z.array(z.enum(CAPABILITIES)),
  worn: z.boolean().optional(),
  /** What is found besides the law and belongs here, by how its id begins. */
  findings: z.array(z.string().max(40)).optional(),
});
export type OfficerRow = z.infer<typeof OfficerRow>;

/** One of the few things that sink or kill, looked at last (`kit/last-look.json`). */
export const LastLook = z.strictObject({ id: z.string().max(40), title: Text, needs: z.array(z.enum(HAS)) });
export type LastLook = z.infer<typeof LastLook>;

/** A kit to start a locker from, by kind of trip (`kit/starting-sets.json`). */
export const StartingSet = z.strictObject({
  id: z.string().max(40),
  title: Text,
  kinds: z.array(z.string()).min(1),
});
export type StartingSet = z.infer<typeof StartingSet>;

/** How labels name who approved a thing (`kit/approvals.json`); patterns are regular expressions, case does not count. */
/** What is at stake where a capability is lacking; what no list names may hurt. */
export const HarmTable = z.partialRecord(z.enum(HARMS), z.array(z.enum(CAPABILITIES)));
/** The time zones of each country for which a list of rules ships. */
export const ZoneTable = z.record(z.string().length(2), z.array(z.string().max(60)).min(1));
/** Tide stations cut out of the open dataset; what the columns are stands in the file itself. */
const StationHeadRow = [z.string(), Text, Text, z.int(), z.int(), z.int().min(0)] as const;
export const StationRows = z.strictObject({
  _: z.string(),
  dataset: z.string(),
  attribution: z.string().max(200),
  datum: z.string().max(40),
  constituents: z.array(z.string().max(8)),
  zones: z.array(z.string()),
  reference: z.array(z.tuple([...StationHeadRow, z.int()]).rest(z.int().min(0))).min(1000),
  offsets: z
    .array(
      z.tuple([
        ...StationHeadRow,
        z.int().min(0),
        z.int(),
        z.int(),
        z.int(),
        z.int(),
        z.union([z.literal(0), z.literal(1)]),
      ]),
    )
    .min(1000),
});
/** Current stations cut out of the open dataset, likewise. */
export const StreamRows = z.strictObject({
  _: z.string(),
  dataset: z.string(),
  attribution: z.string().max(200),
  constituents: z.array(z.string().max(8)),
  zones: z.array(z.string()),
  stations: z
    .array(z.tuple([...StationHeadRow, z.int().min(0), z.int().min(0), z.int()]).rest(z.int().min(0)))
    .min(500),
});
/** Words of forecasts and what they stand for: forces by their upper end, visibility by its lower. */
export const ForecastWords = z.strictObject({
  force: z.strictObject({
    source: Source,
    confidence: z.enum(CONFIDENCE),
    unit: z.literal('kn'),
    note: z.string(),
    upTo: z.array(z.number().positive()).length(13),
  }),
  visibility: z.strictObject({
    source: Source,
    confidence: z.enum(CONFIDENCE),
    unit: z.literal('m'),
    note: z.string(),
    terms: z.array(z.strictObject({ id: z.string(), title: Text, atLeast: z.number().positive() })).min(2),
  }),
});
export const Approvals = z.strictObject({
  source: Source,
  denied: z.string(),
  unsaid: z.string(),
  authorities: z.array(z.strictObject({ id: z.string().max(20), title: Text, label: z.string() })).min(1),
});

/** Measures that stand for catamarans of a length (`recover/catamaran.json`): metres and kilograms, shortest first. */
export const RigTable = z.strictObject({
  source: Source,
  confidence: z.enum(CONFIDENCE),
  note: z.string().max(200),
  rows: z
    .array(
      z.strictObject({
        length: z.number(),
        beam: z.number(),
        mast: z.number(),
        mastMass: z.number(),
        sailMass: z.number(),
        mass: z.number(),
      }),
    )
    .min(2),
});

/** What one notices, and what may be behind it (`boat/symptoms.json`). */
export const SymptomRow = z.strictObject({
  id: z.string().regex(/^[a-z-]+$/),
  title: Text,
  sign: z.string().max(200),
  /** How to look without moving weight to the low end. */
  look: z.string().max(300),
  /** When to stop saving the catch. */
  stop: z.string().max(300),
  causes: z.array(
    z.strictObject({
      says: z.string().max(120),
      /** Kinds of her openings that this is about, and where they are. */
      openings: z.array(z.string()).optional(),
      where: z.array(z.string()).optional(),
      motor: z.literal(true).optional(),
      craft: z.array(z.enum(kinds)).optional(),
    }),
  ),
  source: Source,
});
export type SymptomRow = z.infer<typeof SymptomRow>;

/** What a crew is told before it leaves (`trip/brief.json`): sentences by craft, and how fast they are read aloud. */
export const BriefData = z.strictObject({
  source: Source,
  confidence: z.enum(CONFIDENCE),
  aloud: z.strictObject({ value: z.number(), note: z.string() }),
  most: z.strictObject({ value: z.number(), note: z.string() }),
  rows: z.array(
    z.strictObject({
      part: z.enum(['hold', 'signs', 'who']),
      says: z.string().max(200),
      for: Condition.optional(),
    }),
  ),
});
export type BriefData = z.infer<typeof BriefData>;
