/** The words of holding a place. */
export const HOLD = {
  where: 'Where',
  at: '{place}, {from:clock} to {until:clock}',
  how: 'What holds her there',
  howSaid: 'What holds her there: {how}',
  from: 'The line leads from',
  comes: 'What comes there',
  room: 'Nearest other boat',
  roomSaid: '{room:height} away',
  roomUnsaid: 'not said',
  noBoat: 'Choose a boat first: what pulls on the line is hers.',
  noHalts: 'There is no halt with hours yet: say where you go and for how long, and all of this follows.',
  toWater: 'To the way',
  noPeople: 'Say who is in her: people are what the wind has hold of.',
  noMeasures: 'Length and beam of {boat} are needed before anything can be told of her.',
  herPage: 'Her page',
  ifAnchored: 'If you anchored there',
  by: 'Held by',
  byAnchor: 'An anchor',
  byPole: 'A pole',
  notHere: 'Not here: what follows shows why, not that one may.',
  anchor: 'Anchor',
  hour: 'At',
  worst: '{at:clock}, the worst of them',
  pull: 'On the line',
  band: '{low:force} to {high:force}',
  steady:
    'Steady {low:force} to {high:force}; up to {times} times that with gusts on the line, sheering and waves.',
  holds: '{anchor} holds',
  noHold: 'No figure: see above what is missing.',
  atLeast: '{low:force} or more',
  notKnown: 'Not known',
  noAnchor: 'No anchor is aboard.',
  noLine: 'Nobody entered how long its line is.',
  noDepth: 'The depth is not known.',
  short: 'Its line does not reach the ground.',
  lacks: 'Not known: {what:list}. It counts for nothing here, so the pull is too small.',
  lackWind: 'wind',
  lackStream: 'stream',
  lackDepth: 'depth',
  dragsStill: 'In still water it may drag from a wind of {may:speed} on.',
  dragsFrom: 'In this stream it may drag from a wind of {may:speed} on.',
  dragsSurely:
    'In this stream it may drag from a wind of {may:speed} on, and drags at {surely:speed} by all that is known.',
  dragsStream: 'In this wind it may drag from a stream of {may:speed} on.',
  dragsNever: 'No wind up to {most:speed} drags it by these figures. They are an estimate.',
  dragsAtOnce: 'It may drag in any wind.',
  builders: 'Builders make her cleats and anchor for {load:force} in this wind: a table from memory.',
  estimate:
    'Everything here is our own estimate, wide on purpose. Look at bearings, feel the line, and leave early.',
  tried: 'Tried, not as forecast',
  asForecast: 'As it is then',
  depth: 'Depth',
  wind: 'Wind, mean',
  stream: 'Stream',
  out: 'Line and chain out',
  along: 'Made fast',
  above: 'Made fast, above the water',
  unknownYet: 'not known',
  atBow: 'at the bow',
  atStern: 'at the stern',
  atAlong: '{metres:height} from the stern',
} as const;

export const STANDS = {
  holds: 'By our estimate it holds.',
  may: 'It may drag.',
  drags: 'It drags.',
  unvouched: 'Can’t be vouched for.',
  unknown: 'Not known.',
} as const;

export const SCOPE = {
  title: 'The line, true to scale',
  says: '{out:height} out over {height:height} from the ground to where it is made fast: {scope} to one. It leads up from the anchor by {low:angle} to {high:angle}.',
  lying: '{lying:height} of chain lie on the ground.',
  needs: 'Seven to one at high water of the stay: {need:height}. There are {there:height}.',
  needsAlone: 'Seven to one at high water of the stay: {need:height}.',
  stretch: 'It stretches by {low:height} to {high:height}.',
  drawn: 'The line from the anchor to the boat, the water and the ground, to scale.',
} as const;

export const SWING = {
  title: 'Where she swings',
  says: 'She comes {low:height} to {high:height} from her anchor.',
  shore: 'The shore is {metres:distance} away, {bearing:bearing}.',
  noShore: 'No shore is drawn here.',
  lies: 'As wind and stream are she points to {heading:bearing}.',
  drawn: 'The circle over which she swings around her anchor, north up, with what is drawn of the shore.',
} as const;

export const HEEL = {
  title: 'Never the side',
  straight: 'From here the pull comes from ahead or astern: it heels her by nothing.',
  heels:
    'From the side come {low:force} to {high:force}. That heels her by {least:angle} to {most:angle}, and leaves {free:shortLength} of freeboard.',
  edge: 'From the side come {low:force} to {high:force}. That heels her by {least:angle} to {most:angle}: water comes over her edge and rolls her.',
  over: 'From the side come up to {high:force}: she goes over.',
  limit:
    'From a stream of {stream:speed} on, by the most of the load ({load:force}), it comes over her edge: from there on it fills her, or presses on her deck and rolls her.',
  none: 'No stream that was looked at comes over her edge.',
  leeward: 'She leans away from the line: the wind stands over it.',
  drawn: 'From astern, heeled as the most of the load heels her.',
} as const;

export const HOURS = {
  title: 'Hour by hour',
  time: 'Time',
  depth: 'Depth',
  wind: 'Wind, gust',
  stream: 'Stream',
  pull: 'Pull',
  points: 'Points to',
  stands: 'Holds',
  windSaid: '{wind:speed}, {gust:speed}',
  streamSaid: '{speed:speed} to {towards:bearing}',
  unknown: '–',
  said: { holds: 'yes', may: 'may drag', drags: 'drags', unvouched: 'no figure', unknown: 'not known' },
} as const;

export const MAP = { near: '{metres:height}', far: '{metres:distance}' } as const;

export const DRIFTS = {
  afloat: 'With nothing out',
  sock: 'With a sock or sea anchor',
  swamped: 'Full of water, or over',
  person: 'Somebody in the water',
} as const;

export const DRIFT = {
  title: 'If she drifts',
  what: 'What drifts',
  from: 'From here at',
  fromHere: 'From where I am, now',
  fromHalt: 'From {place}',
  noWind: 'The wind is not known then, so nothing tells where it goes.',
  at: '{at:clock}: {metres:distance} off, {bearing:bearing}, give or take {spread:distance} besides the fan.',
  ashore: 'Ashore between {from:clock} and {until:clock}: {where:list}.',
  mayEnd: 'It may be ashore from {from:clock} on: {where:list}. Some ways of it end at sea.',
  atSea: 'Not ashore by {at:clock} on any of these ways.',
  shore: '{name} ({kind})',
  unsaid: 'a shore of which nobody said what it is like',
  streamless: 'The stream is not known: it is left out, and may take her quite another way.',
  until: 'Wind is known until {at:clock} only.',
  invented: 'The weather is invented: so is this.',
  tested:
    'By tests of: {name}, from memory. An estimate, never a search area. What the wind itself sets in motion over hours is not in it.',
  own: 'Reckoned as: {name}. Nobody vouches for a figure of it: the band is our own estimate, never a search area.',
  drawn:
    'Where it drifts, north up: the way in the middle, a fan to either side of it, and a ring of what it may be off at each hour.',
} as const;

export const POLE_STANDS = {
  holds: 'By our estimate it holds.',
  may: 'It may give way.',
  drags: 'It gives way.',
  unknown: 'Not known.',
} as const;

export const POLE = {
  title: 'If you staked out there',
  none: 'No pole is aboard.',
  noMeasures: 'Its length, thickness and material are not known, or it does not stand in so much water.',
  ground: 'By hand it goes {low:shortLength} to {high:shortLength} into this ground.',
  bends: 'At the line it bends {low:shortLength} to {high:shortLength}.',
  breaks: 'The pole itself breaks at {low:force} to {high:force}.',
  line: 'Line from amidships to past either end of her, with slack for the waves: {low:height} to {high:height}.',
  lines:
    'Some take it through the running rig to a release at the seat; others a short one with an elastic and a float at its end, and leave the pole standing. Either way it opens with one hand, and you come back for the pole.',
  drawn: 'The pole in the ground as it bends at the most of the pull, her bow to it, to scale.',
} as const;

export const MORE = {
  letGo: 'Let go in a second',
  schools: 'Weight, anchor or pole: the schools',
  seaAnchor: 'Sea anchor and sock',
  rig: 'Anchor line and rig: the cut list',
  rigDoor: 'Open it, to cut and to print',
  steps: 'Step by step',
} as const;

export const GO_OFF = {
  release: 'A release that opens with one hand: yes.',
  knot: 'A release that opens with one hand: no. A knot takes minutes.',
  unsaid: 'A release that opens with one hand: nobody said.',
  knife: 'A knife on somebody or in reach: yes.',
  noKnife: 'A knife on somebody or in reach: no.',
  float: 'A float on the line: yes. What was let go can be found again.',
  noFloat: 'A float on the line: no, or nobody said.',
  clear: 'Line not under the hull, not round a leg, a rod or the drive.',
  when: 'Let go, and think after, when',
  triggers: [
    'a wake or a wave comes that you would not sit still in;',
    'the stream builds, or she no longer lies end-on;',
    'a strong fish runs round the line;',
    'a boat comes at you.',
  ],
  ways: 'Two ways to clip a running rig',
  through:
    'Through the ring and into a clip by the seat: one pull from where you sit, wherever the ring is. Take this one for an anchor and in any stream.',
  toRing:
    'To the ring: at the bow it is {bow:height} from your shoulders, at the stern {stern:height}; arms reach {low:height} to {high:height}. You have to haul it back first.',
  leaning:
    'Leaning out over her edge for it heels her by {heel:angle} and leaves {free:shortLength} of freeboard.',
  edge: 'Leaning out over her edge for it heels her by {heel:angle}: her edge is under.',
  over: 'Leaning out over her edge for it takes her over.',
} as const;

export const SEA_ANCHOR = {
  noForecast: 'No forecast: nothing tells when it would have to be out. Before the blow, never in it.',
  before: 'Have it out before {at:clock}: the wind reaches {wind:speed}.',
  none: 'The forecast does not reach {wind:speed} while you are out, nor in the six hours after.',
  part: 'The forecast does not cover all of the hours out and six after: look again before you leave. Out before the blow, never in it.',
  invented: 'The weather is invented: so is this.',
  endless:
    'The forecast does not know when that is over: it may be half a day until wind and sea let you take it back.',
  until: 'That wind lasts until {at:clock}; the sea takes hours longer to let you take it back.',
  size: 'For her: {least:height} to {most:height} across its mouth, on {short:height} to {long:height} of line, or a whole wave of it.',
  noSize: 'Her length is not known: handbooks take a third to a half of it across the mouth.',
  unsaid: '{name}: nobody entered how wide it is.',
  small:
    '{name}: {across:height} across is less than that. It keeps her head up and slows her hardly at all.',
  large: '{name}: {across:height} across is more than that: it pulls harder, and is harder to take back.',
  fits: '{name}: {across:height} across is of that size.',
  noneAboard: 'None is in the shed.',
  parts: [
    'Swivel at the canopy, or it twists the line until it shuts.',
    'Something against chafe at the bow.',
    'A trip line to its crown with a float of its own. Round the canopy that line spoils it: float first, then the canopy.',
    'Clear of drive and rudder.',
  ],
  does: 'It slows drift and holds her head to the sea: the larger, the more. By how much nobody vouches for in so small a boat.',
} as const;

export const SCHOOLS = {
  pulls:
    'In {wind:speed} of steady wind she pulls {low:force} to {high:force} by an end, {least:force} to {most:force} from the side, before gusts and waves.',
  weight:
    'A weight on thin cord: {mass:mass} of steel hold {low:force} to {high:force} on sand. Right in a pond without wind.',
  grapnel:
    'A folding grapnel of {mass} kg at seven to one: {low:force} to {high:force} where it hooks rock, and it can’t be vouched for. Right elsewhere, with a release and a float.',
  pole: 'A pole in {depth:height} of water over mud: {low:force} to {high:force}. Right in still shallows, from an end; amidships some do it in a light wind, others never.',
  which: 'Never the side at anchor. With stream or wind an anchor, not a pole and not a weight.',
} as const;

export const RESTS = {
  title: 'How this is reckoned',
  formula:
    'Wind and stream each push by half the density times area, coefficient and the square of the speed. She turns until neither turns her further about where she is made fast; the line holds what is left.',
  air: 'Areas times coefficients in the air: {low} to {high} m² by an end, {least} to {most} m² from the side, their middle {height:height} over the water.',
  wind: 'Of {wind:speed} at ten metres {there:speed} are left there.',
  water: 'In the water: {low} to {high} m² by an end, {least} to {most} m² from the side.',
  surge:
    'The most of it counts gusts, her sailing to and fro, and {times} times for what waves add. Waves of which nothing is known count as the highest.',
  made: 'Made fast {z:height} over the water.',
  guessed: 'Some of her measures or weights are guessed.',
  ratio:
    'Such an anchor holds {low:ratio} to {high:ratio} times its weight on this bottom, or just lies there by its weight.',
  lead: 'As steep as the line leads at the most of the load {low:percent} to {high:percent} of that is left.',
  weight: 'A weight holds its own weight in water times friction, less as the line lifts it.',
} as const;

export const RIG = {
  print: 'Print',
  back: 'Back to holding',
  title: 'Line and rig of {boat}',
  noBoat: 'the boat',
  line: 'Anchor line for {place}, from the anchor up',
  rig: 'Running rig',
  side: 'Which side',
  port: 'Port',
  starboard: 'Starboard',
  onSide:
    '{side}: the side on which you reach best, away from the hand that casts. Points are numbered from the stern.',
  noHalt: 'No halt with hours yet: lengths follow from where and when you lie.',
  drawn: 'Her hull from above with the fixed points along one side.',
  advises:
    'Lengths are reckoned by Escale from her measures and the chart as it was entered. Pull each part hard by hand before you trust it.',
} as const;
