import type { PlanContact } from '@escale/core/model';

// What the crew says of its plan.
/** What ends a watch is asked for once more: a cold thumb must not end it. */
export const ASHORE = {
  home: 'We’re home, close the plan',
  title: 'Is everyone ashore?',
  alone: 'Then nobody looks out for you any more.',
  follows: 'All {n} of you, out of the water and off the boat. Then nobody looks out for you any more.',
  yes: 'Yes, everyone is ashore',
  no: 'Not yet',
  stayed: 'We did not go',
  stayedTitle: 'Did nobody go out?',
  stayedFollows: 'Then the watch over this plan ends.',
  stayedYes: 'Nobody went',
  early: 'Have you left already?',
  earlyFollows: 'The plan has you leave {leave:day} {leave:clock}. From now on the check-ins count.',
  earlyYes: 'Yes, we have left',
} as const;

/** “I’m fine”: a sign of life, and the hour at which those ashore are told from then on. */
export const FINE = {
  button: 'I’m fine',
  title: 'All well. When will you be home?',
  same: 'Home stays {home:clock}',
  half: 'Half an hour later, {home:clock}',
  other: 'Home by another time',
  time: 'Home by',
  moved:
    'Home by {home:day} {home:clock}; not back, your contacts are told at {overdue:day} {overdue:clock}.',
  follows: 'Until this is through they are told at {overdue:clock}. The watch goes on either way.',
  why: 'Why, for your contacts',
  whyAsked: 'Home was put off {n} times. Your contacts are owed a word why.',
  needed: 'First say why, above.',
  noTime: 'First say by what time.',
  send: 'Say so',
  not: 'Say nothing',
  said: 'a check-in',
  saidLater: 'that you will be home at {home:clock}',
  unsent:
    'Not sent: your contacts are told at {overdue:day} {overdue:clock} that you are not back. Ring your contacts if there is no signal.',
} as const;

/** In trouble, and what is sealed. */
export const HELP = {
  button: 'We need help',
  title: 'Tell your contacts that you need help?',
  first: 'If lives are at risk, call for help first: radio, phone, beacon. This rings no rescue service.',
  follows:
    'Your contacts get it at once, with the sheet and the number to ring; what is sealed opens to them.',
  note: 'What is wrong (may stay empty)',
  yes: 'Tell them now',
  no: 'Not now',
  said: 'that you need help',
  stands:
    'Since {at:clock} your contacts know that you are in trouble. “I’m fine” settles it, for you and for them.',
  unseal: 'Open what is sealed',
  unsealTitle: 'Open what is sealed to your contacts?',
  unsealFollows: 'They read where you go, and what else was sealed, until the plan ends.',
  unsealYes: 'Open it',
  unsealNo: 'Leave it sealed',
  unsealSaid: 'that what is sealed is open',
} as const;

/** Where one is, if one wants it told. */
export const POSITION = { send: 'Send where I am, this once' } as const;

/** A change of plan. */
export const CHANGE = {
  button: 'Change of plan',
  title: 'What changes?',
  half: 'Home half an hour later, {home:clock}',
  launch: 'We launch from {place} instead',
  land: 'We land at {place} instead',
  go: 'We go to {place} instead',
  all: 'Something else',
  none: 'Nothing changes',
  said: 'the change of plan: {what}',
  tells:
    'Your contacts read what changed. Half an hour later stands by itself; another way that brings you home later has to be accepted again.',
  noPlaces: 'No other place of this water is in the shed.',
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
  real: 'Your contacts are told by mail or message, as it is set up here.',
  'stand-in': 'The telephone here is simulated: tell your contacts yourself.',
  none: 'No message leaves this machine: tell your contacts yourself.',
} as const;

const ANSWERED = {
  accepted: '{name}: accepted',
  opened: '{name}: opened, not accepted yet',
  declined: '{name} can’t: choose somebody else and send the change',
  withdrawn: '{name} was taken off the plan',
  unreached: '{name} can’t be reached: tell them yourself, or choose somebody else',
  notAccepted: '{name}: not accepted yet',
} as const;

/** How far a contact is with the plan. */
export const answered = ({ accepted, declined, opened, withdrawn, unreached }: PlanContact) =>
  withdrawn
    ? ANSWERED.withdrawn
    : unreached
      ? ANSWERED.unreached
      : accepted
        ? ANSWERED.accepted
        : declined
          ? ANSWERED.declined
          : opened
            ? ANSWERED.opened
            : ANSWERED.notAccepted;
