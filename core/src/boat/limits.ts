import file from '../../data/limits/boat.json';
import { roomOf } from '../verdict';

/** What this room finds, and what it weighs. */
export const BOAT = roomOf(file);
