import type { Draft } from './draft';

/** One question: what it has so far, and how it is answered. */
export interface Asking {
  draft: Draft;
  put: (next: Draft) => void;
}
