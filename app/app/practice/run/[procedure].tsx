export { DrillPage as default } from '../../../features/practice/practice-page';
