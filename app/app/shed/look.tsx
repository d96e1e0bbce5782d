export { LookPage as default } from '../../features/shed/look-page';
