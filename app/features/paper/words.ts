// What stands on paper with figures in it.
export const PAPER = {
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
