import type { Trip } from '../model';

type Halt = Trip['halts'][number];

/** A halt moved to another place: how long and what for goes along; how she is held, and what comes there, belongs to the place. */
export const movedHalt = ({ minutes, doing }: Halt, place: string): Halt => ({
  place,
  minutes,
  ...(doing === undefined ? {} : { doing }),
});
