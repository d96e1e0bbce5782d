/**
 * formats: what comes in and goes out. The Escale bundle, and JSON pointers into documents.
 */
export * from './bundle';
export { faultsOf } from './json';
export * from './pointer';
export { demoBundle } from './demo';
export * from './pack';
