// What the screens on the water say with figures in it.
export const GO = {
  rampDeep: '{depth:height} deep',
  rampIn: '{run:height} in',
  rampDrawn:
    'The ramp from the side: the trailer’s wheels {run:height} in from the edge, in {depth:height} of water.',
  rampNoSlope: 'How steep the ramp is was not entered: how far the wheels go in can’t be told.',
  rampDeeper:
    'Drawn for the deeper end of what is known, to scale. Stop when her stern lifts: that counts, not the figure.',
  rampFromMeasures: 'Stop when her stern lifts: that counts, not the figure.',
  placeRules: 'Here: {rules}',
  numbers: 'Whom to ring',
  rescue: 'rescue',
  noRescue:
    'No rescue number is entered for this water. Ring the emergency number of the country you are in.',
  noSteps:
    '{none} a {craft} has no steps in Escale yet. Use your own list; plug, straps, lock and brake looked at twice.',
  noBoat: 'Choose the boat first: the steps are made for her.',
  steps: '{n#step|steps} for this boat and this hour',
  danger: 'Danger: {what}',
  trouble: 'Trouble',
  whoDoes: 'Who does what',
  whoIs: 'Who is {who}',
  whosePhone: 'Whose phone is this?',
  everybodys: 'Everybody’s',
  handOf: '{who}: {name}',
  does: '{name}: {what}',
  waitFor: 'Nothing for you now. Next:',
  showAll: 'Show all steps on this phone',
  backToSteps: 'Back to the steps',
  whatOpen: 'What is open',
  aloud: 'Read aloud',
  hush: 'Stop reading',
  noVoice: 'This device has no voice of its own to read with.',
  sleeps: 'This device does not keep its screen on: it goes dark by itself, and the step stays.',
  took: 'It took {for:span}.',
  times: 'When each was done',
  putOff: 'put off',
  open: 'open',
  locked: 'Until then this stays locked: {steps}',
  early: 'Your own eye looks again in {seconds} s; another’s may now.',
  tooEarly: 'Your own eye has just looked: wait, or let another look.',
  onlyStep: 'It is the last one open: it is done, or it stays open when you leave.',
  looked: '{name} looked',
  goOn: 'Go on, {done} of {all}',
  start: 'Start',
  stayIf: 'Stay ashore if: {what}',
  read: 'Read by this device at {at:clock}, good to {metres} m. Only where life is in danger.',
  fromPlan:
    'The position is where your plan has you now; this device was not asked. Only where life is in danger.',
  sayWhere:
    'Say where you are now: what you see, how far off, in which direction. Only where life is in danger.',
  allDone: 'All done.',
  stillOpen: '{n#step|steps} still open',
  done: '{done} of {all} done',
  underWay: 'Under way · {for:span}',
  noSignal: 'no signal, {n} waiting',
  waiting: '{n} waiting',
} as const;

export const TURN = {
  none: 'No limit could be reckoned: set a time to be home.',
  before: 'leave {leave:day} {leave:clock}, turn by {turn:clock} at the latest',
  limits: 'at {turn:clock}, the latest that brings you home inside your limits',
  filed: 'at {turn:clock}, to be home at {home:clock} as you filed',
  later: 'Your limits would allow {limit:clock}: send a change first.',
} as const;

/** The landing that is nearest: where, how far, and what is doubtful about it. */
export const LANDING = {
  here: 'here, by the plan',
  from: '{place}. From where the plan has you now. The bearing is true.',
  tired: '{place}. From where the plan has you now, at {speed:speed} when tired. The bearing is true.',
  doubtFrom: '{place}: {doubts}. From where the plan has you now. The bearing is true.',
  doubtTired:
    '{place}: {doubts}. From where the plan has you now, at {speed:speed} when tired. The bearing is true.',
  nearer: 'Nearer: {place}, {way}; {doubts}.',
} as const;
