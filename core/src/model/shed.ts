import * as z from 'zod';
import { CivilDate, Note, PartialDate, Text, choice, measure, thing, titled, type FieldMeta } from './common';
import { AirTest } from './air-test';
import { MinutesTaken, Parts, Works } from './parts';
import { PhotoNotes } from './photo';
import { Limits } from './own-limits';
import { CRAFT, IN_WATER, LETS_GO, MEDICAL_FOR, RESTS, SKILLED, SWIMMING, WINCHES } from './lists';

export const Skill = z.strictObject({
  craft: choice('Craft', CRAFT),
  level: choice('How well', SKILLED),
  practised: titled(CivilDate.optional(), 'Last practised a recovery'),
  speed: measure(
    'speed',
    'Usual speed in it',
    0.1,
    40,
    'On still water in a calm, over hours. Of those who go together the slowest counts.',
  ).optional(),
  limits: titled(Limits.optional(), 'Limits in it', {
    help: 'Of those who go together the strictest counts.',
  }),
});

export const Person = z.strictObject({
  ...thing,
  name: titled(Text, 'Name'),
  born: titled(PartialDate.optional(), 'Born', {
    help: 'A year is enough; a day settles the rules that turn on an age.',
    past: true,
  }),
  mass: measure('mass', 'Weight', 2, 250, 'Decides which jacket fits and what the boat carries.').optional(),
  height: measure(
    'length',
    'Height',
    0.4,
    2.3,
    'How far they reach out when a boat is to be righted.',
  ).optional(),
  swimming: choice('Swimming', SWIMMING).optional(),
  units: choice('Units', { metric: 'Metres, kilograms, °C', us: 'Feet, pounds, °F' }).optional(),
  inWater: choice('In the water in a jacket', IN_WATER).optional(),
  drives: titled(z.boolean().optional(), 'Can start and drive a motorboat'),
  weakArm: titled(z.boolean().optional(), 'Bad shoulder, arm or back', {
    help: 'Doesn’t mean staying home; it changes the seat.',
  }),
  skills: titled(z.array(Skill).max(20).optional(), 'Skill in each craft'),
  phone: titled(z.string().max(40).optional(), 'Phone'),
  medical: titled(Note.optional(), 'Medical notes', { long: true }),
  medicalFor: choice(
    'Medical notes are told to',
    MEDICAL_FOR,
    'Their own word. Left out, nobody ashore reads them.',
  ).optional(),
});
export type Person = z.infer<typeof Person>;

export const Propulsion = z.strictObject({
  kind: choice('Driven by', {
    paddle: 'Paddle',
    oars: 'Oars',
    pedals: 'Pedals',
    outboard: 'Outboard',
    electric: 'Electric motor',
    inboard: 'Inboard',
    sail: 'Sail',
  }),
  cruise: measure('speed', 'Usual speed', 0.1, 40).optional(),
  slow: measure('speed', 'Speed when tired or against wind', 0.1, 40).optional(),
  power: measure('power', 'Power', 0, 500_000).optional(),
  tank: measure('volume', 'Fuel she takes', 0, 2).optional(),
  burn: measure('flow', 'Fuel burnt at usual speed', 0, 1).optional(),
  battery: measure('energy', 'Battery', 0, 1e9, 'Volts × ampere-hours.').optional(),
  draw: measure('power', 'Power drawn at usual speed', 0, 100_000).optional(),
  log: titled(
    z
      .array(
        z.strictObject({
          speed: measure('speed', 'At', 0.1, 40),
          burn: measure('flow', 'she burns', 0, 1).optional(),
          draw: measure('power', 'or draws', 0, 100_000).optional(),
        }),
      )
      .max(8)
      .optional(),
    'From your own log',
    {
      help: 'What she burns or draws at other speeds: the way home is reckoned at the one that carries furthest.',
    },
  ),
});

export const Opening = z.strictObject({
  name: titled(Text, 'Name'),
  kind: choice('Kind', { plug: 'Drain plug', bung: 'Hull bung', hatch: 'Hatch', scupper: 'Scupper' }),
  worked: choice('Worked from', {
    inside: 'Inside',
    outside: 'Outside',
    underneath: 'Underneath only',
  }).optional(),
  where: choice('Where', { bow: 'Bow', middle: 'Middle', stern: 'Stern' }).optional(),
  diameter: measure(
    'length',
    'Bore',
    0.002,
    1,
    'Across the hole; for a hatch, across its opening.',
  ).optional(),
});

/** A part that floats on when she is full of water. */
export const Reserve = z.strictObject({
  what: choice('What', { foam: 'Foam', bag: 'Air bag', compartment: 'Closed compartment' }),
  where: choice('Where', {
    bow: 'Bow',
    middle: 'Middle',
    stern: 'Stern',
    sides: 'Along both sides',
    all: 'All through',
  }),
  litres: measure('litres', 'Litres', 1, 5000),
});

/** How somebody else gets her going and stops her. */
export const Controls = z.strictObject({
  start: choice('Started by', { pull: 'Pulling a cord', key: 'A key', button: 'A button' }).optional(),
  cord: choice('Kill cord', { lanyard: 'Lanyard', wireless: 'Wireless', none: 'None' }).optional(),
  gear: choice('Gear', {
    lever: 'Lever',
    twist: 'On the throttle',
    none: 'No gear: she goes when she runs',
  }).optional(),
  choke: choice('Cold start', {
    choke: 'Choke and bulb',
    bulb: 'Bulb only',
    none: 'Nothing to do',
  }).optional(),
  steering: choice('Steered by', { tiller: 'Tiller', wheel: 'Wheel', bar: 'Handlebar' }).optional(),
  tilt: titled(z.string().max(120).optional(), 'Tilt lock: where and how'),
  stop: titled(z.string().max(120).optional(), 'Another way to stop her'),
});

export const Trailer = z.strictObject({
  mass: measure('mass', 'Trailer, empty', 10, 3000).optional(),
  most: measure('mass', 'Greatest mass on the plate', 50, 5000).optional(),
  tongue: measure('mass', 'Weight on the hitch, measured', 0, 500).optional(),
  car: measure('mass', 'The car may tow', 100, 5000).optional(),
  rests: choice('She rests on', RESTS).optional(),
  support: measure(
    'length',
    'Height of her supports over the ground, at the axle',
    0.05,
    2,
    'From the ground to where the keel or the lowest bunk lies.',
  ).optional(),
  drawbar: measure('length', 'From the hitch to the axle', 0.5, 12).optional(),
  wheelbase: measure('length', 'Of the car, from axle to axle', 1.5, 6).optional(),
  overhang: measure('length', 'Of the car, from the rear axle to the ball', 0.3, 3).optional(),
  circle: measure(
    'length',
    'Turning circle of the car',
    6,
    20,
    'From kerb to kerb, as its papers give it.',
  ).optional(),
  braked: titled(z.boolean().optional(), 'It has brakes of its own'),
  winch: choice('Winch', WINCHES).optional(),
  letsGo: choice('How she comes off', LETS_GO, 'As it was when she was last launched.').optional(),
  letsGoOn: titled(CivilDate.optional(), 'Seen on', { past: true }),
});

export const Rig = z.strictObject({
  mast: measure('length', 'Mast, from its foot to its head', 1, 15).optional(),
  mastMass: measure('mass', 'Mast with its rigging', 0.5, 120).optional(),
  sailMass: measure('mass', 'Sails and boom', 0.5, 80).optional(),
  float: titled(z.boolean().optional(), 'A float at the mast head'),
});

/** What steers her besides paddles and motor. */
export const Rudder = z.strictObject({
  kind: choice('Rudder', { none: 'None', lifts: 'Can be lifted', fixed: 'Fixed' }).optional(),
  beach: titled(z.boolean().optional(), 'Can be mended on a beach'),
  jams: titled(z.boolean().optional(), 'Has a slot in which sand jams'),
});

/** Papers of a boat and the number on her sides. */
export const Papers = z.strictObject({
  hired: titled(z.boolean().optional(), 'Hired, or lent by somebody'),
  insuredUntil: titled(CivilDate.optional(), 'Insured until', {
    help: 'Of a boat that is not yours: asked of whoever lends her.',
  }),
  notes: titled(Note.optional(), 'What her owner asks', { long: true }),
  number: titled(z.string().max(40).optional(), 'Registration number'),
  numberUntil: titled(CivilDate.optional(), 'The number holds until'),
  bothSides: titled(z.boolean().optional(), 'It reads from both sides'),
});

export const Plate = z.strictObject({
  persons: measure('count', 'Persons', 1, 50).int().optional(),
  personsMass: measure('mass', 'Weight of persons', 1, 10_000).optional(),
  totalMass: measure('mass', 'Total weight', 1, 20_000).optional(),
  power: measure('power', 'Power', 0, 500_000).optional(),
  iso: titled(z.boolean().optional(), 'A builder’s plate with a design category', {
    help: 'Such a plate counts each person as 75 kg.',
  }),
});

export const Boat = z.strictObject({
  ...thing,
  name: titled(Text, 'Name'),
  kind: choice('Kind', CRAFT),
  length: measure(
    'length',
    'Length over all',
    1,
    15,
    'Straight line, bow to stern, without motor or rudder.',
  ).optional(),
  beam: measure('length', 'Beam', 0.2, 6, 'Her greatest width.').optional(),
  depth: measure(
    'length',
    'Depth of the hull',
    0.05,
    3,
    'Amidships, from the lowest point of the hull up to the edge.',
  ).optional(),
  draught: measure(
    'length',
    'Draught',
    0.02,
    3,
    'How deep she reaches, laden, with motor, board or rudder down.',
  ).optional(),
  mass: measure('mass', 'Empty weight', 3, 10_000).optional(),
  modelYear: measure('year', 'Model year', 1900, 2100).int().optional(),
  plate: titled(z.union([z.literal('none'), Plate]).optional(), 'Capacity plate'),
  advisedLoad: measure(
    'mass',
    "Maker's greatest load",
    20,
    10_000,
    'From the label or the manual, for boats without a plate.',
  ).optional(),
  propulsion: titled(z.array(Propulsion).max(6), 'Propulsion'),
  openings: titled(z.array(Opening).max(20), 'Openings that can flood her'),
  seats: measure('count', 'Seats', 1, 50, 'People she was made to sit.').int().optional(),
  cabin: titled(z.boolean().optional(), 'Cabin, or decked over', {
    help: 'Some rules spare a boat that is completely open.',
  }),
  freeboard: measure(
    'length',
    'Freeboard where one climbs in',
    0,
    3,
    'From the water to the edge, loaded.',
  ).optional(),
  maxSpeed: measure('speed', 'Greatest speed', 0.1, 60).optional(),
  fuelTank: choice('Fuel tank', {
    none: 'None',
    portable: 'Portable',
    fixed: 'Fixed in the boat',
    motor: 'In the motor itself, and no other',
  }).optional(),
  closedSpaces: titled(z.boolean().optional(), 'Closed spaces where vapour can gather', {
    help: 'Under seats or thwarts, closed lockers, a double bottom not filled with foam. Not: bait wells, glove boxes, slatted floors.',
  }),
  appliance: titled(z.boolean().optional(), 'Stove, heater or cooler that burns fuel'),
  trapeze: titled(z.boolean().optional(), 'Sailed from a trapeze'),
  cutOffSwitch: titled(z.boolean().optional(), 'Engine cut-off switch fitted by the maker'),
  flotation: choice('If she is swamped', {
    none: 'Nothing keeps her up',
    'air-bags': 'Air bags',
    bulkheads: 'Bulkheads',
    foam: 'Foam',
    'sealed-hull': 'Sealed hull',
  }).optional(),
  reserve: titled(z.array(Reserve).max(12).optional(), 'Parts that float on when she is full'),
  airTest: titled(AirTest.optional(), 'Overnight test of her tubes'),
  foreDry: titled(z.boolean().optional(), 'Fore hatch stays dry', {
    help: 'Looked into after an hour of waves over the bow.',
  }),
  headSea: choice('Against waves', {
    rides: 'Goes over them',
    slams: 'Slams, or buries her bow',
  }).optional(),
  rudder: titled(Rudder.optional(), 'Rudder'),
  driveOut: titled(z.boolean().optional(), 'Drive comes out in a second', {
    help: 'Of a drive through the hull: when something is caught in it.',
  }),
  material: choice('Hull made of', {
    polyethylene: 'Polyethylene',
    fibreglass: 'Fibreglass',
    alloy: 'Aluminium',
    plywood: 'Plywood',
    fabric: 'Fabric',
    steel: 'Steel',
    foam: 'Foam and skin',
  }).optional(),
  bottom: choice('Bottom', { flat: 'Flat, hard chines', other: 'Any other' }).optional(),
  transom: measure(
    'length',
    'Transom, height',
    0.1,
    1.5,
    'The board at the stern that a motor hangs on, from the keel up to its edge.',
  ).optional(),
  transomWidth: measure('length', 'Transom, width', 0.2, 4).optional(),
  controls: titled(Controls.optional(), 'How she is started and stopped'),
  trailer: titled(Trailer.optional(), 'Trailer'),
  rig: titled(Rig.optional(), 'Rig'),
  meter: measure('duration', 'Hours the motor has run', 0, 360_000_000).optional(),
  parts: Parts.optional().meta({ hidden: true } satisfies FieldMeta),
  photos: PhotoNotes.optional().meta({ hidden: true } satisfies FieldMeta),
  minutes: MinutesTaken.optional().meta({ hidden: true } satisfies FieldMeta),
  works: Works.optional().meta({ hidden: true } satisfies FieldMeta),
  unlearnt: titled(z.boolean().optional(), 'Plan by what was said of her, not by her own trips'),
  papers: titled(Papers.optional(), 'Papers and number'),
  damage: titled(Note.optional(), 'Damage and quirks', { long: true }),
  hullColour: titled(z.string().max(40).optional(), 'Colour below'),
  deckColour: titled(z.string().max(40).optional(), 'Colour above'),
  marks: titled(z.string().max(80).optional(), 'Name or number painted on her'),
});
export type Boat = z.infer<typeof Boat>;

export const Contact = z.strictObject({
  ...thing,
  name: titled(Text, 'Name'),
  phone: titled(z.string().max(40).optional(), 'Phone'),
  mail: titled(z.string().max(120).optional(), 'Mail', {
    help: 'The second way to them, where this Escale can send mail.',
  }),
  relation: titled(z.string().max(60).optional(), 'Who they are to you'),
});
export type Contact = z.infer<typeof Contact>;
