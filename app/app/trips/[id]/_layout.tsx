export { TripLayout as default } from '../../../features/trip/trip-layout';
