import { sweep, type AssessInput, type Departure } from '@escale/core/trip';
import { CATALOGUE } from '@escale/core/kit';
import { packsOn } from '@escale/core/rules';

/** What is posted to the worker: validated before it was posted. Packs and catalogue ship with the worker itself. */
export interface SweepJob { input: Pick<AssessInput, 'trip' | 'shed' | 'conditions' | 'now'>; from: number; until: number; step: number }

export function sweepJob({ input, from, until, step }: SweepJob): Departure[] {
  const water = input.shed.waters.find((w) => w.id === input.trip.water);
  return sweep({ ...input, packs: packsOn(water, input.shed), catalogue: CATALOGUE }, from, until, step);
}
