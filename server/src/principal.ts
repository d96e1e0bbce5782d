/** On whose behalf something is asked: it goes with every request, and every id is looked up in its household. */
export interface Principal {
  household: string;
  /** The device that asks, as far as it said so. */
  device?: string;
}
