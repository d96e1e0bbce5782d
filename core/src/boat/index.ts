/**
 * boat: what she carries, how she lies under it, what happens when she fills, and how she moves.
 * Plate, maker's figure or estimate, never one passed off as another.
 */
export * from './capacity';
export * from './company';
export * from './energy';
export * from './float';
export * from './flood';
export * from './hull';
export * from './load';
export * from './start-card';
export * from './stow';
export * from './swamp';
export { boatFindings } from './findings';
export type { Laden } from './laden';
export { heelPhrase, standFindings } from './find-stands';
export { onFeet, stood, type Stood } from './stand';
export { paperFindings } from './find-papers';
export { airFindings } from './find-air';
export { failedParts, onHatchOf, partFindings, pressedFindings } from './find-parts';
export { airLossOf, airTestAge, type AirAnswer, type AirDoubt, type AirLoss } from './air-loss';
export { lookHolds, openingFindings } from './find-swamped';
