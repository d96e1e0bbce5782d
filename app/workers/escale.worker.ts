import { expose } from 'comlink';
import { run } from './run';

expose({ run });
