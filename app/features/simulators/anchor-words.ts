import type { anchorScore } from '@escale/core/hold/anchoring';

// What the page of practising with the anchor says.
export const ANCHOR = {
  title: 'Anchoring',
  lead: 'Let out line and watch it: how it leads, when it bites, when it drags. Time runs as fast as you say.',
  scene: 'Where',
  boat: 'Which boat',
  usualBoat: 'A usual {kind}',
  anchor: 'Which anchor',
  usualAnchor: 'A fluke anchor of {mass:mass}, {chain:height} of chain, {line:height} of line',
  section: 'The line from the anchor to the boat as it lies now',
  plan: 'From above, north at the top: anchor, boat, what is near, wind and stream',
  pay: 'The line',
  fast: 'Made fast at',
  pace: 'Time',
  back: 'Astern, to make it bite',
  told: '{clock} · {out:height} out, {scope} times the height · leads up {angle}°',
  pull: 'The anchor bears {load:force} and holds {hold:force} there; dug in by {dug:percent}. Dragged {dragged:height}.',
  hangs: 'It does not reach the bottom yet: she drifts.',
  weather: 'Wind {wind:speed} from {from:bearing}; stream {stream:speed} to {sets:bearing}.',
  ok: 'It holds.',
  slack: 'The line is slack.',
  drags: 'It drags. More line, or gentler.',
  steep: 'The line leads up at the anchor and lifts it out: let out more.',
  heels: 'She heels {heel}° to the side she is fast on.',
  over: 'Water comes over her edge: that is what a line from the side does. In earnest: let go, at once.',
  ashore: 'She is on {what}.',
  stayed: 'She stayed.',
  stayedAboard: 'The time is over, and the anchor never reached the ground.',
  points: '{points} of 100',
  again: 'Again',
  estimate:
    'Waves, sheering and ground scatter widely: each run draws anew where in its range every number lies. In earnest no small boat anchors where this simulator lets you try what goes wrong.',
  none: 'How she lies can’t be reckoned: enter her length, beam and weight.',
} as const;
export const PAYS = { out: 'Let out', hold: 'Hold', haul: 'Haul in' } as const;
export type Pays = keyof typeof PAYS;
export const FROMS = { bow: 'Bow', stern: 'Stern', side: 'Side' } as const;
export const PACES = { '1': 'As it is', '10': 'Ten times', '60': 'A minute a second' } as const;
export const NEAR = { rocks: 'the rocks', boat: 'another boat' } as const;
export const LOST: Readonly<Record<keyof ReturnType<typeof anchorScore>['lost'], string>> = {
  dragged: 'Dragged over the ground',
  outs: 'Drawn out as it turned',
  near: 'Came too near',
  ended: 'Ended before the time',
  aboard: 'Never anchored',
};
