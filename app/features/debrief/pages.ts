/** Looking back on a trip, fetched together. */
export { CatchPage } from './catch-page';
export { DebriefSection } from './debrief-section';
