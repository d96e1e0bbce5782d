import type { Boat, Person, Trip } from '../model';

/** A boat with a trip's people and things in her. */
export interface Laden {
  trip: Trip;
  boat?: Boat;
  people: Person[];
  /** Of the water she floats in, kg/m³. */
  density: number;
  /** All the way, out and home, metres. */
  metres?: number;
}
