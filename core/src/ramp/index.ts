/**
 * ramp: how a trailer, a ramp or a beach and the water fit: how deep, how far in, in which hours, and where the water will be.
 */
export * from './geometry';
export * from './needs';
export * from './cross';
export { launchNotes } from './notes';
export { edgeFindings } from './find-edge';
export { rampFigures, rampFindings, type OnLaunch } from './findings';
