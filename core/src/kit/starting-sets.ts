import startingSets from '../../data/kit/starting-sets.json';
import type { StartingSet } from '../model';

/** Kits to start a locker from; loaded by the one page that offers them. */
export const STARTING_SETS = startingSets as StartingSet[];
