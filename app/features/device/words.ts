// What is said of this device: how it is let in, what it keeps and reminds of.
/** The application kept on the device, and what it reminds of. */
export const INSTALL = {
  title: 'Keep Escale on this device',
  why: 'It opens without signal either way; kept like an application it is one tap away.',
  byHand:
    'It opens without signal either way. To have it one tap away, add it to the home screen from your browser’s menu.',
  keep: 'Keep it',
  read: 'Not again',
  reminders: 'Reminders',
  truth:
    'This phone reminds you of turning back, check-ins and home only while Escale is open on the screen. A calendar’s alarm is the surer way: take the hours of a float plan from the watch.',
  remind: 'Remind me on this device',
  stop: 'No more reminders here',
  refused: 'The browser does not allow it. Take the hours into your calendar instead.',
  noReminders:
    'This browser has no reminders. Take the hours of a float plan into your calendar, from the watch.',
} as const;

/** A look at the demo, in a memory of its own. */
export const DEMO = {
  name: 'Demo',
  is: 'Demo: an invented coast. Nothing here is yours, and nobody is told.',
  leave: 'Leave it',
  open: 'Look at the demo',
  why: 'A made-up household on an invented coast, in a memory of its own. Try anything: it is thrown away when you leave.',
} as const;

/** Whoever opens Escale in a browser shows once that they own what is in it. */
export const DOOR = {
  title: 'This browser has not been let in yet',
  why: 'What is kept here is its owner’s: names, phones, illnesses, and who is not at home. A browser is let in once, by an address that Escale prints.',
  first: '1. On the machine that runs Escale, open a terminal in its folder and say',
  command: 'npm run escale -- enter',
  then: '2. Open the address that it prints, in this browser.',
  brief:
    'On the machine that runs Escale, in its folder, say “npm run escale -- enter”, and open the address that it prints in this browser.',
  out: 'This browser is not let in any more. What you see is kept on this device.',
  waiting:
    'This browser is not let in any more: {n#thing waits|things wait} here and went nowhere. An alarm that was set stands.',
  another: 'Let another phone in',
  anotherWhy:
    'An address lets one browser in, once, within a day. Whoever opens it first sees and changes all that is here.',
  make: 'Make an address',
  codeIs: 'The address as a code',
  codeNote: 'Held before the other phone’s camera it lets that phone in. It works once.',
  here: 'This server answers on this machine only: the address is for another browser of it.',
  failed: 'The server did not answer: an address is made there.',
} as const;

/** Who may come in. */
export const DEVICES = {
  title: 'Who may come in',
  lead: 'A household owns its data. Here is each browser that sees and changes it.',
  household: 'What this household is called',
  name: 'What this device is called',
  save: 'Save the name',
  saved: 'Saved.',
  seen: '{name}, in since {since:day} {since:clock}, last here {at:day} {at:clock} UTC',
  here: '{name}: this one',
  out: 'Throw {name} out',
  outTitle: 'Throw {name} out?',
  outFollows:
    'It is out at once and can’t read or write any more. What it kept for use without signal stays on it until it is opened again with signal; what waits there is not taken.',
  outYes: 'Throw it out',
  outNo: 'Leave it in',
  none: 'No browser has a session yet: this one came in by the key.',
  failed: 'The server did not answer. Who is in is told by it alone.',
} as const;

/** Somebody says a few things of themselves. */
export const GUEST = {
  title: 'Ask {name} themselves',
  why: 'A link to one plain page that asks for weight, swimming, shoulder, jacket and medical notes. It shows nothing of anybody, and ends in two weeks.',
  make: 'A link for {name}',
  codeIs: 'The link of {name} as a code',
  codeNote: 'Held before their camera it opens their page.',
  copy: 'Copy the link',
  copied: 'Copied. Put it into a message.',
  notCopied: 'The browser does not let it be copied: let them scan the code.',
  failed: 'The server did not answer: a link is made there.',
} as const;

/** A club, whose leaders look on. */
export const CLUB = {
  title: 'Club',
  in: 'This household belongs to {name}. Its leaders see a plan only where the trip says that they may.',
  none: 'A club’s leaders can look on at plans that you share with them, trip by trip. They see what a contact sees, and change nothing.',
  word: 'The word that a leader gave you',
  join: 'Join the club',
  joined: 'Joined {name}.',
  not: 'That word lets nobody in: it works once, for a day.',
  leave: 'Leave the club',
  leaveTitle: 'Leave {name}?',
  leaveFollows: 'Its leaders see nothing of yours any more, from now on.',
  leaveYes: 'Leave it',
  leaveNo: 'Stay',
  lead: 'If others are to join you as their club: a word for one household, once, within a day.',
  make: 'Make a word',
  failed: 'The server did not answer.',
} as const;
