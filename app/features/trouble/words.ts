import type { NowId } from '@escale/core/model';

/** What stands on the cards and round them. */
export const TROUBLE = {
  first: 'People before gear. Stay with the boat. Call early.',
  fish: 'Fish and hooks',
  wrong: 'Something is wrong',
  wrongWhy: 'From what you notice to what may be behind it; and where to go at the speed that is left.',
  haven: 'Haven or home?',
  whatIf: 'What if?',
  all: 'All cards',
  ten: 'First',
  now: 'Here, now',
  steps: '{n#step|steps}',
  oneAtATime: 'One step at a time',
  goOn: 'Go on, {done} of {all}',
  noRadio: 'This asks for no call by itself. In doubt call.',
  mayday: 'Say on the radio, channel 16. By telephone say the same.',
  pan: 'In urgency, on channel 16: nobody in grave danger yet. By telephone say the same.',
  noFacts: 'This part could not be reckoned. The words and the steps stand without it.',
  noBoat: 'No boat is chosen: the cards are those that all craft share.',
  practice: 'Practise it where it is warm and shallow: a card is no skill.',
} as const;

export const ABOUT = {
  over: 'In the water',
  people: 'Somebody',
  boat: 'The boat',
  water: 'Water and weather',
} as const;

export const NOW_TITLE: Readonly<Record<NowId, string>> = {
  right: 'Righting her',
  people: 'People',
  cold: 'Cold',
  wind: 'Wind',
  tide: 'Tide',
  thunder: 'Thunder',
  light: 'Light',
  landing: 'Landing',
  openings: 'Openings',
  swamped: 'When she is full',
  signals: 'Signals',
  watch: 'Who knows',
};

export const WRONG = {
  title: 'Something is wrong',
  lead: 'What do you notice?',
  look: 'Look, without going to the low end',
  stop: 'Stop saving the catch when',
  causes: 'In this boat, most likely first',
  opening: '{name}, {where}',
  flow: 'about {litres:litres} a minute',
  guess: 'bore a guess',
  below: 'reached from underneath only',
  none: 'Her openings were not entered: enter plug, bungs and hatches, and they are ranked here.',
  again: 'Another sign',
  card: 'Taking on water: the card',
} as const;
