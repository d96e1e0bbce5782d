import { figuresOf } from '../verdict';

/** What this room reckons. */
export const FIGURES = figuresOf({
  'boat/load': { label: 'figure.load', quantity: 'mass', formula: 'formula.load', source: 'your-word' },
  'boat/limit': { label: 'figure.limit', quantity: 'mass', formula: 'formula.plate-total', source: 'plate' },
  'boat/share': {
    label: 'figure.share',
    quantity: 'percent',
    formula: 'formula.share',
    source: 'kayak-share',
  },
  'boat/estimate': {
    label: 'figure.estimate',
    quantity: 'mass',
    formula: 'formula.capacity',
    source: 'cfr-33-183',
  },
  'boat/persons': {
    label: 'figure.personsMost',
    quantity: 'count',
    formula: 'formula.plate-total',
    source: 'plate',
  },
  'boat/freeboard': {
    label: 'figure.freeLow',
    quantity: 'shortLength',
    formula: 'formula.freeboard',
    source: 'archimedes',
  },
  'boat/freeboard-bow': {
    label: 'figure.freeBow',
    quantity: 'shortLength',
    formula: 'formula.freeboard',
    source: 'archimedes',
  },
  'boat/freeboard-stern': {
    label: 'figure.freeStern',
    quantity: 'shortLength',
    formula: 'formula.freeboard',
    source: 'archimedes',
  },
  'boat/trim': { label: 'figure.trim', quantity: 'angle', formula: 'formula.balance', source: 'archimedes' },
  'boat/heel': { label: 'figure.heel', quantity: 'angle', formula: 'formula.balance', source: 'archimedes' },
  'boat/gm': { label: 'figure.gm', quantity: 'shortLength', formula: 'formula.gm', source: 'archimedes' },
});
