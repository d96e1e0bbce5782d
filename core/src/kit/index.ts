/**
 * kit: what is asked for, matched against what is really in the shed; what does not count, and why.
 */
export { indexCatalogue, type Piece } from './count';
export { matchKit, type KitMatch } from './match';
export { kitFindings, mendFact } from './findings';
export { packList, packGroups, forgottenBefore, forgottenKey, type PackEntry } from './pack-list';
