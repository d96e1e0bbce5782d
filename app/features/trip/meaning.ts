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
