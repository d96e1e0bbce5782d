export { PackPage as default } from '../../../features/packs/pack-page';
