/**
 * kit: what is asked for, matched against what is really in the shed; what does not count, and why.
 */
export { CATALOGUE, indexCatalogue, kindsSupplying } from './catalogue';
export { stowages, type Piece } from './count';
export { matchKit, type KitMatch } from './match';
export { kitFindings } from './findings';
export { BACK, stowPatch } from './mends';
export { companyFindings, type Company } from './find-company';
export { forgottenFindings } from './find-forgotten';
export { offFindings } from './find-off';
export { flareFindings, FLARE_OUT, markFindings, useFindings } from './find-marks';
export { liftFindings, suitFindings } from './find-jackets';
export { toThrow, type JacketFit } from './jackets';
export {
  packList,
  packGroups,
  lastLook,
  forgottenBefore,
  forgottenKey,
  WHEN,
  type PackEntry,
  slug,
} from './pack-list';
export { dueBy, dueOn, lookPatch, testPatch, toLookAt, type Due, type Reminder } from './inspect';
