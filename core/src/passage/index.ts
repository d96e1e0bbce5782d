/**
 * passage: legs, times, turning back, and the hours before leaving reckoned backwards.
 */
export * from './ground';
export * from './route';
export * from './ready';
export * from './haven';
export * from './haven-card';
export { boundFindings, leaveFindings, paceFindings, passageFindings } from './findings';
export type { Outing } from './outing';
export { latestTurnOf } from './find-light';
export { readyFindings } from './find-ready';
export { openFindings, placeFindings } from './find-place';
export { routeFindings, stuckFinding } from './find-way';
export { reachesOf, type Reach } from './way';
