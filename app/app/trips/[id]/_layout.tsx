export { TripLayout as default } from '../../../features/trip/trip-layout';
export { Broken as ErrorBoundary } from '../../../features/shell/broken';
