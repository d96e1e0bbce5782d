// What the frame of the application says with a figure in it.
export const SIGNAL = {
  notSaved: 'Not saved: {what}',
  none: 'No signal. What you see is kept on this device.',
  waiting: 'No signal, {n} waiting. What you see is kept on this device.',
  nothingKept: 'The server can’t be reached, and this device has nothing kept yet.',
  trouble:
    'The server is in trouble: {n#thing|things} not taken yet ({what}). It is tried again by itself, for days; nothing is lost.',
  unkept:
    'This device keeps nothing: its store is full or closed. Leave this page open until what you wrote is sent.',
  unkeptSent:
    'This device keeps nothing: its store is full or closed. What you write is sent at once; without signal it stays in this page only.',
  cleared: 'What this device had kept was cleared. What this page still knew was put back and is sent.',
  merged: 'Saved: {what}. Meanwhile {by} changed {fields} of the same; both stand.',
  another: 'another device',
  read: 'I have read it',
  unreadable: '{n#kept thing|kept things} could not be read by this version. Nothing of that is lost.',
} as const;

export const OVERDUE = {
  late: '{title}: late since {at:day} {at:clock}. Say how you are.',
  overdue: '{title}: overdue since {at:day} {at:clock}. Say how you are.',
  alarm: '{title}: alarm, overdue since {at:day} {at:clock}. Say how you are.',
} as const;

/** Fields that are edited by more than one control, and have no title of their own. */
export const FIELDS: Readonly<Record<string, string>> = {
  leave: 'Leave at',
  stow: 'Where things lie',
  parts: 'Parts',
  photos: 'Photos',
  minutes: 'Minutes beforehand',
  works: 'What works',
  without: 'Without a number of hers',
  answers: 'Answers',
};
