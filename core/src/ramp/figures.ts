import { figuresOf } from '../verdict';

/** What this room reckons. */
export const FIGURES = figuresOf({
  'ramp/depth': {
    label: 'figure.rampDepth',
    quantity: 'height',
    formula: 'formula.rampDepth',
    source: 'trailer-height',
  },
  'ramp/run': {
    label: 'figure.rampRun',
    quantity: 'height',
    formula: 'formula.rampRun',
    source: 'ramp-handbook',
  },
  'ramp/car-in': {
    label: 'figure.rampCarIn',
    quantity: 'height',
    formula: 'formula.rampCar',
    source: 'own-estimate',
  },
  'ramp/car': {
    label: 'figure.rampCar',
    quantity: 'height',
    formula: 'formula.rampCar',
    source: 'own-estimate',
  },
});
