import { speak } from '../say';
import { GAP_WORDS } from '../say/words/gaps';
import { WHATIF_WORDS } from '../say/words/whatif';

// What this room says comes with it.
speak(WHATIF_WORDS);
speak(GAP_WORDS);
