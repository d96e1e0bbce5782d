/**
 * passage: legs, times, turning back, and the hours before leaving reckoned backwards.
 */
export * from './route';
export * from './ready';
export * from './haven';
export { boundFindings, leaveFindings, paceFindings, passageFindings } from './findings';
export type { Outing } from './outing';
export { latestTurnOf } from './find-light';
export { readyFindings } from './find-ready';
export { openFindings, placeFindings } from './find-place';
export { routeFindings } from './find-way';
export { reachesOf, type Reach } from './way';
