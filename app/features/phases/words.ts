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

/** The hours of a week in which it works. */
export const WEEK = {
  title: 'When it works',
  lead: 'Every ten minutes of the next {days} days, by what the hour changes: light, tide, stream, wind, waves and what stands open at that hour.',
  open: 'Look at the whole week',
  asking: 'The weather is asked for.',
  looking: 'Looking, {done} of {of} departures',
  stop: 'Stop',
  again: 'Look again',
  stopped: 'Stopped at {done} of {of} departures: what lies behind was not looked at.',
  failed: 'The week could not be reckoned.',
  noHour: 'Choose the water first: without it no hour is known.',
  whichever: 'Whichever hour you leave',
  alike: '{level}: {what}.',
  fixed: 'No hour changes the rest, and it is not counted below: {what}.',
  best: 'The best hours',
  none: 'In none of these hours may you leave: something stops at each of them.',
  span: '{day:day}, {from:clock} to {until:clock}',
  single: '{day:day}, {from:clock}',
  level: { stop: 'Stop', fix: 'Fix', know: 'Know', ready: 'Ready' },
  needs: 'It leans on what is not known yet: {what}.',
  stands: 'Stands first: {what}.',
  clear: 'Nothing that the hour changes stands against it.',
  opens: 'It opens when this is over: {what}.',
  closes: 'It closes with this: {what}.',
  leave: 'Leave {day:day} {from:clock}',
  now: 'Why not at {at:clock} on {day:day}?',
  nowIs: '{what}.',
  nowClear: 'That is as good an hour as any.',
  rows: 'Day by day',
  rowsSaid: 'Hours of leaving, day by day: the taller, the worse.',
  list: 'Read as a list',
  line: '{from:clock} to {until:clock}: {level}, {what}',
  lineClear: '{from:clock} to {until:clock}: {level}',
} as const;
