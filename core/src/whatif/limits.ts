import file from '../../data/limits/whatif.json';
import { roomOf } from '../verdict';

/** What this room weighs. */
export const WHATIF = roomOf(file);
