import type { Boat, Finding, Phrase, Trip } from '../model';
import { phrase } from '../say';
import type { Learnt, Lessons } from './learnt';
import { LOGBOOK } from './limits';

/** What a plan goes by that was learnt. */
export interface OnLearnt {
  trip: Pick<Trip, 'id' | 'speed'>;
  /** As it was said of her, not as it was learnt. */
  boat: Boat | undefined;
  lessons: Lessons;
  /** How long one goes in all, without halts, s. */
  going: number | undefined;
}

/** That the plan goes by one’s own trips, from which, how much they vary, and how it is refused. */
export function learntFindings({ trip, boat, lessons: { speed, burn, draw }, going }: OnLearnt): Finding[] {
  const first = speed ?? burn ?? draw;
  if (!boat || !first) return [];
  const said = boat.propulsion[0]?.cruise;
  const because: Phrase[] = [
    ...(speed ? [phrase('learnt.speed', { ...times(speed), speed: speed.value })] : []),
    ...(burn ? [phrase('learnt.burn', { ...times(burn), burn: burn.value })] : []),
    ...(draw ? [phrase('learnt.draw', { ...times(draw), draw: draw.value })] : []),
    phrase('learnt.from', {
      newest: first.from[0].on,
      oldest: first.from[first.from.length - 1].on,
      alike: first.alike ? phrase('learnt.alike') : '',
    }),
    ...(speed && said !== undefined ? [phrase('learnt.said', { speed: said })] : []),
    // A speed that was said for the day stands before what was learnt.
    ...(speed && trip.speed !== undefined ? [phrase('learnt.day', { speed: trip.speed })] : []),
    ...(speed && trip.speed === undefined ? slowly(speed, going) : []),
  ];
  return [
    LOGBOOK.finding('learnt/speed', 'used', `${trip.id}.${boat.id}`, {
      title: phrase('learnt.title', { boat: boat.name }),
      because,
      mend: {
        label: phrase('learnt.mend'),
        do: { type: 'boat', id: boat.id, patch: [{ op: 'set', pointer: '/unlearnt', value: true }] },
      },
    }),
  ];
}

const times = ({ from, spread }: Learnt) => ({ n: from.length, spread });

/** How much later one is at a speed that is one spread slower. */
function slowly({ value, spread }: Learnt, going: number | undefined): Phrase[] {
  if (going === undefined || spread <= 0 || spread >= value) return [];
  return [phrase('learnt.slow', { later: going * (value / (value - spread) - 1) })];
}
