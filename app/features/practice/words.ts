// What the practice page says with figures in it.
/** What can be tried at a screen, with one’s own numbers. */
export const TRIES = [
  {
    href: '/practice/reversing',
    title: 'Backing the trailer',
    what: 'From above or by the mirrors, your own lengths.',
  },
  { href: '/practice/righting', title: 'Righting her', what: 'Lean out: does she come up, and why not?' },
  {
    href: '/practice/anchoring',
    title: 'Anchoring',
    what: 'Let out line: bite, drag, gusts, a stream that turns.',
  },
  {
    href: '/practice/order',
    title: 'In which order?',
    what: 'Steps against the clock, and what a wrong one costs.',
  },
  {
    href: '/practice/flares',
    title: 'When to light a flare',
    what: 'Three flares, an hour, people who pass.',
  },
] as const;

export const PRACTICE = {
  tries: 'Try it here',
  read: 'Read the water',
  readWhat: 'Say go or not before Escale does.',
  readNone: 'The strip of a trip of your own at another hour. There is none to read yet.',
  readBegin: 'Plan a trip',
  real: 'For real',
  realGo: 'Drills: who can what, and note one',
  realNever:
    'Nothing was noted yet. Capsize on purpose on a warm calm day, with others near, before you have to.',
  realLast: 'Last noted: {what}, {on:date}.',
  walks: 'Walk it through',
  walksWhat: 'Step by step at home, then once for real in warm shallow water.',
  steps: '{n#step|steps}.',
  walked: 'Last walked through {at:day}',
  done: 'Last done {at:day}',
  others: 'Others, {n}',
  never: 'Never walked through yet',
} as const;
