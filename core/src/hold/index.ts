/**
 * hold: what pulls on a boat that is held, and what holds her: anchor, line, where she is made fast, how she swings. Everything is a
 * band, because hardly a number of it is published for small boats.
 */
export {
  anchorOf,
  dragged,
  gradeOf,
  goodOn,
  holding,
  leadShare,
  ratioOf,
  VOUCHED,
  type Anchor,
} from './anchor';
export { exposedOf, type Exposed, type Face } from './exposed';
export * from './drift';
export * from './held';
export {
  chainWeight,
  leadOf,
  needed,
  rodeOf,
  shapeOf,
  stretch,
  type Lead,
  type Rode,
  type School,
} from './line';
export * from './on-hold';
export { buildersLoad, pullOn, surge, type Comes, type Fastening, type Pull, type Steady } from './pull';
export * from './over';
export { withStream, withWind } from './tried';
export { anchorLine, runningRig, type Part } from './cut-list';
export { reachOn, rigOn, type Reach, type Rig } from './rig';
export { blowOf, blowWithin, drawn, seaAnchorFor, type Blow } from './sea-anchor';
export { heeledBy, onEdge, type Heeled, type SidePull } from './side';
export * from './stay';
export { bestOf, deepest, outOf, overStay, type Over } from './find-holds';
export { radiusOf } from './find-swing';
export { findAtAnchor, findOnPole, isOffered } from './findings';
export { poleHours, type PoleHour } from './find-pole';
export { inLoose, inSoft, POLE, poleLine, poleOf, stakedAt, type Pole, type Staked } from './pole';
