import { figuresOf } from '../verdict';

/** What this room reckons. */
export const FIGURES = figuresOf({
  'ramp/depth': {
    label: 'figure.rampDepth',
    quantity: 'length',
    formula: 'formula.rampDepth',
    source: 'trailer-height',
  },
  'ramp/run': {
    label: 'figure.rampRun',
    quantity: 'length',
    formula: 'formula.rampRun',
    source: 'ramp-handbook',
  },
  'ramp/car': {
    label: 'figure.rampCar',
    quantity: 'length',
    formula: 'formula.rampCar',
    source: 'own-estimate',
  },
});
