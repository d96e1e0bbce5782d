import { JOBS } from './jobs';
import { READING } from './reading';
import { runnerOf } from './runner';
import { WHAT_IF } from './what-if';

/** All jobs in the page itself, where there is no worker. */
export const run = runnerOf({ ...JOBS, ...READING, ...WHAT_IF });
