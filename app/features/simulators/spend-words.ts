// What the page of spending flares says.
export const SPEND = {
  title: 'When to light a flare',
  lead: 'You are in the water or low on the boat. Few flares, and people who pass: light one when somebody can see it.',
  scene: 'When',
  pace: 'Time',
  light: 'Light one',
  lightLeft: 'Light one of {left}',
  none: 'None is left.',
  burning: 'It burns for {burns} s more.',
  wait: 'Wait and look.',
  begin: 'Begin',
  told: '{clock} gone · {light} · {left#flare|flares} left',
  horizon: 'The horizon all round, north in the middle: lights of those who pass',
  nobody: 'Nothing in sight.',
  hears: 'A helicopter is heard.',
  helicopter: 'Helicopter, bearing {bearing:bearing}, {far}: {lights}',
  boat: 'Boat, bearing {bearing:bearing}, {far}: {lights}',
  over: 'The time is over. The chance that somebody has seen you was {mine:percent}; spent at the best moments it would have been {most:percent}.',
  best: 'The best moments: {best:list}.',
  yours: 'You lit at {lit:list}.',
  yoursNone: 'You lit none.',
  by: 'By the {what} that was closest after {at} minutes: {share:percent}.',
  points: '{points} of 100',
  again: 'Again',
  why: 'A light in sight is noticed soonest by who looks ahead and comes towards you, later abeam, hardly astern; by day it must be very near; a boat loses it in the troughs, a helicopter does not. Keep one for when they are close, and hold it to leeward.',
  estimate:
    'How soon somebody notices is our own estimate. A flare burns hotter than you think: arm out, downwind, never over the boat or in gloves that melt.',
} as const;
export const LIGHTS = {
  both: 'red and green at once, coming at you',
  green: 'green, passing to your right',
  red: 'red, passing to your left',
  stern: 'a white stern light, going away',
} as const;
export const FAR = { near: 'near', middling: 'a mile or so', far: 'far' } as const;
export const WHAT = { boat: 'boat', helicopter: 'helicopter' } as const;
export const SKY = { day: 'daylight', dusk: 'dusk', night: 'dark' } as const;
export const PACES = { '5': 'Five times', '20': 'Twenty times', '60': 'A minute a second' } as const;
