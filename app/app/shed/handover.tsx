export { HandoverPage as default } from '../../features/boat/boat-pages';
