// What closing and looking back say with figures in it.
export const CLOSE = {
  said: 'You said that everyone is ashore.',
  saidStayed: 'You said that nobody went.',
  ended: 'The plan ended {at:day} {at:clock}.',
  none: 'No float plan is open for this trip.',
  due: 'Due home {home:day} {home:clock}; the alarm stands at {overdue:day} {overdue:clock}.',
} as const;

/** What ends a watch is asked for once more: a cold thumb must not end it. */
export const ASHORE = {
  home: 'We’re home, close the plan',
  title: 'Is everyone ashore?',
  alone: 'Then nobody looks out for you any more.',
  follows: 'All {n} of you, out of the water and off the boat. Then nobody looks out for you any more.',
  yes: 'Yes, everyone is ashore',
  no: 'Not yet',
  stayed: 'We did not go',
  stayedTitle: 'Did nobody go out?',
  stayedFollows: 'Then the watch over this plan ends.',
  stayedYes: 'Nobody went',
  early: 'Have you left already?',
  earlyFollows: 'The plan has you leave {leave:day} {leave:clock}. From now on the check-ins count.',
  earlyYes: 'Yes, we have left',
} as const;
