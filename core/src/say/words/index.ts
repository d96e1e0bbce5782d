import { ANSWER_WORDS } from './answer';
import { BOAT_WORDS } from './boat';
import { DAY_WORDS } from './day';
import { HOLD_WORDS } from './hold';
import { KIT_WORDS } from './kit';
import { LOGBOOK_WORDS } from './logbook';
import { PLAN_WORDS } from './plan';
import { RULE_WORDS } from './rules';
import { STORE_WORDS } from './stores';
import { TROUBLE_WORDS } from './trouble';
import { WAY_WORDS } from './way';
import type { GAP_WORDS } from './gaps';
import type { HAVEN_WORDS } from './haven';
import type { WHATIF_WORDS } from './whatif';

/** Every sentence that any screen may say. A second language is a second folder like this one. */
export const WORDS = {
  ...ANSWER_WORDS,
  ...BOAT_WORDS,
  ...DAY_WORDS,
  ...HOLD_WORDS,
  ...KIT_WORDS,
  ...LOGBOOK_WORDS,
  ...PLAN_WORDS,
  ...RULE_WORDS,
  ...STORE_WORDS,
  ...TROUBLE_WORDS,
  ...WAY_WORDS,
} as const;

/** Words that only one room says: they come with it (`speak`), and are known to the types from the start. */
export type Words = typeof WORDS & typeof HAVEN_WORDS & typeof WHATIF_WORDS & typeof GAP_WORDS;
export type WordKey = keyof Words;
