/**
 * trip: the one place where all of it meets. `prepare()` once, `at()` for each departure, `assess()` the two in a row.
 */
export * from './assess';
export type { AssessInput } from './context';
export * from './strip';
export * from './sweep';
export * from './kept-forecasts';
export { LIMIT_NAMES, usualLimits } from './own-limits';
export * from './way-home';
export * from './windows';
export * from './changes';
export * from './answer';
export * from './next';
export * from './repeat';
