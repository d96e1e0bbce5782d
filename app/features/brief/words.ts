import type { BriefPart } from '@escale/core/trip/brief';

/** What stands round the brief. */
export const BRIEF = {
  title: 'Brief the crew',
  lead: 'Read aloud about {for:span}. Everybody present, engine off, jackets on.',
  long: 'Read aloud about {for:span}: longer than people listen. Leave out what they know.',
  print: 'Print',
  back: 'Back to the launch',
  heard: 'Who has heard it',
  earlier: 'heard it before it changed',
  all: 'Everybody has heard it.',
  some: '{n} of {all} have heard it.',
  medical: 'For the leader alone: {n#medical note|medical notes}',
  medicalWhy: 'Told to nobody else, and never printed.',
  note: '{name}: {says}',
  nobody: 'Nobody is in the crew yet.',
  advises: 'The leader’s words go before this page.',
} as const;

export const PARTS: Readonly<Record<BriefPart, string>> = {
  today: 'Today',
  people: 'Who does what',
  seats: 'Who sits where',
  hold: 'How to sit and hold',
  signs: 'Signs',
  if: 'If it goes wrong',
  start: 'If the driver is in the water',
  things: 'Where things are',
};
