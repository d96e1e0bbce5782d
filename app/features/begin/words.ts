// The first questions, one at a time.
export const BEGIN = {
  title: 'A new trip',
  lead: 'Four questions, then what stands against going and what to settle next.',
  step: '{n} of {all}',
  next: 'Next',
  back: 'Back',
  finish: 'See the answer',
  leave: 'Leave it for now',
} as const;

export const ASK_BOAT = {
  title: 'Which boat?',
  another: 'Another boat',
  kind: 'What is she?',
  like: 'Most like',
  name: 'Her name',
  guess: 'Her figures begin as guesses and are marked so.',
  lacks: 'Choose a boat, or say what she is and which one she is most like.',
  card: '{title}. {note}',
} as const;

export const ASK_PEOPLE = {
  title: 'Who goes?',
  here: 'Here already',
  person: 'Name of person {n}',
  age: 'How old is person {n}',
  grown: 'Grown up',
  child: 'Under 18',
  which: 'Person {n} is',
  years: 'Age, years',
  another: 'One more',
  drop: 'Leave out person {n}',
  skipper: 'The first one is the skipper. A weight of {mass:mass} is guessed for who is grown up.',
  lacksName: 'Everybody needs a name.',
  lacksAge: 'The age of a child is a whole number under 18: rules turn on it.',
  lacksOne: 'Somebody has to go.',
} as const;

export const ASK_PLACE = {
  title: 'Where do you launch?',
  another: 'Another place',
  name: 'What is it called',
  where: 'Its position',
  open: 'The position may be left open.',
  water: 'What water is it?',
  lacksName: 'Give the place a name.',
  lacksWater: 'Say what kind of water it is.',
} as const;

export const ASK_WHEN = {
  title: 'When, and for how long?',
  day: 'Day',
  today: 'Today',
  tomorrow: 'Tomorrow',
  other: 'Another day',
  date: 'Day, as year-month-day',
  time: 'Leave the shore at',
  hours: 'Hours on the water',
  hour: '{n} h',
  about: 'Reckoned as time about the launch; where you go can be said after.',
  lacksDay: 'Choose a day.',
  badDay: 'That is no day: year-month-day, like 2026-05-12.',
  badTime: 'A time is hours and minutes, like 06:30.',
  lacksHours: 'Say how long.',
} as const;
