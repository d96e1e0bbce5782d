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
} as const;
export const GROUPS: Readonly<Record<AfterTask['group'], string>> = {
  now: 'Before you drive',
  day: 'Today or tomorrow',
  week: 'This week',
};
