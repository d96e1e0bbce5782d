// What stands on paper with figures in it.
export const PAPER = {
  day: 'The day, hour by hour',
  chart: 'The way, on a sketch of the water',
  cards: 'If it goes wrong: the first ten seconds',
  print: 'Print',
  trouble: 'Trouble',
  back: 'back',
  lead: 'For a dry bag: the sheet, the hours before, the list, the steps. What is printed does not change when the trip does: printed {at:day} {at:clock}.',
  noSheet:
    'No sheet can be made yet: a boat, a crew, a water, a contact and a time home are needed. The rest stands below.',
  before: 'Before leaving',
  kit: 'Packing list',
  nothing: 'Nothing that travels is in the shed yet.',
  steps: 'Steps',
  noSteps: 'No steps for this boat yet: use your own list.',
  ring: 'Whom to ring',
  numberOf: '{name}: {number}',
  noNumber: 'No rescue number was entered. Ring the emergency number of the country you are in.',
  line: '{n}. {what}',
  count: '{n} × {title}',
  advises: 'Escale advises; it never permits. The skipper decides.',
} as const;

/** The haven card. */
export const HAVENS = {
  print: 'Print it',
  back: 'Back to the chart',
  title: 'Where to go, half hour by half hour: {trip}',
  none: 'Without a launch, a halt and a speed there are no hours to tell it for.',
  speeds:
    'At {usual:speed} as planned, {slow:speed} when tired, {flooded:speed} full of water, which is a guess of ours. Bearings are true. In still water, from where the plan has you then.',
  speedsTwo:
    'At {usual:speed} as planned and {flooded:speed} full of water, which is a guess of ours. Bearings are true. In still water, from where the plan has you then.',
  at: 'At',
  span: '{at:clock} to {until:clock}',
  go: 'As planned',
  tired: 'Tired',
  flooded: 'Full of water',
  to: '{name} ({kind}): {bearing:bearing}, {metres:distance}, {seconds:span}',
  same: 'the same, {seconds:span}',
  here: '{name} ({kind}): you are there',
  doubt: '{line}; not sure that one can land',
  unsaid: 'what kind of shore nobody said',
  nowhere: 'no landing is known',
  advises: 'A sketch, not for navigation. Look where you are before you go by it.',
} as const;
