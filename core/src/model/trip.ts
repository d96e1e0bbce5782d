import * as z from 'zod';
import {
  CivilDate,
  Id,
  Note,
  Position,
  Text,
  WallTime,
  choice,
  measure,
  ref,
  thing,
  titled,
  type FieldMeta,
  Instant,
} from './common';
import { Limits } from './own-limits';
import { PhotoNotes } from './photo';
import {
  BACK_TO_CAR,
  CLOTHING,
  COMES,
  HOLDS,
  INCIDENT_KINDS,
  LIQUIDS,
  MADE_FAST,
  ROLES,
  STOWAGE,
  TODAY,
  type IncidentKind,
  type Stowage,
} from './lists';

const LIQUID_WORDS = Object.fromEntries(Object.entries(LIQUIDS).map(([id, { words }]) => [id, words])) as {
  [K in keyof typeof LIQUIDS]: (typeof LIQUIDS)[K]['words'];
};

/** A spot in the boat: along from the stern (0) to the bow (1), across from starboard (−1) to port (1). */
export const Spot = z
  .strictObject({ x: z.number().min(0).max(1), y: z.number().min(-1).max(1) })
  .meta({ hidden: true } satisfies FieldMeta);
export type Spot = z.infer<typeof Spot>;

export const CrewMember = z.strictObject({
  person: ref('person', 'Person'),
  role: choice('Role', ROLES),
  clothing: choice('Wears', CLOTHING).optional(),
  /** Declared by the crew, never the result of matching. */
  wearsJacket: titled(z.boolean().optional(), 'Wears the jacket from launch to landing'),
  /** Declared as well: the kill cord on whoever drives, whenever she runs. */
  cord: titled(z.boolean().optional(), 'Kill cord on while driving'),
  jacket: ref('gear', 'Which jacket').optional(),
  today: choice('Today', TODAY).optional(),
  buddy: ref('person', 'Keeps an eye on').optional(),
  seat: Spot.optional(),
  stands: titled(z.boolean().optional(), 'Stands up aboard', { help: 'To fish, to pole, to drive.' }),
});

export const Halt = z.strictObject({
  // One does not halt at a rock or a bar.
  place: titled(ref('place', 'Where'), 'Where', { without: ['hazard'] }),
  minutes: measure('count', 'Minutes there', 0, 2880).int(),
  doing: titled(z.string().max(60).optional(), 'What for'),
  hold: choice('What holds her there', HOLDS).optional(),
  fast: choice('The line leads from', MADE_FAST).optional(),
  anchor: ref('gear', 'Which anchor').optional(),
  comes: titled(
    z
      .array(z.enum(Object.keys(COMES) as [keyof typeof COMES, ...(keyof typeof COMES)[]]))
      .max(9)
      .optional(),
    'What comes there',
    { words: COMES },
  ),
  room: measure('length', 'Room to the nearest other boat', 1, 2000).optional(),
});

export const LoadItem = z
  .strictObject({
    name: titled(Text, 'What'),
    mass: measure('mass', 'Weight', 0, 2000, 'Leave it out for a liquid whose volume you give.').optional(),
    place: choice('Where', { bow: 'Bow', middle: 'Middle', stern: 'Stern', deck: 'On deck' }).optional(),
    /** Where exactly, when it was put there by hand. */
    spot: Spot.optional(),
    liquid: choice(
      'Liquid',
      LIQUID_WORDS,
      'A liquid that is used up or run out: its weight then follows from its volume.',
    ).optional(),
    volume: measure('volume', 'Volume', 0, 2).optional(),
  })
  .refine((item) => item.mass !== undefined || (item.liquid !== undefined && item.volume !== undefined), {
    message: 'a weight, or a liquid and its volume',
    path: ['mass'],
  });
export type LoadItem = z.infer<typeof LoadItem>;

export const ForecastHour = z.strictObject({
  at: Instant,
  /** m/s at 10 m */
  wind: z.number().min(0).max(100),
  gust: z.number().min(0).max(150),
  /** Where it blows from, degrees true. */
  from: z.number().min(0).max(360),
  /** °C */
  air: z.number().min(-60).max(60).optional(),
  water: z.number().min(-3).max(45).optional(),
  /** m */
  visibility: z.number().min(0).max(200_000).optional(),
  thunder: z.boolean().optional(),
  /** Significant height of the waves, m */
  waves: z.number().min(0).max(30).optional(),
});
export const Forecast = z.strictObject({
  issuedAt: Instant,
  source: Text,
  /** Made up by a stand-in, for show: every sentence that leans on it says so. */
  invented: z.boolean().optional(),
  /** The point it stands for; absent: that of the water. */
  position: Position.optional(),
  hours: z.array(ForecastHour).max(24 * 16),
  /** The same at other points along the way: each stands for what lies nearest to it. */
  points: z
    .array(
      z.strictObject({
        name: Text,
        position: Position,
        hours: z
          .array(ForecastHour)
          .min(1)
          .max(24 * 16),
      }),
    )
    .max(12)
    .optional(),
});
export type Forecast = z.infer<typeof Forecast>;

const INCIDENTS = Object.keys(INCIDENT_KINDS) as [IncidentKind, ...IncidentKind[]];

/** One question what if, as it was answered aloud. */
export const Asked = z.strictObject({
  /** The moment of the day that was asked about. */
  at: Instant,
  /** When it was answered. */
  on: Instant,
  answer: z.enum(['known', 'lacking']),
  lacks: z.string().trim().max(200).optional(),
});
export type Asked = z.infer<typeof Asked>;

export const Trip = z.strictObject({
  ...thing,
  title: titled(Text, 'Name of the trip'),
  boat: ref('boat', 'Boat').optional(),
  crew: titled(z.array(CrewMember).max(30), 'Crew'),
  water: ref('water', 'Water').optional(),
  launch: ref('place', 'Launch').optional(),
  return: ref('place', 'Return to').optional(),
  halts: titled(z.array(Halt).max(30), 'Halts on the way'),
  leave: z.strictObject({ date: titled(CivilDate, 'Day'), time: titled(WallTime, 'Leave the shore') }),
  /** Speed through the water; absent means the boat's own usual speed. */
  speed: measure(
    'speed',
    'Speed today',
    0.1,
    40,
    'Through still water, in a calm if you paddle: stream and wind are reckoned.',
  ).optional(),
  homeBy: titled(WallTime.optional(), 'Want to be home by'),
  load: titled(z.array(LoadItem).max(60), 'What goes in'),
  limits: titled(Limits, 'Your own limits'),
  contacts: titled(z.array(Id).max(6), 'Contacts', { ref: 'contact' }),
  graceMinutes: measure(
    'count',
    'Minutes after home until your contact is told',
    15,
    1440,
    'From 15 to 60. Left out: 30; with a child aboard, in cold water or near dark, 15.',
  )
    .int()
    .optional(),
  alarmMinutes: measure(
    'count',
    'Minutes after home until they are asked to ring',
    30,
    120,
    'From 30 to 120. Left out: twice the time until they are told.',
  )
    .int()
    .optional(),
  checkInMinutes: measure('count', 'Minutes between check-ins', 0, 1440).int().optional(),
  driveMinutes: measure('count', 'Minutes of driving to the launch', 0, 1440).int().optional(),
  ifLate: titled(Note.optional(), 'What you do if you are late', { long: true }),
  parked: titled(z.string().max(120).optional(), 'Car and trailer, and where they stand', {
    help: 'Colour, number plates, the very place: who looks for you looks there first.',
  }),
  toClub: titled(z.boolean().optional(), 'The club may look on', {
    help: 'Its leaders see the plan while it is open, as your contact does. Only where your household belongs to one.',
  }),
  alternatives: titled(z.array(Id).max(6).optional(), 'Where else you may go or land', { ref: 'place' }),
  provisionHours: measure(
    'count',
    'Hours that food and water last',
    0,
    240,
    'For everybody aboard, from when you leave.',
  )
    .int()
    .optional(),
  sealSpot: titled(z.boolean().optional(), 'Keep where you go sealed', {
    help: 'Your contact sees the water and the launch; the way opens when you are overdue or in trouble.',
  }),
  /** Of a trip that ends elsewhere. */
  backToCar: titled(
    z
      .strictObject({
        how: choice('Back to the car', BACK_TO_CAR),
        who: titled(z.string().max(120).optional(), 'Who, or which line'),
        minutes: measure('count', 'Minutes it takes', 0, 1440).int().optional(),
      })
      .optional(),
    'Back to the car',
  ),
  notes: titled(Note.optional(), 'Notes', { long: true }),
  fuel: measure(
    'volume',
    'Fuel aboard as you leave',
    0,
    2,
    'Left out, a full tank is taken, and that is said.',
  ).optional(),
  fuelOn: titled(CivilDate.optional(), 'Fuel filled on', {
    past: true,
    help: 'The oldest of what is in the tank.',
  }),
  charge: measure('percent', 'Battery charged to, as you leave', 0, 1).optional(),
  /** What changes on the way home: the catch comes aboard, fuel and water are used. */
  comingHome: titled(
    z
      .strictObject({
        catch: measure('mass', 'Catch', 0, 1000).optional(),
        fuelLeft: measure('percent', 'Fuel left', 0, 1).optional(),
      })
      .optional(),
    'Coming home',
  ),
  fishing: titled(z.boolean().optional(), 'Somebody fishes'),
  /** Other boats of the trip, each with who is in it. */
  company: titled(
    z
      .array(
        z.strictObject({
          boat: ref('boat', 'Boat'),
          people: titled(z.array(Id).max(30), 'Who is in it', { ref: 'person' }),
          wears: titled(z.array(Id).max(30).optional(), 'Who wears the jacket from launch to landing', {
            ref: 'person',
          }),
          with: ref('boat', 'Stays with').optional(),
          fuel: measure('volume', 'Fuel aboard', 0, 2).optional(),
          charge: measure('percent', 'Battery charged to', 0, 1).optional(),
        }),
      )
      .max(20)
      .optional(),
    'In company',
  ),
  /** A forecast typed in by hand for this trip: it stands before what a service says. */
  forecast: titled(Forecast.optional(), 'Forecast', { hidden: true }),
  /** Where things travel on this trip, where it differs from the shed. */
  stow: z
    .array(z.strictObject({ item: Id, place: z.enum(Object.keys(STOWAGE) as [Stowage, ...Stowage[]]) }))
    .max(500)
    .meta({ hidden: true } satisfies FieldMeta),
  /** What was seen shut, or as it was left: of openings by their key. */
  photos: titled(PhotoNotes.optional(), 'Photos', { hidden: true }),
  /** Of which boat it was said, and the names of what lies there; an empty list: nothing does. */
  onHatch: titled(
    z.strictObject({ boat: Id, lies: z.array(Text).max(30) }).optional(),
    'What lies on or against a hatch or its latch',
    { hidden: true },
  ),
  /** What the crew answered when it was asked what if, before it left. */
  asked: titled(z.partialRecord(z.enum(INCIDENTS), Asked).optional(), 'Asked before leaving', {
    hidden: true,
  }),
  status: choice('State', { planned: 'Planned', on: 'On now', done: 'Done' }),
});
export type Trip = z.infer<typeof Trip>;

/** One walk through a procedure: what was ticked when, and what was left open. */
export const Run = z.strictObject({
  ...thing,
  procedure: z.string().max(60),
  trip: Id.optional(),
  /** Who does what, as it was shared out. */
  hands: z
    .array(z.strictObject({ who: z.string().max(60), person: Id }))
    .max(8)
    .optional(),
  /** Which halt a short check belongs to, from 0. */
  halt: z.number().int().min(0).max(60).optional(),
  startedAt: Instant,
  endedAt: Instant.optional(),
  ticks: z
    .array(
      z.strictObject({
        step: z.string().max(60),
        at: Instant,
        second: z.boolean().optional(),
        skipped: z.boolean().optional(),
        by: z.string().max(60).optional(),
      }),
    )
    .max(200),
});
export type Run = z.infer<typeof Run>;

export const Conditions = z.strictObject({ forecast: Forecast.optional() });
export type Conditions = z.infer<typeof Conditions>;
