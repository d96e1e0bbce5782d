import file from '../../data/limits/trip.json';
import { roomOf } from '../verdict';

/** What is missing of a trip itself, and how far what is only guessed of it may be off. */
export const TRIP = roomOf(file);
