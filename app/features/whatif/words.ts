import type { IncidentKind } from '@escale/core/model/lists';

/** Which cards tell what to do, the first that suits the boat. */
export const CARDS: Readonly<Record<IncidentKind, readonly string[]>> = {
  engine: ['engine-dead'],
  drive: ['paddle-lost', 'mast-down'],
  capsized: [
    'capsize-sit-on-top',
    'capsize-sit-inside',
    'capsize-canoe',
    'capsize-paddleboard',
    'capsize-catamaran',
    'capsize-raft',
    'capsize-watercraft',
    'swamped',
  ],
  flooding: ['taking-on-water'],
  overboard: ['overboard'],
  unseen: ['overboard'],
  driver: ['driver-gone', 'overboard'],
  fog: ['fog'],
  thunder: ['lightning'],
  hurt: ['cold'],
  companion: ['exhausted'],
  silence: ['lost'],
};

export const IF = {
  title: 'What if?',
  lead: 'Any moment of the planned day, with what is really packed. All of it is an estimate.',
  what: 'What goes wrong',
  hour: 'When',
  hourIs: '{at:day} {at:clock}',
  through: 'Through which opening',
  anyHole: 'The one that fills her first',
  where: 'From where the plan has you at {at:clock}.',
  device: 'From where this device was at {at:clock}.',
  here: 'From here, now',
  planned: 'From the plan',
  reckoning: 'Reckoning …',
  failed: 'This could not be reckoned.',
  nowhere: 'Where you are at that hour is not known: it needs a route with hours, or this device’s position.',
  none: 'Nothing of this lasts longer than what helps, by what is known.',
  estimate: 'Estimate, by its cautious end.',
  leans: 'It leans on {what:list}; the worst is taken for what is not known.',
  card: 'What to do: {title}',
  told: 'What happens',
  besides: 'Besides',
  notKnown: 'not known',
  worse: 'In worse weather',
  worseWhy: 'A force more, two hours earlier.',
  noTrip: 'Choose a boat first: what goes wrong hangs on her.',
  noDay: 'The day can’t be looked through: it needs a route, a speed and an hour of leaving.',
  toDay: 'To the day',
} as const;

export const GRADE = ['closed', 'short', 'long', 'very long'] as const;

export const GLANCE = {
  title: 'The day at a glance',
  looking: 'Looking through the day: {done} of {of}',
  stop: 'Stop',
  go: 'Look through the day',
  all: 'Worst of all',
  is: 'The worst gap of each incident, from {from:clock} to {until:clock}. The taller, the longer.',
  key: 'Height: how long a limit is passed before what helps. Outlined: something is not known.',
  worst: 'The worst moments',
  worstOne: '{at:clock} · {what}',
  quiet: 'No gap was found all day, by what is known.',
  row: '{what}: {grade} at worst, {at:clock}',
  rowOpen: '{what}: {grade} at worst, {at:clock}; something is not known',
  rowNone: '{what}: closed all day',
  table: 'As a list',
  map: 'The way over the water, the thicker the worse',
} as const;

export const BEST = {
  title: 'What shrinks it most',
  trying: 'Trying {done} of {of} changes',
  do: 'Do it',
  then: 'Then: {what}',
  closed: 'Then it is closed.',
  others: 'Others that shrink it',
  none: 'Nothing that this trip, the shed or the hour could change shrinks it.',
  did: 'Changed: {what}',
  ask: 'To the float plan',
} as const;

export const ASK = {
  title: 'Before you leave: ask the crew',
  lead: 'Out of the worst moments of this day. Ask aloud, and let somebody answer before you read on.',
  begin: 'Ask them',
  kept: '{what}: {answer}, {on:day} {on:clock}',
  keptLacks: '{what}: {answer}: {lacks}, {on:day} {on:clock}',
  holds: 'What a good answer holds',
  answer: 'How it went',
  known: 'We knew',
  lacking: 'Something was lacking',
  what: 'What was lacking',
  said: 'what the crew answered',
  before: 'Answered on {on:day} {on:clock}',
  none: 'No gap of this day asks for a question, by what is known.',
} as const;
