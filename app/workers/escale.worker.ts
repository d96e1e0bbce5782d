import { expose } from 'comlink';
import { JOBS } from './jobs';
import { runnerOf } from './runner';
import { WHAT_IF } from './what-if';

expose({ run: runnerOf({ ...JOBS, ...WHAT_IF }) });
