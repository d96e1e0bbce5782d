export { CardPage as default } from '../../features/boat/boat-pages';
