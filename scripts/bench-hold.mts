// What holding a place costs: one anchor with its band, the table of a halt, a move of a slider with everything that follows it.
import {
  anchorsAboard,
  atStay,
  dragsAt,
  driftFrom,
  heldAt,
  leewayOf,
  lyingOn,
  onEdge,
  overStay,
  pulledOver,
  staysOf,
  tackleOf,
} from '../core/src/hold';
import { onHold } from '../core/src/trip/on-hold';
import type { AssessInput } from '../core/src/trip';
import type { Schedule } from '../core/src/model';

/** Named pieces of work for the bench, on the halt of a trip at which an anchor holds her. */
export function holdWork(input: AssessInput, schedule: Schedule): { name: string; work: () => unknown }[] {
  const on = onHold(input);
  const stay = staysOf(input.trip.halts, on.places, schedule).find(({ halt }) => halt.hold === 'anchor')!;
  const lying = lyingOn(on)!;
  const at = atStay(on, stay, lying);
  const [item] = anchorsAboard(on);
  const tackle = tackleOf(on, item, stay.place.seabed);
  const [hour] = at.hours;
  let n = 0;
  const along = () => ((n += 1) % 50) / 50;
  return [
    {
      name: 'hold: one anchor with its band, and when it drags',
      work: () => {
        const fast = onEdge(lying.hull, along(), 1);
        return [heldAt(lying, fast, tackle, hour, 8), dragsAt(lying, fast, tackle, hour, 8)];
      },
    },
    { name: 'hold: the hourly table of a halt', work: () => overStay(atStay(on, stay, lyingOn(on)), item) },
    {
      name: 'hold: a slider moved, pull, line and heel',
      work: () => {
        const fast = onEdge(lying.hull, along(), 1);
        const held = heldAt(lying, fast, tackle, { ...hour, stream: { speed: along(), direction: 90 } }, 8);
        return pulledOver(lying, fast, held.pull, held.taut?.boat ?? 0);
      },
    },
    {
      name: 'hold: drift, six hours, five ways',
      work: () => driftFrom(on, stay.place.position, stay.from, leewayOf(lying.boat.kind, 'afloat')),
    },
  ];
}
