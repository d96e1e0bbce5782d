import file from '../../data/limits/water.json';
import { roomOf } from '../verdict';

/** What this room finds, and what it weighs. */
export const WATER = roomOf(file);
