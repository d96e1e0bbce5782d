import { plainWords, saidInstead } from '@escale/core/say';

// On a screen the name of a sentence that is not there, read as words, is better than no page; in tests it still throws.
saidInstead(plainWords);
