import file from '../../data/limits/floatplan.json';
import { roomOf } from '../verdict';

/** What this room finds, and what it weighs. */
export const FLOATPLAN = roomOf(file);
