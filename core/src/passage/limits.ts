import file from '../../data/limits/passage.json';
import { roomOf } from '../verdict';

/** What this room finds, and what it weighs. */
export const PASSAGE = roomOf(file);
