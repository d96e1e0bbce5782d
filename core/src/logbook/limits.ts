import file from '../../data/limits/logbook.json';
import { roomOf } from '../verdict';

/** What this room finds, and what each weighs. */
export const LOGBOOK = roomOf(file);
