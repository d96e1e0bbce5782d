/**
 * water: tide, weather and waves over the water. Streams come into this room when they are reckoned.
 */
export * from './conditions';
export * from './density';
export * from './fetch';
export * from './tide';
export * from './typed';
export * from './waves';
export * from './weather';
export { waterFindings } from './findings';
export type { OnWater } from './on-water';
export { isPoor, oldFrom } from './find-weather';
