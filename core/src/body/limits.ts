import file from '../../data/limits/body.json';
import { roomOf } from '../verdict';

/** What this room finds, and what it weighs. */
export const BODY = roomOf(file);
