export { PracticePage as default } from '../../features/practice/practice-page';
