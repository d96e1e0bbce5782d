import type { Score, TakenLength } from '@escale/core/ramp/reversing';

// What the page of backing a trailer says.
export const DRIVE = {
  title: 'Backing the trailer',
  lead: 'Your own lengths, true turning. Practise here, then on an empty lot.',
  course: 'Where',
  trailer: 'Which trailer',
  usual: 'A usual one',
  view: 'What you see',
  pedal: 'The car',
  wheel: 'Hand at the bottom of the wheel',
  rule: 'Move it the way the tail is to go. Small and early; pull forward to begin again.',
  straightHand: 'in the middle',
  leftHand: '{share:percent} to the left',
  rightHand: '{share:percent} to the right',
  above: 'Car and trailer from above, {course}',
  mirrors: 'The two outer mirrors, {course}',
  left: 'Left mirror',
  right: 'Right mirror',
  told: '{seconds} s · {corrections#correction|corrections} · {pulls#time|times} forward · tail {angle}° {side}',
  ok: 'Back slowly.',
  past: 'Beyond {limit}° no wheel brings it back while you back: pull forward.',
  folded: 'Jackknifed: trailer and car touch. Only forwards leads out.',
  touch: 'Something is touched. Pull away from it.',
  inside: 'She is in.',
  keys: 'Keys, on the wheel: ← → move the hand, ↓ backs, ↑ goes forward, space stands.',
  tilt: 'Steer by tilting the phone',
  tiltOff: 'Steer by hand again',
  again: 'Again',
  replay: 'Run it again',
  replaying: 'Your last run, run again.',
  points: '{points} of 100',
  best: 'Best here: {points}, on {on:date}',
  offLane: 'On average {off:height} off the middle',
  noLane: 'Nobody backed in the lane',
  lengths: 'Lengths',
  turns: 'She folds beyond help at {limit}°; 5° become {five}° within 3 m of backing straight.',
  neverPast:
    'So long a trailer comes back from every angle; 5° become {five}° within 3 m of backing straight.',
  taken: 'Nobody measured {what:list}: a usual length is taken.',
  never: 'With such a wheelbase no car turns in so small a circle: measure both again.',
  keep: 'These are ours',
  kept: 'Kept with {boat}.',
  prices: 'What a fault costs and how fast hands turn is our own estimate; the turning is not.',
  mirrorNote: 'Flat glass. Over a crest nothing of the ramp is seen until the slope comes into sight.',
} as const;

export const VIEWS = { above: 'From above', mirrors: 'Mirrors only', both: 'Both' } as const;
export type View = keyof typeof VIEWS;
export const PEDALS = { back: 'Back', stand: 'Stand', forward: 'Forward' } as const;
export type Pedal = keyof typeof PEDALS;

export const LENGTHS: Readonly<Record<TakenLength, string>> = {
  drawbar: 'From the hitch to the axle',
  wheelbase: 'Of the car, from axle to axle',
  overhang: 'Of the car, from the rear axle to the ball',
  circle: 'Turning circle of the car',
};

export const LOST: Readonly<Record<keyof Score['lost'], string>> = {
  lane: 'Off the middle of the lane',
  corrections: 'Corrections beyond what it takes',
  pulls: 'Pulled forward beyond what it takes',
  time: 'Time',
  touched: 'Touched something',
  jacks: 'Jackknifed',
};

export const TILT = {
  refused:
    'The tilt was refused: steer by the slider or the keys. It can be allowed in the settings of this browser.',
  none: 'This device tells no tilt: steer by the slider or the keys.',
} as const;
