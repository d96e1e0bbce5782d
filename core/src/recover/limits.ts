import file from '../../data/limits/recover.json';
import { roomOf } from '../verdict';

/** What righting a boat is reckoned with; nearly all of it our own estimate, and wide. */
export const RECOVER = roomOf(file);
