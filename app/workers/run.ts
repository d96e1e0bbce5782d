import { JOBS } from './jobs';
import { READING } from './reading';
import { runnerOf } from './runner';

/**
 * Jobs in the page itself, where there is no worker. What goes wrong is asked of the worker alone: what it leans on would be fetched
 * with every first trip, for browsers that nobody has.
 */
export const run = runnerOf({ ...JOBS, ...READING });
