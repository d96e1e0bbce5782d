// What the practice page says with figures in it.
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
  logGo: 'Logbook: what your trips taught',
  logWhat: '{n#trip|trips} told of.',
  logNone: 'It counts from the first debrief on.',
  walks: 'Walk it through',
  walksWhat: 'Step by step at home, then once for real in warm shallow water.',
  steps: '{n#step|steps}.',
  walked: 'Last walked through {at:day}',
  done: 'Last done {at:day}',
  others: 'Others, {n}',
  never: 'Never walked through yet',
} as const;
