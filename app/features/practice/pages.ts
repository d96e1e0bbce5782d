/** The pages of practice, fetched together. */
export { DrillsPage } from './drills-page';
export { DrillPage, PracticePage } from './practice-page';
