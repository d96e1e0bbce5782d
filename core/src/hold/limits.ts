import file from '../../data/limits/hold.json';
import { roomOf } from '../verdict';

/** What this room finds, and what it weighs. */
export const HOLD = roomOf(file);
