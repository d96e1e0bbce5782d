import type { Practised } from '@escale/core/logbook';
import type { Checks } from '@escale/core/logbook/propose';

// What the page of drills says.
export const DRILL = {
  title: 'Drills',
  lead: 'What was really done, by whom, in what. It ages: what was never tried, or long ago, fails when it is needed.',
  who: 'Who here can',
  boat: 'In which boat',
  name: 'Who',
  cell: '{on:date}',
  gapNone: 'The one gap to close: nobody here can {what}.',
  gapFew: 'The one gap to close: {can:count} of {of:count} can {what}.',
  nearest: 'Begin with {who}.',
  noGap: 'Everybody here can all of it, as it was noted.',
  nobody: 'Nobody is in the shed yet',
  nobodyWhy: 'Drills are noted by person: who can what, and since when.',
  addPerson: 'Add a person',
  note: 'Note a drill',
  noted: 'Noted',
  notedIs: '{what}, {on:date}',
  notedBy: '{who:list}{boat}',
  inBoat: ' in {boat}',
  none: 'None yet.',
  gone: 'Somebody no longer here',
  remove: 'Remove',
  removed: '{what} of {on:date} is removed.',
  done: 'Done',
  where: 'Where and when next',
  whereIs: '{place}, {from:day} {from:clock} to {until:clock}',
  wind: 'gusts {wind:speed}',
  water: 'water {temperature:temperature}',
  whereNone: 'No launch or haven is in the shed yet: with one, a place and an hour are looked for here.',
  bring:
    'Bring: somebody in another boat, old gear, dry clothes. First float in the jacket. Then everything in it.',
  how: 'How, and how long it lasts',
  lasts: 'Fresh for {months:count} months.',
  back: 'Practice',
} as const;

export const STATE: Readonly<Record<Practised['state'], string>> = {
  fresh: 'can',
  stale: 'stale',
  failed: 'did not work',
  never: 'never',
};

/** What a place and a day are, by what of it is met, is not, or is not known. */
export const CHECK: Readonly<Record<keyof Checks, Readonly<Record<'yes' | 'no' | 'unknown', string>>>> = {
  light: { yes: 'light', no: 'not light all through', unknown: 'light not known' },
  warm: { yes: 'warm enough', no: 'too cold', unknown: 'its warmth is not known' },
  calm: { yes: 'calm', no: 'too windy', unknown: 'its wind is not known' },
  deep: { yes: 'deep enough', no: 'not deep enough', unknown: 'its depth is not known' },
};
