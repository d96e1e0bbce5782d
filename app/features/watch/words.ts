import type { PlanContact } from '@escale/core/model';
// What the pages of the watch say with figures in it.
export const WATCH = {
  stands: '{state}, version {version}',
  until: 'until {what}, {at:day} {at:clock}',
  homeWas: 'home was {at:day} {at:clock}',
  home: 'home {at:day}',
  card: '{title}, {state}',
  accepted: '{name}: accepted',
  opened: '{name}: opened, not accepted yet',
  declined: '{name} can’t: choose somebody else and send the change',
  rung: '{name} has rung for help, {at:clock}',
  withdrawn: '{name} was taken off the plan',
  unreached: '{name} can’t be reached: tell them yourself, or choose somebody else',
  later: 'All well, home put off to {home:clock}',
  notAccepted: '{name}: not accepted yet',
  when: '{at:day} {at:clock}',
  waits: 'for {to} · {at:day} {at:clock} UTC',
  sent: 'to {to} · {at:day} {at:clock} UTC',
  more: 'Earlier plans',
} as const;

/** How far a contact is with the plan. */
export const answered = ({ accepted, declined, opened, withdrawn, unreached }: PlanContact) =>
  withdrawn
    ? WATCH.withdrawn
    : unreached
      ? WATCH.unreached
      : accepted
        ? WATCH.accepted
        : declined
          ? WATCH.declined
          : opened
            ? WATCH.opened
            : WATCH.notAccepted;

/** “I’m fine”: a sign of life, and the hour that the alarm goes by from then on. */
export const FINE = {
  button: 'I’m fine',
  title: 'All well. When will you be home?',
  same: 'Home stays {home:clock}',
  half: 'Half an hour later, {home:clock}',
  other: 'Home by another time',
  time: 'Home by',
  moved: 'Home by {home:day} {home:clock}; the alarm then stands at {overdue:day} {overdue:clock}.',
  follows: 'The alarm stands at {overdue:clock} until this is through. The watch goes on either way.',
  why: 'Why, for your contacts',
  whyAsked: 'Home was put off {n} times. Your contacts are owed a word why.',
  needed: 'First say why, above.',
  noTime: 'First say by what time.',
  send: 'Say so',
  not: 'Say nothing',
  said: 'a check-in',
  saidLater: 'that you will be home at {home:clock}',
  unsent:
    'Not sent: the alarm stands at {overdue:day} {overdue:clock}. Ring your contacts if there is no signal.',
} as const;

/** What an empty watch says, with the telephone that is set up and without one. */
export const EMPTY = {
  true: 'When a float plan is filed it stands here and counts down. If you don’t come home, the simulated telephone rings your contact.',
  false:
    'When a float plan is filed it stands here and counts down. If you don’t come home, it says so here: no message leaves this machine.',
  unknown: 'When a float plan is filed it stands here and counts down.',
} as const;

/** An ending that was none. */
export const TAKE_BACK = {
  button: 'Take it back',
  until: 'If that was said too early, it can be taken back until {until:clock}.',
  title: 'Does the watch go on?',
  follows: 'Home {home:clock}, overdue {overdue:clock}, as before.',
  yes: 'Yes, the watch goes on',
  no: 'No, it has ended',
  said: 'that the watch goes on',
} as const;

/** Who hears what is said of a plan: never more than the machine can do. */
export const REACHES = {
  'stand-in': 'The telephone here is simulated: tell your contacts yourself.',
  none: 'No message leaves this machine: tell your contacts yourself.',
} as const;

/** The hours of a plan in the phone's own calendar. */
export const CALENDAR = {
  button: 'The hours into my calendar',
  why: 'Turning back, check-ins, home and overdue, each with an alarm: it rings with Escale closed. Take it again after the plan has changed.',
} as const;

/** How the watch itself is. */
export const HEALTH = {
  good: 'The watch itself is well',
  bad: 'The watch itself needs somebody',
  swept: 'The server looks at every plan each second; nothing waits.',
  copied: 'Last copy of the memory {at:day} {at:clock} UTC.',
  leapt:
    'The server’s clock leapt ahead by {off}, as it does after sleep or a power cut. For a day messages say that they may be early.',
  other: 'Something of the watch is not as it should be: look at the server’s log.',
  message: '{title}: a message to {to} can’t be delivered since {since:day} {since:clock} UTC ({why}).',
  deadline: '{title}: an hour of this plan can’t be acted on since {since:day} {since:clock} UTC ({why}).',
  again: 'Try again now',
  failed: 'The server did not answer.',
} as const;

/** What is wrong, by its name. */
export const RED = {
  silent:
    'The server answers, but its watch has not looked for a while. Restart it; tell your contacts the hours yourself.',
  late: 'Something has been due for {due} and nobody was told yet.',
  untold: 'A message has waited {untold} for the telephone.',
  'set-aside': '{n#thing|things} failed again and again, and are tried only every ten minutes.',
  clock:
    'The server’s clock is {off} off from what was counted. Alarms may come early or late: put its clock right.',
  disk: 'The disk is nearly full: {free} MB left. Soon nothing more can be written down.',
  backup: 'The memory was not copied for more than a day.',
  chain: 'The record of a plan was changed from outside, or part of it is missing.',
} as const;

/** Why something could not go. */
export const TROUBLE: Record<string, string> = {
  'no-way': 'no phone was entered for them',
  'no-plan': 'its plan is gone',
  NewerVersion: 'a newer version wrote it',
};
