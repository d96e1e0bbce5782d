export { PaperPage as default } from '../../../features/paper/paper-page';
