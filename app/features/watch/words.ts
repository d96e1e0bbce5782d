// What the pages of the watch say with figures in it.
export const WATCH = {
  stands: '{state}, version {version}',
  until: 'until {what}, {at:day} {at:clock}',
  homeWas: 'home was {at:day} {at:clock}',
  home: 'home {at:day}',
  card: '{title}, {state}',
  rung: '{name} has rung for help, {at:day} {at:clock}',
  acting: '{name} has read it and acts, {at:day} {at:clock}',
  trouble: 'in trouble since {at:clock}',
  later: 'All well, home put off to {home:clock}',
  when: '{at:day} {at:clock}',
  waits: 'for {to} · {at:day} {at:clock} UTC',
  sent: 'to {to} · {at:day} {at:clock} UTC',
  more: 'Earlier plans',
  keptMore: 'More of them',
  kept: 'Kept for others',
  keptOf: '{of}: {title}',
  keptHome: 'home {home:day} {home:clock}, overdue {overdue:day} {overdue:clock}',
  keptContact: 'Contacts: {names:list}',
  noContact: 'No contact',
  keptSheet: 'What their contact reads',
} as const;

/** What an empty watch says, with the telephone that is set up and without one. */
export const EMPTY = {
  real: 'When a float plan is filed it stands here and counts down. If you don’t come home, your contact is told, one after the other.',
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

/** The plan as files. */
export const PAPERS = {
  title: 'To hand on',
  pdf: 'Sheet on one page (PDF)',
  txt: 'Sheet as text',
  gpx: 'Way and last position (GPX)',
  geojson: 'The same as GeoJSON',
  failed: 'The server did not answer: these are made there. On paper and as text the trip itself has them.',
} as const;

/** The chain of what happened. */
export const RECORD = {
  holds:
    'The record holds together: each of its {n#link|links} follows from the one before. Verified just now.',
  broken: 'The record does not hold together: {what}. Somebody changed it past Escale.',
  unread: 'Whether the record holds together can’t be told just now.',
  links: 'The links of the record',
  link: '{at:day} {at:clock} · {kind} · {hash}',
} as const;

/** What became of what was sent. */
export const FATE = {
  title: 'Messages',
  to: 'to {to} · {at:day} {at:clock}',
  waits: 'Waits to be sent.',
  failed: 'Did not go: {why}.',
  went: 'Went {by}, {at:day} {at:clock}; not opened yet.',
  opened: 'Went {by}; opened {at:day} {at:clock}.',
  by: {
    telephone: 'to the simulated telephone',
    mail: 'by mail',
    push: 'to the crew’s browsers',
    here: 'nowhere: it stands here',
  },
} as const;

/** By which ways messages leave. */
export const WAYS = {
  title: 'How messages leave',
  none: 'No way is set up: nothing leaves this machine.',
  telephone: 'Telephone, simulated (it reaches nobody outside)',
  mail: 'Mail to contacts',
  push: 'Notices to the crew’s browsers',
  works: '{way}: last went {at:day} {at:clock} UTC.',
  untried: '{way}: set up; nothing went by it yet.',
  failing: '{way}: does not go since {at:day} {at:clock} UTC ({why}).',
  told: 'Tell this browser too, with Escale shut',
  toldNow: 'This browser is told.',
  notTold: 'This browser can’t be told: it was not allowed, or has no such service.',
  end: 'Tell this browser no more',
} as const;

/** Where they may have drifted. */
export const DRIFT = {
  title: 'Where they may have drifted',
  never: 'An estimate, never a search area. Whoever searches reckons with their own figures.',
  none: 'No position was sent: nothing can be drawn of where they drift. A check-in can take one along.',
  what: 'What drifts',
  as: {
    afloat: 'Boat, nothing out',
    swamped: 'Boat, full or over',
    person: 'Somebody in the water',
  },
  drawn:
    'Where it drifts, north up: the way in the middle, a fan to either side of it, and a ring of what it may be off at each hour.',
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
  certificate:
    'The certificate by which phones reach this server ends {until:day} {until:clock} UTC. After that no phone comes in: renew it.',
  chain: 'The record of a plan was changed from outside, or part of it is missing.',
} as const;

/** Why something could not go. */
export const TROUBLE: Record<string, string> = {
  'no-way': 'nothing that is set up here reaches them',
  'no-plan': 'its plan is gone',
  bounced: 'the address takes nothing',
  NewerVersion: 'a newer version wrote it',
};
