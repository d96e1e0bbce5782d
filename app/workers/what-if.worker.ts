import { expose } from 'comlink';
import { runnerOf } from './runner';
import { WHAT_IF } from './what-if';

/** What goes wrong is reckoned in a worker of its own: it comes with the first question, and holds up no other. */
expose({ run: runnerOf(WHAT_IF) });
