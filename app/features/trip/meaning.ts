/** What a term of the sea means, in one line, by the label of the figure that bears it. */
export const MEANING: Readonly<Record<string, string>> = {
  'figure.freeLow': 'Freeboard: the height of her edge over the water, where it is lowest.',
  'figure.freeBow': 'Freeboard at the bow: the height of her edge over the water in front.',
  'figure.freeStern': 'Freeboard at the stern: the height of her edge over the water behind.',
  'figure.trim': 'Trim: how far she lies down by the bow or by the stern.',
  'figure.heel': 'List: how far she leans to one side.',
  'figure.gm':
    'Initial stability: the smaller it is, the more easily she leans; below nought she rolls over.',
  'figure.turnBack': 'Turning back: when the plan has you leave the last halt for home.',
  'figure.latestTurn': 'The latest hour to turn that still brings you home inside every limit.',
  'figure.overdue': 'Overdue: from this hour on those ashore act.',
  'figure.gust': 'Gusts: the short bursts of wind above the mean.',
  'figure.hands': 'How long hands in this water can still hold, tie and press.',
  'figure.tideLeave': 'Height of tide: how high the water stands above the chart’s own nought.',
};

/** Terms of the sea as sentences use them, each with what it means in one line. */
const TERMS: readonly { is: RegExp; means: string }[] = [
  { is: /\bfreeboard\b/i, means: 'Freeboard: the height of her edge over the water.' },
  { is: /\btrims?\b/i, means: 'Trim: how far she lies down by the bow or by the stern.' },
  { is: /\b(she lists|list to|lists or|° of list)\b/i, means: 'List: how far she leans to one side.' },
  { is: /\bheel\b/i, means: 'Heel: how far she leans to one side.' },
  { is: /\bswamped\b/i, means: 'Swamped: full of water to her edge, though she may still float.' },
  { is: /\btransom\b/i, means: 'Transom: the flat back of a boat, where a motor hangs.' },
  { is: /\bbeam\b/i, means: 'Beam: how wide she is at the widest.' },
  { is: /\bamidships\b/i, means: 'Amidships: in the middle of her length.' },
  { is: /\b(port|starboard)\b/i, means: 'Port and starboard: left and right, as one looks towards the bow.' },
  { is: /\b(bow|stern)\b/i, means: 'Bow and stern: her front and her back.' },
  { is: /\bchart datum\b/i, means: 'Chart datum: the nought from which heights of tide are counted.' },
  { is: /\bgusts?\b/i, means: 'Gusts: the short bursts of wind above the mean.' },
  {
    is: /\bkill cord\b/i,
    means: 'Kill cord: it ties the driver to the switch, and stops the motor when they fall.',
  },
  { is: /\bthrowables?\b/i, means: 'A throwable: a cushion or ring that floats and is thrown to a swimmer.' },
  { is: /\bre-entry\b/i, means: 'Re-entry: getting back into the boat out of the water.' },
  {
    is: /\bcapacity plate\b|\bthe plate\b/i,
    means: 'Capacity plate: the maker’s sign in the boat with people, weight and power.',
  },
  {
    is: /\bfloat plan\b/i,
    means: 'Float plan: who goes where and when, left with somebody ashore who acts if you stay out.',
  },
  { is: /\bscuppers?\b/i, means: 'Scuppers: holes through which water drains from a deck.' },
  { is: /\bbungs?\b/i, means: 'Bung: the plug of a drain hole.' },
  {
    is: /\bdisplaces?\b|\bdisplaced\b/i,
    means: 'To displace: to push water aside; what floats pushes aside its own weight of it.',
  },
  { is: /\bleash\b/i, means: 'Leash: a line that ties you to a board or a paddle to the boat.' },
  { is: /\bhitch\b/i, means: 'Weight on the hitch: how hard the trailer presses down on the car’s ball.' },
];
/** So many lines of meaning are read; more are a lesson. */
const AT_MOST = 3;

/** What the terms of a sentence mean, in the order in which they stand in it. */
export const meaningsIn = (text: string): string[] =>
  TERMS.map(({ is, means }) => ({ at: text.search(is), means }))
    .filter(({ at }) => at >= 0)
    .sort((a, b) => a.at - b.at)
    .slice(0, AT_MOST)
    .map(({ means }) => means);
