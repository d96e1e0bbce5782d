import { expose } from 'comlink';
import { sweepJob } from './sweep-job';

expose({ sweepJob });
