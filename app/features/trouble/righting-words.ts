// What turning her upright is told in; practice speaks of it too.
export const RIGHT = {
  title: 'Can we right her?',
  nobody: 'Nobody’s weight was entered: it can’t be reckoned.',
  needs: 'She asks for {low:moment} to {high:moment}',
  gives: '{low:moment} to {high:moment}',
  each: '{who} alone',
  together: 'Together',
  unknown: 'weight not known',
  drawnMast:
    'Seen along the mast’s foot: the boat on her side, the mast tip on the water, {who} leaning out {angle:bearing} from upright on the line.',
  drawnEdge:
    'Seen from her end: upside down, and {who} leaning back {angle:bearing} from upright on her edge.',
  drawnHand:
    'Seen from her end: upside down, and {who} across her, a knee on the near edge, leaning back {angle:bearing} from upright with the legs in the water.',
  hangs: 'hangs {low:shortLength} to {high:shortLength} out',
  lean: 'leans {low:bearing} to {high:bearing}',
  holds: 'holds her down',
  onLine: 'On the line',
  side: 'How she lies',
  line: 'Line',
  lineSaid: '{line:length}',
  lineUnknown: 'not known',
  water: 'Water in the sail',
  waterSaid: '{water:mass}',
  bag: 'With a bag of water on the shoulder',
  strap: 'With a strap from her far edge',
  wind: 'Reckoned with wind of {wind:speed}.',
  noWind: 'No forecast for this hour: reckoned without wind.',
  changes: 'What would change it',
  takenRig: 'Her rig stands for boats of her length: enter mast and weights for a narrower range.',
  takenLine: 'How long the righting line is was not entered: a usual lean is taken.',
  takenSize: 'Her weight or beam is a guess.',
  estimate:
    'Our own estimate, nobody publishes such numbers. Moving water, waves and tired arms are not in it.',
  unweighed: 'Without a weight: {who:list}.',
  byLabel: 'She is rolled the way the label at her stern shows, and only that way.',
  notRighted: 'A trailer boat is not turned upright by people in the water: get onto her, stay, call.',
  noMeasures: 'Whether you can right her can’t be reckoned: enter her length, beam and weight.',
  raft: 'A life raft upside down',
} as const;

/** Can those on the line right her? */
export const CAN = {
  yes: 'By our estimate yes: {who:list} can give what she asks for.',
  may: 'Open: what {who:list} can give may be enough, and may not.',
  no: 'By our estimate no: what {who:list} can give is not enough.',
} as const;

export const CHANGE = {
  bow: 'Her bow brought to the wind',
  drain: 'The water run out of the sail',
  bag: 'A bag of water on the shoulder',
  line: '{more:length} more line',
  strap: 'A strap from her far edge, standing on the near one',
  pair: 'A second one on the line',
} as const;
export const CHANGE_TO = {
  yes: '{what}: then she comes, by our estimate.',
  may: '{what}: it may then be enough.',
  no: '{what}: helps, and is not enough.',
} as const;
export const SIDES = {
  bow: 'Bow to the wind',
  'mast-down': 'Mast downwind',
  'mast-up': 'Mast upwind',
} as const;
