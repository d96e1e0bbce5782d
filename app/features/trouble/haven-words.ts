import type { Mishap, Still, Way } from '@escale/core/whatif';

/** Where to go when something is wrong. */
export const HAVEN = {
  title: 'Haven or home?',
  all: 'All cards',
  call: 'Call first, before it is urgent: where you are, what happened, where you are heading.',
  words: 'The words to say',
  what: 'What happened?',
  speed: 'How fast is she still?',
  boat: 'A boat in sight that could help',
  none: 'None in sight',
  off: '{metres:distance} off',
  alongside: 'With us: {boats:list}',
  fills: 'How long she has',
  fillsFailed: 'How long she has could not be reckoned.',
  filling: 'Reckoning how long she has …',
  askWhat: 'Say what happened: until then nothing is recommended.',
  ways: 'All ways, the soonest first',
  way: '{metres:distance}, bearing {bearing:bearing} true',
  wayRound: '{metres:distance} by the way round',
  takes: '{for:span}, there at {at:clock}',
  noTime: 'Time not known',
  there: 'You are there, by what is known',
  doubts: 'Not sure: {doubts:list}.',
  device: 'From where this device was at {at:clock}.',
  plan: 'From where the plan has you at {at:day} {at:clock}.',
  ask: 'Use this device’s position',
  nowhere: 'Where you are is not known, and no plan tells it now: use this device’s position.',
  hour: 'At which hour of the plan',
  hourIs: '{at:clock}',
  practice: 'Common practice and our own limits, no source gives figures. Who is there decides.',
} as const;

export const HAPPENED: Readonly<Record<Mishap, string>> = {
  water: 'Water comes in, or may',
  shut: 'Water came in; shut, and felt',
  drive: 'Engine, paddle or mast is gone',
  worn: 'Somebody is worn out, cold or hurt',
  tow: 'We tow somebody',
  weather: 'The weather turns',
};

export const STILL_WORDS = {
  none: 'Not at all',
  crawl: 'Crawling, {speed:speed}',
  half: 'Half, {speed:speed}',
  usual: 'As usual, {speed:speed}',
  other: 'By {by}, {speed:speed}',
  told: '{speed:speed}',
} as const satisfies Record<Still['as'], string>;

export const TO = {
  boat: 'The boat near by',
  shore: 'Nearest landing: {place}',
  behind: 'Behind you: {place}',
  home: 'Home: {place}',
} as const satisfies Record<Way['to'], string>;
