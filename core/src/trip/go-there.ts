import type { Place, Trip } from '../model';
import { MS } from '../units';
import { assess } from './assess';
import type { AssessInput } from './context';
import { movedHalt } from './moved-halt';

type Halt = Trip['halts'][number];

/** A stay that is reckoned is told to so many minutes. */
const GRAIN = 5;

/**
 * The halts of a trip that goes to one more place, last, before the way home. Who only said how long they are out and stayed about
 * the launch till then goes there instead: they are out as long as before, with as much less there as the way takes, or come home
 * later where the way alone takes longer.
 * @param stay minutes, of one more halt
 */
export function goThere(input: AssessInput, place: Place, stay: number): Halt[] {
  const { trip } = input;
  const [only, ...others] = trip.halts;
  if (!only || others.length > 0 || only.place !== trip.launch)
    return [...trip.halts, { place: place.id, minutes: stay }];
  const there = movedHalt(only, place.id);
  const places = [...input.shed.places.filter(({ id }) => id !== place.id), place];
  const home = (halts: Halt[]) =>
    assess({ ...input, trip: { ...trip, halts }, shed: { ...input.shed, places } }).schedule?.home;
  const [before, after] = [home(trip.halts), home([there])];
  if (before === undefined || after === undefined) return [there];
  const left = only.minutes - (after - before) / MS.minute;
  return [{ ...there, minutes: Math.max(0, Math.floor(left / GRAIN) * GRAIN) }];
}
