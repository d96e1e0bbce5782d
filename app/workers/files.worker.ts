import { expose } from 'comlink';
import { READING } from './reading';
import { runnerOf } from './runner';

/** Files are read in a worker of their own: it comes with the first file, and what is torn in one must not keep the page. */
expose({ run: runnerOf(READING) });
