import { airFindings, paperFindings, partFindings, openingFindings } from '../boat';
import { flareFindings, liftFindings, markFindings, suitFindings, useFindings, type KitMatch } from '../kit';
import type { Finding, Schedule } from '../model';
import { sure } from '../verdict';
import type { Context } from './context';
import { energyFindings, fuelAgeFindings } from './energy';

/** The civil days of a trip; the later one may be all that is known to be possible. */
interface Days {
  on: string;
  endsOn: string;
  openUntil?: string;
}

/**
 * What is found of the trip's own boat and of the things in her beside what rules ask: her openings, tubes, parts and papers, jackets,
 * marks, flares, and what runs out. What does not turn with the hour is read once.
 */
export function ownFindings(context: Context) {
  const { trip, boat, ticks } = context;
  const parts = partFindings(boat && sure(boat));
  const towed = trip.driveMinutes !== 0;
  return (
    leave: number | undefined,
    schedule: Schedule | undefined,
    days: Days,
    kit: KitMatch,
  ): Finding[] => {
    const endsOn = days.openUntil ?? days.endsOn;
    const { pieces, jackets, bodies } = kit;
    return [
      ...openingFindings(context, leave),
      ...airFindings(boat, bodies.on),
      ...parts({ on: days.on, endsOn, towed }),
      ...paperFindings(boat, endsOn),
      ...markFindings(pieces),
      ...useFindings(pieces),
      ...flareFindings(trip, pieces, ticks),
      ...liftFindings(trip, jackets, bodies),
      ...suitFindings({ trip, boat, on: bodies.on }, jackets, bodies),
      ...energyFindings(context, schedule, pieces),
      ...fuelAgeFindings(context, days.on, pieces),
    ];
  };
}
