/**
 * boat: what she carries and how she moves. Plate, maker's figure or estimate, never one passed off as another.
 */
export * from './capacity';
export * from './load';
