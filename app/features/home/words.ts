// What closing and looking back say with figures in it.
export const CLOSE = {
  ended: 'The plan ended {at:day} {at:clock}.',
  none: 'No float plan is open for this trip.',
  due: 'Due home {home:clock}; your contacts act at {overdue:clock}.',
} as const;

/** What ends a watch is asked for once more: a cold thumb must not end it. */
export const ASHORE = {
  home: 'We’re home, close the plan',
  title: 'Is everyone ashore?',
  alone: 'Then nobody looks out for you any more: your contacts hear that you are home.',
  follows:
    'All {n} of you, out of the water and off the boat. Then nobody looks out for you any more: your contacts hear that you are home.',
  yes: 'Yes, everyone is ashore',
  no: 'Not yet',
  stayed: 'We did not go',
  stayedTitle: 'Did nobody go out?',
  stayedFollows: 'Then the watch over this plan ends, and your contacts hear that you stayed.',
  stayedYes: 'Nobody went',
  early: 'Have you left already?',
  earlyFollows: 'The plan has you leave {leave:day} {leave:clock}. From now on the check-ins count.',
  earlyYes: 'Yes, we have left',
} as const;
