/**
 * say: the one renderer of sentences. Rooms return phrases (a template's name and its values); screens, PDF, the
 * contact's page and the command line get their words here, in the reader's units and zone.
 */
export {
  own,
  phrase,
  phraseOf,
  placeholdersOf,
  render,
  saidInstead,
  plainWords,
  saysTo,
  speak,
  clock,
  dateOf,
  dayOf,
  type Reader,
  type Says,
} from './render';
export type { WordKey } from './words';
