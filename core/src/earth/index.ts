/**
 * earth: where things are and how the sun stands. Distances and bearings on the ellipsoid, light, wall clocks and zones.
 */
export * from './geodesic';
export * from './light';
export * from './wall-time';
