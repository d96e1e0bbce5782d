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
  unreadable: '{n#kept thing|kept things} could not be read by this version. Nothing of that is lost.',
} as const;

export const BROKEN = {
  title: 'This page failed',
  lead: 'Something in it could not be worked out. What you entered is kept on this device, and a filed plan goes on counting on the server.',
  retry: 'Try it again',
  trips: 'All trips',
  nowhere: 'Nothing is at this address',
  nowhereLead: 'The page was moved or never existed.',
} as const;

/** What is said when somebody is in danger and nothing else can be shown. */
export const HELP = {
  title: 'If somebody is in danger',
  lines: [
    'On the radio, channel 16: “Mayday, mayday, mayday. This is” your boat’s name, three times.',
    '“Mayday”, her name. Where you are: position, or what you see and how far off. What is wrong. How many of you. “Over.”',
    'By phone: the emergency number of the country you are in.',
    'Stay with the boat. Jackets on. Stay together.',
  ],
} as const;

export const OVERDUE = {
  late: '{title}: late since {at:day} {at:clock}. Say how you are.',
  overdue: '{title}: overdue since {at:day} {at:clock}. Say how you are.',
  alarm: '{title}: alarm, overdue since {at:day} {at:clock}. Say how you are.',
} as const;

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
  another: 'Another browser',
  anotherWhy:
    'An address lets one browser of this machine in, once. Whoever opens it first sees and changes all that is here.',
  make: 'Make an address',
} as const;
