// What planning says with figures in it: the water and its halts, the crew, boats in company.
export const HALT = {
  rules: 'The rules of {rules:list} are taken to hold. The local authority says what does.',
  halts: 'Halts, in order',
  chart: 'Open the chart',
  oneWay: 'You land elsewhere: the car stays behind.',
  label: 'Halt {n}',
  earlier: 'Halt {n} earlier',
  leaveOut: 'Leave out halt {n}',
  minutes: '{n} min',
  stay: 'Stay',
  there: 'there at {at:clock}',
  leg: '{from} to {to}: {far:distance} on {bearing:bearing} true',
} as const;

export const CREW = {
  more: 'More about {name}',
  whichJacket: 'Which jacket',
  add: 'Add {name}',
  plus: '+ {name}',
  ashore: '{name} stays ashore',
  role: 'Role of {name}',
  today: '{name} today',
  eye: '{name} keeps an eye on',
  clothing: 'Clothing of {name}',
  jacketOn: 'Jacket on from launch to landing',
  jacketNamed: 'Jacket on from launch to landing: {jacket}',
  wears: '{name} wears the jacket from launch to landing',
  cord: '{name} wears the kill cord',
  jacket: 'Jacket of {name}',
} as const;

/** Who goes in which boat. */
export const SHARE = {
  title: 'Who goes in which boat',
  boat: '{boat}, {n} aboard, {mass:mass}',
  seat: '{n}. {who}',
  goesIn: '{who} goes in',
  byList: 'By list',
  leads: 'can lead',
  weak: 'weak in the water',
  shoulder: 'bad shoulder or back',
  even: 'Share out evenly',
  how: 'From the bow: strong paddlers first, weak swimmers before the one who leads. Mass, swimming and shoulders spread by the seats each boat has; our own way of weighing them.',
  said: 'who goes in which boat',
} as const;

export const COMPANY = {
  into: 'Towing into {wind:speed}',
  intoInvented: 'Towing into {wind:speed} (invented weather)',
  calm: 'Towing into a calm, as no wind is forecast for all hours',
  aboard: '{boat}, {n} aboard',
  unknown: 'not known',
  noWay: 'makes no way',
  tows: '{speed:speed} with one in tow',
} as const;

/** The day, one worse. */
export const WORSE = {
  ask: 'What if it is one worse?',
  hide: 'As it is forecast',
  what: 'A force more and two hours earlier than forecast; nothing of your plan is changed by looking.',
  same: 'Nothing more would stand against it.',
  more: '{n#thing|things} more would stand against it:',
  line: '{level}: {what}',
  level: { stop: 'Stop', fix: 'Fix', know: 'Know', ready: 'Ready' },
  turn: 'You would have to turn back by {at:clock}.',
} as const;

export const FIT = {
  title: 'Is {boat} for this water?',
  short: {
    fit: 'fit',
    near: 'near the shore',
    beyond: 'near the shore only',
    open: 'not settled',
    against: 'with care',
  },
  answer: {
    fit: '{boat} is for this water, as far as it is known.',
    near: '{boat} is for near the shore, and this way stays within {near:distance} of a landing.',
    beyond: '{boat} is for near the shore only, and this way leads further out.',
    open: 'It can’t be told yet whether {boat} is for this water.',
    against: '{boat} may go there, and something speaks against her.',
  },
  against: 'Against her',
  for: 'For her',
  unsaid: 'Not said',
  own: 'Practice, and our own estimate where no list says. Whoever knows her and the water stands before it.',
} as const;
