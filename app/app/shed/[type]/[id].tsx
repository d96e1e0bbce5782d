export { ThingPage as default } from '../../../features/shed/thing-page';
