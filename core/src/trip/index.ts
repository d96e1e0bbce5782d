/**
 * trip: the one place where all of it meets. `prepare()` once, `at()` for each departure, `assess()` the two in a row.
 * What only one screen or the worker needs is asked for by its own name: `trip/windows`, `trip/way-home`, `trip/kept-forecasts`.
 */
export * from './assess';
export type { AssessInput } from './context';
export * from './go-there';
export * from './moved-halt';
export * from './strip';
export * from './strip-marks';
export * from './sweep';
export { goesBeyond, LIMIT_NAMES, usualLimits } from './own-limits';
export * from './changes';
export * from './answer';
export * from './next';
export * from './repeat';
