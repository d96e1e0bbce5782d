import { figuresOf } from '../verdict';

/** What this room reckons. */
export const FIGURES = figuresOf({
  'water/tide-leave': {
    label: 'figure.tideLeave',
    quantity: 'height',
    formula: 'formula.tide',
    source: 'tide',
  },
  'water/wind': { label: 'figure.wind', quantity: 'speed', formula: 'formula.forecast', source: 'practice' },
  'water/gust': { label: 'figure.gust', quantity: 'speed', formula: 'formula.forecast', source: 'practice' },
});
