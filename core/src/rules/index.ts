/**
 * rules: rule packs are data; this room evaluates them three-valued over facts and explains every answer.
 */
export * from './conditions';
export * from './evaluate';
export * from './facts';
export * from './words';
export * from './packs';
export * from './library';
export * from './crew';
export * from './mend';
export { crewFindings, type Aboard } from './findings';
export * from './examples';
export * from './differences';
export * from './country';
