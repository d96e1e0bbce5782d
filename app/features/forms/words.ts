// What every form says with a name or a figure in it.
import { plainly } from '../../data/settings';

export const FORM = {
  inUnit: '{label}, {unit}',
  group: '{title}, {said} of {all} said',
  look: 'Look at {label}',
  fault: '{label}: {message}',
  notYet: 'Not added yet. Look at:',
  future: 'lies in the future',
  guess: '{label} · a guess',
  itIsSo: '{label}: it is so',
  least: '{label}: at least {limit}',
  most: '{label}: at most {limit}',
  number: '{label} is a number',
  numberIn: '{label} is a number in {unit}',
  drop: 'Remove {label} {n}',
  add: 'Add to {label}',
  oneALine: '{label}, one a line',
  changed: '{field} of {name}',
} as const;

/** What a change is called while it waits to be sent: the field and whose it is. */
export const changeOf = (pointer: string, name: string) =>
  plainly(FORM.changed, { field: pointer.slice(1), name });
