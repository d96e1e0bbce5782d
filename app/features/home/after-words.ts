import type { AfterTask } from '@escale/core/logbook/after';

// What the list for after the trip says.
export const AFTER = {
  lead: 'Made from this boat, this water and what the debrief names. Tick it while she drains.',
  until: 'until {due:day} {due:clock}',
  late: 'was to be done by {due:day} {due:clock}',
  left: '{n#thing|things} still to do.',
  done: 'All of it is done.',
  calendar: 'Put what is open into a calendar',
  homeGuess: 'The hours count from the planned hour home: the plan was not closed here.',
  noHome: 'No hour home is known: the hours count from now.',
  broken: 'From the debrief: mend or replace',
  became: {
    used: 'Replace: {of} used up, taken off the shed.',
    broken: 'Mend or replace: {of} broken. It does not count until it is checked again.',
    lost: 'Replace: {of} lost, taken off the shed.',
    due: 'Look after it, {of} of it: it is due for a test.',
  },
  look: '{what} in the shed',
} as const;
export const GROUPS: Readonly<Record<AfterTask['group'], string>> = {
  now: 'Before you drive',
  day: 'Today or tomorrow',
  week: 'This week',
};
