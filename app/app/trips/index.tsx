export { TripsPage as default } from '../../features/trips/trips-page';
