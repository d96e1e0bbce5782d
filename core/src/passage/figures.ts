import { figuresOf } from '../verdict';

/** What this room reckons. */
export const FIGURES = figuresOf({
  'passage/distance': {
    label: 'figure.distance',
    quantity: 'distance',
    formula: 'formula.leg',
    source: 'geodesic',
  },
  'passage/speed': {
    label: 'figure.speed',
    quantity: 'speed',
    formula: 'formula.speed',
    source: 'your-word',
  },
  'passage/home': {
    label: 'figure.home',
    quantity: 'instant',
    formula: 'formula.home',
    source: 'paddle-pace',
  },
  'passage/overdue': {
    label: 'figure.overdue',
    quantity: 'instant',
    formula: 'formula.overdue',
    source: 'overdue',
  },
  'passage/fuel': {
    label: 'figure.fuel',
    quantity: 'volume',
    formula: 'formula.stores',
    source: 'thirds',
  },
  'passage/charge': {
    label: 'figure.charge',
    quantity: 'energy',
    formula: 'formula.stores',
    source: 'thirds',
  },
  'passage/turn-back': {
    label: 'figure.turnBack',
    quantity: 'instant',
    formula: 'formula.turn',
    source: 'your-word',
  },
  'passage/latest-turn': {
    label: 'figure.latestTurn',
    quantity: 'instant',
    formula: 'formula.latest-turn',
    source: 'daylight',
  },
  'passage/sunrise': { label: 'figure.sunrise', quantity: 'instant', formula: 'formula.sun', source: 'sun' },
  'passage/sunset': { label: 'figure.sunset', quantity: 'instant', formula: 'formula.sun', source: 'sun' },
  'passage/daylight': {
    label: 'figure.daylight',
    quantity: 'duration',
    formula: 'formula.daylight',
    source: 'sun',
  },
});
