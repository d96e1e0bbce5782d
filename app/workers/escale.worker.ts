import { expose } from 'comlink';
import { JOBS } from './jobs';
import { runnerOf } from './runner';

expose({ run: runnerOf(JOBS) });
