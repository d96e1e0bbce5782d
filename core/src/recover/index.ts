/**
 * recover: can this crew turn her upright? The moment that holds her down against the moment that each and all of them give.
 */
export {
  LEAN_END,
  leanMoment,
  leanOn,
  lineAt,
  touches,
  usualHeight,
  type Fastening,
  type Leaner,
} from './lean';
export { holdsDown, restAngle, usualRig, windMoment, type Rigged } from './mast';
export { edgeNeed, handMoment } from './edge';
export * from './righting';
export { aboardToRight, rightingFindings } from './findings';
