/** What comes together with the first question what if: its page, and a near miss run back. */
export { MissView } from './miss-view';
export { WhatIfPage } from './what-if-page';
