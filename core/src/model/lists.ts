/** Lists of words that schemas and rooms share; free of the validator, so that a worker may carry them. */
export const CRAFT = {
  'sit-on-top': 'Sit-on-top kayak',
  'sit-inside': 'Sit-inside kayak',
  canoe: 'Canoe',
  paddleboard: 'Paddleboard',
  inflatable: 'Inflatable',
  skiff: 'Skiff',
  'trailer-boat': 'Trailer boat',
  'personal-watercraft': 'Personal watercraft',
  catamaran: 'Beach catamaran',
  raft: 'River raft',
} as const;
export type Craft = keyof typeof CRAFT;

/** Where a thing travels. Order is from nearest to the hand to not aboard at all. */
export const STOWAGE = {
  'on-body': 'On the body',
  'in-reach': 'In reach of the seat',
  hatch: 'In a hatch',
  buried: 'Buried under other things',
  home: 'Stays at home',
} as const;
export type Stowage = keyof typeof STOWAGE;

export const CLOTHING = {
  light: 'Light clothes',
  'wetsuit-3': 'Wetsuit, 3 mm',
  'wetsuit-5': 'Wetsuit, 5 mm',
  'dry-suit': 'Dry suit with layers',
  'flotation-suit': 'Flotation suit',
} as const;
export type ClothingKind = keyof typeof CLOTHING;

/** Answers that people give of themselves and of a trip, and kinds of water: each label stands here and nowhere else. */
/** What fires a jacket that is blown up: a hand, a tablet that dissolves, or the pressure of the water. */
export const TRIGGERS = {
  manual: 'By hand alone',
  automatic: 'By itself, when a tablet gets wet',
  hydrostatic: 'By itself, under pressure of water',
} as const;
export const SWIMMING = { none: 'Cannot swim', weak: 'Weak', fair: 'Fair', strong: 'Strong' } as const;
/** To whom ashore somebody's medical notes are told. */
export const MEDICAL_FOR = {
  nobody: 'Nobody',
  sealed: 'The contact, once we are overdue or in trouble',
  contact: 'The contact, from the start',
} as const;
export const IN_WATER = { never: 'Never tried it', once: 'Tried it once', often: 'Done it often' } as const;
export const PLACE_KINDS = {
  launch: 'Launch',
  haven: 'Haven',
  hazard: 'Hazard',
  ground: 'Fishing ground',
  waypoint: 'Waypoint',
  parking: 'Parking',
} as const;
export const TODAY = { well: 'Well', tired: 'Tired', ill: 'Ill', 'hung-over': 'Hung over' } as const;
export const ROLES = { skipper: 'Skipper', crew: 'Crew', driver: 'Second driver' } as const;
export const SKILLED = { new: 'New to it', some: 'Knows it in calm', sure: 'Sure of it' } as const;
export const WATERS = {
  pond: 'Pond',
  lake: 'Lake',
  'great-lake': 'Great lake',
  river: 'River',
  'sheltered-tidal': 'Sheltered tidal',
  coastal: 'Coastal',
  'open-sea': 'Open sea',
} as const;

/** From what one launches, what stands beside it, and what lies under wheels and keel. */
export const LAUNCHES = { ramp: 'Ramp', jetty: 'Jetty', beach: 'Beach', bank: 'Bank' } as const;
export const JETTIES = {
  none: 'None',
  left: 'On the left',
  right: 'On the right',
  both: 'On both sides',
} as const;
export const SURFACES = {
  concrete: 'Concrete or stone',
  gravel: 'Gravel',
  sand: 'Sand',
  mud: 'Mud',
  grass: 'Grass',
} as const;

/** Of a trailer: what a hull rests on, what pulls it up, and how readily it lets go. */
export const RESTS = { bunks: 'Bunks', rollers: 'Rollers' } as const;
export const WINCHES = {
  strap: 'By hand, with a strap',
  rope: 'By hand, with rope or wire',
  electric: 'Electric',
  none: 'None',
} as const;
export const LETS_GO = {
  readily: 'Runs off by herself',
  push: 'With a push',
  sticks: 'Sticks until she floats',
} as const;

/** What lies in wait: kinds of hazard. */
export const HAZARDS = {
  rock: 'Rock or reef',
  bar: 'Bar that breaks',
  shoal: 'Shoal or drying bank',
  race: 'Tide race or overfall',
  weir: 'Weir or low dam',
  strainer: 'Strainer: tree or fence in the stream',
  'overhead-line': 'Overhead line',
  bridge: 'Low bridge',
  wreck: 'Wreck or stump',
  nets: 'Nets or fish farm',
  traffic: 'Ships: channel or ferry',
  other: 'Something else',
} as const;
export type Hazard = keyof typeof HAZARDS;
/** Who else goes where there is traffic. */
export const TRAFFIC = {
  ships: 'Ships in a channel',
  ferry: 'Ferry',
  fast: 'Fast boats',
  race: 'Race or regatta',
  fishing: 'Fishing boats at work',
} as const;
/** Those that kill who comes near, whether or not anybody said how far to keep off. */
export const DEADLY: ReadonlySet<Hazard> = new Set<Hazard>([
  'bar',
  'race',
  'weir',
  'strainer',
  'overhead-line',
]);
/** Those that one passes under. */
export const OVERHEAD: ReadonlySet<Hazard> = new Set<Hazard>(['overhead-line', 'bridge']);

/** How one comes back to a car that stands where one left. */
export const BACK_TO_CAR = {
  'second-car': 'A second car stands there already',
  fetched: 'Somebody fetches us',
  public: 'Bus, train or taxi',
  foot: 'On foot or by bicycle',
  'no-car': 'No car is left behind',
} as const;

/** Which way a river's level goes. */
export const RIVER_TRENDS = { falling: 'Falling', steady: 'Steady', rising: 'Rising' } as const;

/** What lies under the water. */
export const SEABEDS = {
  sand: 'Sand',
  mud: 'Firm mud or clay',
  silt: 'Soft mud or silt',
  gravel: 'Gravel or shingle',
  rock: 'Rock',
  weed: 'Weed or kelp',
  mixed: 'Mixed',
} as const;
export type Seabed = keyof typeof SEABEDS;

/** What holds her where one stays, and from where on her the line leads. */
export const HOLDS = {
  anchor: 'At anchor',
  pole: 'On a pole',
  afloat: 'Drifting or under way',
  ashore: 'Ashore or at a jetty',
} as const;
export type Hold = keyof typeof HOLDS;
export const MADE_FAST = { bow: 'The bow', stern: 'The stern', side: 'Amidships, or the side' } as const;
export type MadeFast = keyof typeof MADE_FAST;
/** What comes to a place where one would lie, besides wind and stream. */
export const COMES = {
  breakers: 'Waves break there',
  debris: 'Things drift down: trees, weed, ice',
  traffic: 'Boats come through',
} as const;

/** Kinds of anchor, and what weights are made of. */
export const ANCHORS = {
  folding: 'Folding grapnel',
  fluke: 'Pivoting flukes',
  plough: 'Plough or scoop',
  claw: 'Claw',
  fisherman: 'Fisherman, with a stock',
  mushroom: 'Mushroom',
  'weight-steel': 'Weight of steel or iron',
  'weight-lead': 'Weight of lead',
  'weight-concrete': 'Weight of concrete or stone',
  'weight-sand': 'Bag of sand',
} as const;
export type AnchorKind = keyof typeof ANCHORS;
export const LINES = {
  nylon: 'Nylon, which stretches',
  polyester: 'Polyester',
  polypropylene: 'Polypropylene, which floats',
  cord: 'Thin cord or something else',
} as const;
export type LineKind = keyof typeof LINES;
export const POLES = {
  glassfibre: 'Glass fibre',
  wood: 'Wood',
  aluminium: 'Aluminium tube',
  steel: 'Steel tube',
} as const;
export type PoleKind = keyof typeof POLES;
export const RELEASES = {
  quick: 'In reach of the seat, opens with one hand',
  knot: 'Out of reach, a knot, or by a tool',
} as const;

/** What is inside of a line of the shore. */
export const SIDES = { land: 'Land', water: 'Water' } as const;

/** Kinds of shore, and whether one can land there. */
export const SHORES = {
  beach: 'Beach one can land on',
  harbour: 'Harbour or jetty',
  bank: 'Bank or ramp',
  rocks: 'Rocks',
  cliff: 'Cliff or wall',
} as const;
export type Shore = keyof typeof SHORES;
export const LANDABLE: ReadonlySet<string> = new Set<Shore>(['beach', 'harbour', 'bank']);

/** What can go wrong, in a few words. */
export const INCIDENT_KINDS = {
  engine: 'Engine dead',
  drive: 'Drive or mast lost',
  capsized: 'Capsized',
  flooding: 'Taking on water',
  overboard: 'Overboard, seen',
  unseen: 'Overboard, unseen',
  driver: 'Driver overboard',
  fog: 'Fog',
  thunder: 'Thunder',
  hurt: 'Hurt or cold',
  companion: 'Companion spent',
  silence: 'Nobody answers',
} as const;
export type IncidentKind = keyof typeof INCIDENT_KINDS;

/** What was done, or came about, in a near miss. */
export const CLOSE_CALL_DEEDS = {
  noticed: 'We noticed it',
  called: 'We called',
  answered: 'Somebody knew',
  out: 'Out of the water',
  stopped: 'It got no worse',
  landed: 'Ashore',
  helped: 'Help was there',
  over: 'It was over',
} as const;
export type CloseCallDeed = keyof typeof CLOSE_CALL_DEEDS;

/** Where a call gets through, on one water. */
export const RECEPTION = { all: 'All over it', part: 'Here and there', none: 'Not there' } as const;

/** Kinds of water with a tide, which are those with salt. */
export const TIDAL: ReadonlySet<string> = new Set(['sheltered-tidal', 'coastal', 'open-sea']);
/** Datums on which a chart's heights stand; only heights above one of these can be held against a launch's own. */
export const CHART_DATUMS: ReadonlySet<string> = new Set(['chart datum', 'LAT', 'MLLW']);
/** Kinds of boat that come on a trailer of their own. */
export const TRAILED: ReadonlySet<string> = new Set(['trailer-boat', 'personal-watercraft']);

/** Kinds that arms or the wind move by nature: a motor on one of them is something that somebody says. */
export const UNPOWERED: ReadonlySet<string> = new Set([
  'sit-on-top',
  'sit-inside',
  'canoe',
  'paddleboard',
  'raft',
  'catamaran',
]);

/** The four levels, worst first. */
export const LEVELS = ['stop', 'fix', 'know', 'ready'] as const;
export type Level = (typeof LEVELS)[number];

/**
 * What is at stake, worst first: without it nothing can be told; a life; a hurt, or help that comes late; the day; order and
 * papers. It orders what weighs alike.
 */
export const HARMS = ['ground', 'life', 'hurt', 'day', 'order'] as const;
export type Harm = (typeof HARMS)[number];

/** Liquids aboard: kilograms a litre (petrol 0.74 to 0.75, source `petrol`), and whether they are gone on the way home. */
export const LIQUIDS = {
  petrol: { words: 'Petrol', density: 745, used: true },
  diesel: { words: 'Diesel', density: 840, used: true },
  drink: { words: 'Drinking water', density: 1000, used: true },
  bait: { words: 'Bait well', density: 1025, used: false },
  ice: { words: 'Ice box with ice', density: 920, used: false },
} as const;
export type Liquid = keyof typeof LIQUIDS;

/** Of the tests of a thing or a part so many are kept, the last ones. */
export const MOST_TESTS = 60;
/** Of how long a task took so many are kept, the last ones. */
export const MOST_TAKEN = 10;
/** Photos of a household, and how large each is: bytes, and characters when it travels. */
export const MOST_PHOTOS = 300;
export const MOST_PHOTO_BYTES = 200_000;
export const MOST_PHOTO_CHARACTERS = 4 * Math.ceil(MOST_PHOTO_BYTES / 3);
/** So many things of one kind a shed holds. */
export const MOST_OF_A_KIND = 5000;

/** What is practised in the real world. */
export const DRILLS = {
  float: 'Floating in the jacket',
  reenter: 'Back aboard from deep water',
  right: 'Turning her upright',
  restart: 'The driver overboard: stop, start, come back',
  lift: 'Somebody lifted back aboard',
  tow: 'Towing and being towed',
  call: 'The call for help, with the radio off',
  throw: 'Throwing a line to a swimmer',
  fire: 'An inflatable jacket fired in the water',
  posture: 'Keeping still and close in cold water',
  anchor: 'The anchor down, set, and let go',
  reverse: 'Backing the trailer on an empty lot',
} as const;
export type DrillKind = keyof typeof DRILLS;
export const DRILL_WENT = {
  well: 'It worked',
  tries: 'It worked after some tries',
  failed: 'It did not work',
} as const;

/** What became of a thing on a trip. */
export const BECAME = {
  used: 'Used up',
  broken: 'Broken',
  lost: 'Lost',
  due: 'Needs looking after',
} as const;
export type BecameKind = keyof typeof BECAME;

/** So many things something became of on a trip, and so many of a catch, a debrief holds. */
export const MOST_BECAME = 200;
export const MOST_CAUGHT = 200;
/** From where to where a catch is measured. Which one counts is what the limit’s own text says. */
export const MEASURED = {
  pinched: 'Nose to the tail’s tip, mouth shut, tail pinched',
  total: 'Nose to the tail’s tip, tail as it lies',
  fork: 'Nose to the fork of the tail',
  jaw: 'Lower jaw to the fork of the tail',
  shell: 'Across the shell at its widest',
  back: 'Along the back shell',
} as const;
export type MeasuredKind = keyof typeof MEASURED;
/** What a limit’s text says of one that is exactly as long. Where it says nothing it is released. */
export const AT_LIMIT = { kept: 'May be kept', released: 'Is released' } as const;

/** Least and most that somebody’s own limit may be, in SI. */
export const LIMIT_RANGES = {
  wind: [0, 40],
  gust: [0, 60],
  waterTemperature: [-2, 35],
  waves: [0, 10],
  off: [20, 100_000],
  hours: [600, 1_209_600],
} as const;
