// What the pages of the watch say with figures in it.
export const WATCH = {
  stands: '{state}, version {version}',
  until: 'until {what}, {at:day} {at:clock}',
  homeWas: 'home was {at:day} {at:clock}',
  home: 'home {at:day}',
  card: '{title}, {state}',
  rung: '{name} has rung for help, {at:clock}',
  later: 'All well, home put off to {home:clock}',
  when: '{at:day} {at:clock}',
  waits: 'for {to} · {at:day} {at:clock} UTC',
  sent: 'to {to} · {at:day} {at:clock} UTC',
  more: 'Earlier plans',
} as const;

/** What an empty watch says, with the telephone that is set up and without one. */
export const EMPTY = {
  true: 'When a float plan is filed it stands here and counts down. If you don’t come home, the simulated telephone rings your contact.',
  false:
    'When a float plan is filed it stands here and counts down. If you don’t come home, it says so here: no message leaves this machine.',
  unknown: 'When a float plan is filed it stands here and counts down.',
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
