/**
 * passage: legs, times, turning back, and the hours before leaving reckoned backwards.
 */
export * from './route';
export * from './ready';
export * from './haven';
