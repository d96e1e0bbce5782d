import { wallToInstant } from '../earth';
import type { Shed, Trip } from '../model';
import { MS } from '../units';

/** When a trip leaves by the clock of its water, epoch ms; undefined on a night that leaves that hour out. */
export function leavesAt({ leave, water }: Trip, shed: Pick<Shed, 'waters'>): number | undefined {
  const zone = shed.waters.find((w) => w.id === water)?.zone ?? 'UTC';
  const wall = wallToInstant(leave.date, leave.time, zone);
  return 'at' in wall ? wall.at : undefined;
}

/** A planned trip whose hour is past for longer than this is no morning’s business any more. */
const PAST = 12 * MS.hour;

/** The trip that matters now: one that is on, else the first of those planned that is not long past. */
export function nextTrip(trips: readonly Trip[], shed: Pick<Shed, 'waters'>, now: number): Trip | undefined {
  const at = (trip: Trip) => leavesAt(trip, shed) ?? Infinity;
  const first = (some: Trip[]) => some.sort((a, b) => at(a) - at(b))[0];
  return (
    first(trips.filter((t) => t.status === 'on')) ??
    first(trips.filter((t) => t.status === 'planned' && at(t) > now - PAST))
  );
}
