// What the pages of the watch say with figures in it.
export const WATCH = {
  stands: '{state}, version {version}',
  until: 'until {what}, {at:clock}',
  homeWas: 'home was {at:day} {at:clock}',
  home: 'home {at:day}',
  card: '{title}, {state}',
  accepted: '{name}: accepted',
  opened: '{name}: opened, not accepted yet',
  notAccepted: '{name}: not accepted yet',
  when: '{at:day} {at:clock}',
  waits: 'for {to} · {at:day} {at:clock} UTC',
  sent: 'to {to} · {at:day} {at:clock} UTC',
} as const;

/** How far a contact is with the plan. */
export const answered = ({ accepted, opened }: { accepted?: unknown; opened?: unknown }) =>
  accepted ? WATCH.accepted : opened ? WATCH.opened : WATCH.notAccepted;

/** What an empty watch says, with the telephone that is set up and without one. */
export const EMPTY = {
  true: 'When a float plan is filed it stands here and counts down. If you don’t come home, the simulated telephone rings your contact.',
  false:
    'When a float plan is filed it stands here and counts down. If you don’t come home, it says so here: no message leaves this machine.',
  unknown: 'When a float plan is filed it stands here and counts down.',
} as const;
