import file from '../../data/limits/kit.json';
import { roomOf } from '../verdict';

/** What this room finds, and what it weighs. */
export const KIT = roomOf(file);
