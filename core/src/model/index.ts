/**
 * model: what exists. Zod schemas and the types they give; one schema serves the form, the wire, the row and the file.
 * Rooms take types from here; only edges import the schemas.
 */
export * from './common';
export * from './keepable';
export * from './capabilities';
export * from './lists';
export * from './own-limits';
export * from './places';
export * from './shed';
export * from './gear';
export * from './drill';
export * from './trip';
export * from './catch';
export * from './debrief';
export * from './rules';
// What ships is held against its schemas by a test alone; the application carries only their types.
export type * from './limits';
export type * from './procedure';
export type * from './shipped';
export type * from './shipped-hold';
export type * from './shipped-signals';
export type * from './shipped-parts';
export type * from './shipped-practice';
export type * from './shipped-way';
export type * from './shipped-whatif';
export type { AirReading, AirTest } from './air-test';
export * from './photo';
export { OwnPart, Part, Work, type Took } from './parts';
export * from './assessment';
export * from './plan';
export * from './watch';
export * from './bundle';
export * from './shelf';
export * from './evolve';
