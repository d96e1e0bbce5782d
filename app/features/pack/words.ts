// What packing and filing say with a name or a figure in it.
export const KIT = {
  inHand: '{done} of {all} in hand.',
  law: 'law {ready} of {all}',
  advised: 'advised {ready} of {all}',
  asIf: '{lead} The rules of {rules:list} are taken to hold.',
  noRules: '{lead} No rule list is chosen for this water.',
  one: 'One thing more is asked for; it is marked new below.',
  more: '{n} things more are asked for; they are marked new below.',
  gone: 'No longer: {what}.',
  packNow: 'Rule list {id} now holds in version {to}; it was {from}.',
  asked: '{title} ({layer})',
  askedTimes: '{title} ({layer}, {n} in all)',
  comes: '+ {what}',
  goes: '− {what}',
  count: '{n} × {title}',
  notedAfter: 'Noted after {on}',
  unsettled: '{jacket}, not settled',
  what: 'What',
  where: 'Where',
  state: 'State',
  travels: 'What goes, and where',
  nothingGoes: 'Nothing is in the shed that travels on this trip yet.',
  noJacket: 'none that counts',
  strict:
    'Ours is the strict school: worn from before launching until ashore. There is no time to put one on in the water.',
  lawAsks: 'The law here asks: {what:list}. An operator may ask for no more than one aboard for each.',
  lawSilent: 'No rule list of this water asks for one.',
  mayHold: '{title}, which may hold',
} as const;

export const BEFOREHAND = {
  group: '{group}, {day:day}',
  groups: {
    before: 'Days before',
    evening: 'The evening before',
    morning: 'Morning',
    launch: 'At the water',
  },
  noLeave: 'Without a time to leave nothing can be reckoned backwards.',
  minutes: '{n} min',
  ownMinutes: '{n} min, as it took you',
  at: '{at:clock} {task}',
  label: '{what}: {task}',
  waits: 'waits for: {what}',
  since: 'begun at {at:clock}',
  gone: 'its hour has gone by',
  isLater: 'put off',
  isOut: 'left out this time',
  begin: 'Begin',
  later: 'Put off',
  notLater: 'Not put off',
  out: 'Leave out',
  back: 'Do it after all',
  charge: '{name} at {share:percent}',
  changedCharge: 'the charge of {name}',
  notFull: 'Not known to be full: {names:list}.',
  allFull: 'All of them are full now',
  howLong: 'How long did it take?',
  took: 'It took',
  less: 'Five minutes less',
  more: 'Five minutes more',
  keep: 'Keep',
  changed: 'how long it took',
  calendar: 'Into the calendar',
  calendarWhy:
    'A file for any calendar, with an alarm when each task begins. “Begin” times a task: the next trip in this boat reckons with it.',
} as const;

export const PLAN = {
  more: 'More for the sheet',
  left: '{n} left out',
  lacks: 'A boat, a crew, a water, a contact and a time home are needed before anything can be filed.',
  filed: 'Filed, version {version}',
  times:
    'Home {home:clock}, overdue {overdue:clock} on {overdue:day}. The server acts then, whatever becomes of this phone.',
  change: 'the change to {trip}',
  file: 'the float plan of {trip}',
  shared: 'The leaders of your club look on.',
  notShared:
    'The club does not look on: this household belongs to none, or joined it after this was filed. Send the change once it has.',
  heard: 'A later time home in a change has to be accepted again.',
  moves:
    'Later than planned, with nothing else changed: “I’m fine” moves the hours. Whoever accepted need not accept again.',
  clock:
    'Filing starts a clock on the server. It acts if you are not home by {overdue:clock}. Escale never rings a rescue service by itself.',
  clockUnknown:
    'Filing starts a clock on the server. It acts if you are not home by the overdue time. Escale never rings a rescue service by itself.',
} as const;

/** A contact’s own link. */
export const LINKS = {
  title: 'Their page',
  lead: 'Each contact has a page of their own: what to expect, when late is late, whom to ring. It works on any phone, and they accept there.',
  make: 'A link for {name}',
  codeIs: 'The link of {name} as a code',
  codeNote: 'Held before their camera it opens their page. It is theirs alone; taken off the plan, it ends.',
  here: 'This server answers on this machine only: the link leads nowhere from another phone. Give them the sheet as text, below.',
  text: 'Float plan {title}: open and accept {url}',
  share: 'Share the link',
  copy: 'Copy the link',
  close: 'Close',
  shared: 'Given to your phone’s own sharing. Make sure that it arrived.',
  copied: 'Copied. Put it into a message, and make sure that it arrived.',
  notGiven: 'Your phone did not take it. Let them scan the code.',
  failed: 'The server did not answer: a link is made there.',
} as const;

/** Who hears what, and when. */
export const STEPS = {
  title: 'If nobody hears from you',
  at: '{at:day} {at:clock}',
  somebody: 'your contact',
  crew: {
    soon: 'You are reminded that home is near',
    late: 'You are reminded to close the plan, or to say how much later',
  },
  ashore: {
    'check-in': 'A check-in has not come: you and {first} hear of it; no alarm',
    overdue: '{first} is told: try to reach you, look for the car',
  },
  all: '{all:list}: the whole sheet, the number and the words to ring with',
  sooner: 'Sooner than is usual: {why:list}.',
  why: { child: 'a child may be aboard', cold: 'the water is cold', dusk: 'it is soon dark then' },
  inTurn:
    'Who does not answer within ten minutes is tried another way, and the next contact is told. Escale never rings a rescue service by itself.',
  alone:
    'One contact alone: who does not answer within ten minutes is tried another way, if there is one. A second contact is safer. Escale never rings a rescue service by itself.',
} as const;

/** The sheet as the contact reads it. */
export const SEEN = {
  title: 'What they see',
  now: 'Now',
  late: 'Once you are overdue',
  sealed:
    'What you seal and ages, weights and numbers open when you are overdue, when you or a contact say that you are in trouble, or by your own tap; not before.',
} as const;

/** The sheet as text, by whatever the phone has. */
export const SHARE = {
  title: 'Give it to somebody',
  lead: 'As text: all times with their days, what late means, whom to ring and what to say. Nobody is told of it by this machine.',
  whole: 'With what is sealed, and ages, weights and numbers',
  share: 'Share',
  copy: 'Copy',
  code: 'Show as a code',
  codeClose: 'Close the code',
  codeIs: 'The sheet as a code that a phone reads',
  codeNote:
    'The short sheet: who, when, whom to ring. Held before another phone’s camera it is read there, without any network.',
  print: 'On paper, with kit list and steps',
  shared: 'Given to your phone’s own sharing. Make sure that it arrived.',
  notShared: 'Your phone did not take it. Copy it instead.',
  copied: 'Copied. Put it into a message, and make sure that it arrived.',
  notCopied: 'The browser does not let it be copied. Print it, or show it as a code.',
} as const;
