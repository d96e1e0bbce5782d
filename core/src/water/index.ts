/**
 * water: tide and weather over the water. Stream and waves come into this room when they are reckoned.
 */
export * from './conditions';
export * from './density';
export * from './tide';
export * from './typed';
export * from './weather';
export { waterFindings } from './findings';
export type { OnWater } from './on-water';
export { isPoor, oldFrom } from './find-weather';
