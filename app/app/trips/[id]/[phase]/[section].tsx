export { SectionPage as default } from '../../../../features/trip/phase-page';
