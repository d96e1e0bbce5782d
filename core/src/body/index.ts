/**
 * body: what cold water does, and what to wear for it. Ranges, never a countdown.
 */
export * from './cold';
export { bodyFindings, coldNow, type InCold } from './findings';
