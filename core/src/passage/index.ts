/**
 * passage: legs, times, turning back, and the hours before leaving reckoned backwards.
 */
export * from './arms';
export * from './ground';
export * from './route';
export * from './ready';
export * from './far-off';
export * from './haven';
export { boundFindings, leaveFindings, passageFindings } from './findings';
export { paceFindings, stuckFinding, windFindings, windUnsure } from './find-pace';
export type { Outing } from './outing';
export { latestTurnOf } from './find-light';
export { readyFindings, taskFindings } from './find-ready';
export { openFindings, placeFindings } from './find-place';
export { routeFindings } from './find-way';
export { drinkFindings, fuelFindings } from './find-stores';
export { motored, storesOn, type Stores } from './stores';
export { draughtOf } from './draught';
export { busyFinder, withinReach } from './find-sight';
export { overLand, reachesOf, type Reach } from './way';
