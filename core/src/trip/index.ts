/**
 * trip: the one place where all of it meets. `prepare()` once, `at()` for each departure, `assess()` the two in a row.
 */
export * from './assess';
export type { AssessInput } from './context';
export * from './strip';
export * from './sweep';
export * from './changes';
export { CHART_DATUMS } from './limits';
export { lookHolds } from './flooded';
export { fellows, towing, type Fellow } from './company';
