export { OfficerPage as default } from '../../../features/pack/officer-page';
