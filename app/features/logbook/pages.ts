/** The logbook and what it teaches, fetched together. */
export { EnvelopePage } from './envelope-page';
export { LogbookPage } from './logbook-page';
export { LogbookPaper } from './logbook-paper';
