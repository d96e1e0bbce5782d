import { figuresOf } from '../verdict';

/** What this room reckons. */
export const FIGURES = figuresOf({
  'body/water': {
    label: 'figure.water',
    quantity: 'temperature',
    formula: 'formula.forecast',
    source: 'practice',
  },
  'body/hands': {
    label: 'figure.hands',
    quantity: 'minutes',
    formula: 'formula.hands',
    source: 'cold-1-10-1',
  },
});
