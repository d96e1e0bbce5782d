export { RoundPage as default } from '../../features/shed/round-page';
