// What is said when something went wrong, in the program or by hand.
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
