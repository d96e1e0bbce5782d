export { FindingsPage as default } from '../../../features/trip/findings-page';
