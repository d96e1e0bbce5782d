// What the pages of a trip say with figures in them.
/** Other hours and days that do better. */
export const BETTER = {
  title: 'Another hour does better',
  without: 'Leaving from {from:clock} to {until:clock} is better than now, when this stands first: {what}.',
  hours: 'From {from:clock} to {until:clock} less stands against you.',
  leave: 'Leave {at:clock}',
  none: 'No other hour of this day does better',
  same: '{what}.',
  look: 'Look at the next days',
  looking: 'Looking, {done} of {of} departures',
  failed: 'The next days could not be reckoned.',
  day: '{day:day} does better, from {from:clock} to {until:clock}, by what is known today.',
  leaveDay: 'Leave {at:day} {at:clock}',
  noDay: 'None of the next {days} days does better, by what is known today.',
} as const;

/** The answer page: folds, and the sections with their counts. */
export const ANSWER = {
  know: 'Know this, {n}',
  ready: 'Ready, {n}',
  sections: 'Section by section',
  advises:
    'Escale advises; it never permits. The skipper decides, and the local authority says what holds there today.',
} as const;
