export { PacksPage as default } from '../../../features/packs/packs-page';
