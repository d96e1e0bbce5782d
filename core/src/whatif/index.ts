/**
 * whatif: what follows when something goes wrong, and what to do about it. The roof: it leans on all rooms, and none on it.
 */
export * from './ask';
export * from './best';
export * from './bodies';
export * from './changes';
export * from './gaps';
export * from './glance';
export * from './haven-or-home';
export * from './incidents';
export * from './moment';
export * from './questions';
export * from './reckon';
export * from './replay';
export * from './standing';
export * from './still';
export * from './timeline';
export type { Told } from './told';
export { SAYINGS } from './words';
