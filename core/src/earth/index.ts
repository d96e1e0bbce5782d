/**
 * earth: where things are and how sun and moon stand. Distances and bearings on the ellipsoid, light, wall clocks and zones.
 */
export * from './geodesic';
export * from './light';
export * from './moon';
export * from './wall-time';
