import type { ThingType } from './common';

/** A way by which a message leaves this machine. */
export interface Channel {
  name: 'telephone' | 'mail' | 'push';
  /** A stand-in, which reaches nobody outside. */
  simulated?: true;
  /** What was last sent by it did not go, since when, epoch ms. */
  failing?: number;
  /** Why, in the words of the code. */
  trouble?: string;
  /** When something last went by it, epoch ms. */
  worked?: number;
}

/** What is wrong with the watch, by name; each has its words on the page of the watch. */
export const REDS = [
  'silent',
  'late',
  'untold',
  'set-aside',
  'clock',
  'disk',
  'backup',
  'chain',
  'certificate',
] as const;
export type Red = (typeof REDS)[number];

/** How the server's clock stands: told by `watch/guard` on the server. */
export type ClockStanding = 'steady' | 'asking' | 'unconfirmed' | 'agreed' | 'contradicted' | 'behind';

/** How the watch itself is. Instants are epoch ms. */
export interface WatchHealth {
  ok: boolean;
  red: Red[];
  now: number;
  simulated: boolean;
  /** How long ago the watch last looked, and how long the oldest has waited, ms. */
  lastSweep?: number;
  oldestDue?: number;
  oldestUntold?: number;
  setAside: number;
  /** How the clock stands, and how far the machine's is from the time that is gone by, ms. */
  clock: { standing: ClockStanding; off: number };
  /** Room on the disk that the memory lies on, bytes. */
  disk?: { free: number };
  /** When the memory was last copied. */
  backup?: { at: number };
  /** Until when the certificate is good by which others reach it, epoch ms. */
  certificate?: number;
}

/** What could not be acted on or delivered, as the household is shown it. */
export interface Aside {
  plan: string;
  title: string;
  kind: string;
  /** Whom a message was for; a deadline is for nobody yet. */
  to?: string;
  /** Why it failed, in the words of the code. */
  trouble: string;
  since: number;
}

/** What taking in a bundle would do to one thing. */
export interface ImportChange {
  type: ThingType;
  id: string;
  name: string;
  what: 'added' | 'changed';
  /** Of a changed one: the fields that would read otherwise; of a plain value what it was and would be. */
  fields: { field: string; was?: string; is?: string }[];
}

/** Something that was removed: it can be put back, or erased for good. */
export interface RemovedThing {
  id: string;
  type: ThingType;
  version: number;
  name: string;
  /** When it was removed, epoch ms. */
  at: number;
}

/** What other devices had changed in a thing when a change of this one was put beside it: both stand. */
export interface Merged {
  /** What those devices are called. */
  by: string[];
  /** The fields, each the first part of its pointer, with a part’s own key after it where it has one. */
  fields: string[];
}
