import { speak } from '../say';
import { GAP_WORDS } from '../say/words/gaps';
import { WHATIF_WORDS } from '../say/words/whatif';

/** What this room says comes with it; who reckons elsewhere is sent it with the answer. */
export const SAYINGS: Readonly<Record<string, string>> = { ...WHATIF_WORDS, ...GAP_WORDS };
speak(SAYINGS);
