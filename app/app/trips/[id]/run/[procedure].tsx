export { RunPage as default } from '../../../../features/go/run-page';
