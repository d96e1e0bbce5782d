import type { Trip } from '@escale/core/model';

/** The last day on which each boat was out, by id, of the trips that are over. */
export function lastOut(trips: readonly Trip[]): ReadonlyMap<string, string> {
  const out = new Map<string, string>();
  for (const { boat, status, leave } of trips) {
    if (boat === undefined || status !== 'done') continue;
    const known = out.get(boat);
    if (known === undefined || known < leave.date) out.set(boat, leave.date);
  }
  return out;
}
