import file from '../../data/limits/rules.json';
import { roomOf } from '../verdict';

/** What this room finds, and what it weighs. */
export const RULES = roomOf(file);
