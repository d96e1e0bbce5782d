export { ShedPage as default } from '../../features/shed/shed-page';
