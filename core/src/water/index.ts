/**
 * water: tide, streams, weather and waves over the water.
 */
export * from './air';
export * from './conditions';
export * from './density';
export * from './fetch';
export * from './places';
export * from './stream';
export * from './tide';
export * from './typed';
export * from './waves';
export * from './weather';
export * from './worse';
export { riverFindings, streamUnsure } from './find-stream';
export { waterFindings } from './findings';
export type { OnWater } from './on-water';
export { isPoor, oldFrom } from './find-weather';
