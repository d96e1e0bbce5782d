import file from '../../data/limits/procedure.json';
import { roomOf } from '../verdict';

/** How long a look counts for one. */
export const PROCEDURE = roomOf(file);
