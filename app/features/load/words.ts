// What the screens of the load say with figures in it; each template stands whole, so that another language is another file.
export const LOAD = {
  undone: 'Undo: {what}',
  loaded: 'Loaded to {share:percent}',
  over: '{mass:mass} too much.',
  left: '{mass:mass} under that limit.',
  people: 'People {is:mass} of {plate:mass} on the plate.',
  power: 'Power {is:power} of {plate:power} on the plate.',
  onTheRoad: 'On the road {total:mass}',
  trailerPlate: 'trailer’s plate {mass:mass}',
  carMay: 'the car may tow {mass:mass}',
  hitch: '{share:percent} on the hitch',
  hitchUnknown: 'weight on the hitch not measured',
  keep: '{edge:shortLength} should be left at the lowest edge in flat water.',
  keepGuessed:
    'From measures that are partly guessed. {edge:shortLength} should be left at the lowest edge in flat water.',
  between: 'Lowest edge between {low:shortLength} and {high:shortLength}.',
  measureFirst: 'Worth measuring first, as it alone may change that by {spread:shortLength}:',
  place: 'Place of {name}',
} as const;

/** One more aboard: what is left, and how she moves for it. */
export const ONE_MORE = {
  left: 'With a rescued {mass:mass} low in the middle {edge:shortLength} of freeboard is left at the lowest edge.',
  over: 'That is {mass:mass} over her limit: slowly, straight to the nearest shore.',
  under: '{mass:mass} under her limit.',
  bow: 'Before it was {edge:shortLength}: she sinks {by:shortLength} amidships and trims {trim:angle} by the bow.',
  stern:
    'Before it was {edge:shortLength}: she sinks {by:shortLength} amidships and trims {trim:angle} by the stern.',
  bowSame:
    'Before it was {edge:shortLength}: she sinks {by:shortLength} amidships and trims {trim:angle} by the bow, so her lowest edge, at the other end, stays where it was.',
  sternSame:
    'Before it was {edge:shortLength}: she sinks {by:shortLength} amidships and trims {trim:angle} by the stern, so her lowest edge, at the other end, stays where it was.',
} as const;

/** Ways home, how far and how fast. */
export const WAYS = {
  lacks: 'How far it carries can’t be told yet: {what}',
  title: 'Ways home: {n}',
  speed: '{speed:speed}',
  far: '{range:distance}',
  between: '{least:distance} to {most:distance}',
  furthest: 'Furthest at {speed:speed}: {range:distance}',
} as const;

/** Her trim and list in one line, for who does not see the drawing; and where a body sits, for who moves it by keys. */
export const LIE = {
  sternPort: 'Trim {trim:angle} by the stern, list {heel:angle} to port',
  sternStarboard: 'Trim {trim:angle} by the stern, list {heel:angle} to starboard',
  bowPort: 'Trim {trim:angle} by the bow, list {heel:angle} to port',
  bowStarboard: 'Trim {trim:angle} by the bow, list {heel:angle} to starboard',
  spotMiddle: '{name}, {mass:mass}, {along:percent} from the stern, in the middle. Arrow keys move it',
  spotPort: '{name}, {mass:mass}, {along:percent} from the stern, {off:percent} to port. Arrow keys move it',
  spotStarboard:
    '{name}, {mass:mass}, {along:percent} from the stern, {off:percent} to starboard. Arrow keys move it',
} as const;

/** What follows when somebody leans, when she is swamped, when she leaks. */
export const ASKED = {
  heel: '{heel}° of heel',
  freeboard: '{edge:shortLength} of freeboard left.',
  who: '{people:list}',
  bags: 'With bags of {litres} L fore and aft',
  bagsFull: 'Full, with bags of {litres} L fore and aft',
  lacks: '{litres} L of foam or bags are lacking just to hold her and her kit.',
  bears: 'Bears {mass:mass} over her own weight and kit.',
  level:
    'Level: with everyone in their seats at most {most}° of list and trim, and her edge no deeper than {deep:shortLength}, as in the federal flotation test; water bears half of who sits in it. While she fills she may roll first. Old foam soaks up water: weigh her once a year.',
  leak: 'Our own sum, from her measures. Over an opening above the water comes what waves of that height throw, by chance, more the lower it sinks; a small boat rides half of a wave. A pump gives about {pump:percent} of its label, a bucket tires after {tires:span}.',
  open: '{hole} open',
} as const;

export const LEAK = {
  dry: 'stays over the water',
  never: 'not swamped in six hours',
  quickCapsize: 'under a minute to capsize',
  quickSwamp: 'under a minute to swamped',
  capsize: '{at:span} to capsize',
  swamp: '{at:span} to swamped',
  notReached: 'By our sum a sea like that does not reach it. One that breaks over her deck does: shut it.',
  first: '{rate:volume} a minute at first.',
  firstGuessed: '{rate:volume} a minute at first, its bore taken from its kind.',
  aboardNever: '{aboard:volume} aboard at the end; she is never a third full.',
  aboard: '{aboard:volume} aboard at the end, before she is a third full.',
  third: 'A third full after {third:span}.',
  thirdStern: 'A third full after {third:span}, {trim}° down by the stern.',
  thirdBow: 'A third full after {third:span}, {trim}° down by the bow.',
  planing: 'Full throttle then makes about {share:percent} of her planing speed until the water spreads.',
} as const;

/** People against places on the plan of the boat. */
export const SEATS = {
  title: 'Who sits where, {n} aboard',
  plate: 'Her plate says {most#person|people}.',
  stated: 'She has {most#seat|seats}, as you said.',
  guess: 'Boats of her kind have {most#seat|seats}: a guess until you say so.',
  over: 'She has no place for {n#person|people}: drawn with a broken edge.',
  drag: 'Bow to the right. Drag a person, or move them with the arrow keys.',
  noPlan: 'Length and beam are needed before she can be drawn.',
} as const;

export const ON_HATCH = {
  title: 'On or against a hatch or its latch',
  why: '{hatches:list}: shut is not latched, and a load that shifts pushes one open.',
  none: 'Nothing lies there',
  some: 'Something does',
  other: 'Something else',
  otherFirst: 'First write what it is.',
  add: 'Add it',
} as const;

export const STANDS = {
  title: 'Standing up',
  why: 'To fish, to pole or to drive: the one who stands tips her most.',
  of: '{person}: sits or stands',
  sits: 'Sits',
  stands: 'Stands up',
  unweighed: 'Without a weight nobody can tell.',
  own: 'Our own sum for flat water and a boat at rest. Waves, a fish on the line and a wake take more.',
} as const;
