export { PhasePage as default } from '../../../../features/trip/phase-page';
