import handover from '../../data/boat/handover.json';
import type { HandoverStep } from '../model';

/** A walk through a boat one does not know; loaded by the one page that walks it. */
export const HANDOVER = handover as unknown as HandoverStep[];
