import file from '../../data/limits/ramp.json';
import { roomOf } from '../verdict';

/** What a ramp and a car are taken for. */
export const RAMP = roomOf(file);
