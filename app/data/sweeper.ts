import { useEffect, useState } from 'react';
import type { Departure } from '@escale/core/trip';
import type { SweepJob } from '../workers/sweep-job';

type Sweep = (job: SweepJob) => Promise<Departure[]>;

/** Without a worker the same function runs here, loaded when it is first wanted. */
let run: Sweep = async (job) => (await import('../workers/sweep-job')).sweepJob(job);
export function sweepIn(sweep: Sweep): void {
  run = sweep;
}

let generation = 0;
/** How long an edit must rest before its day is swept, ms. */
const REST = 250;

/** The worst level of each departure of the day. A newer edit outdates an older job. */
export function useSweep(job: SweepJob | undefined): Departure[] {
  const [found, setFound] = useState<Departure[]>([]);
  useEffect(() => {
    if (!job) return;
    const mine = (generation += 1);
    const timer = setTimeout(() => {
      run(job).then((departures) => {
        if (mine === generation) setFound(departures);
      }).catch((error: unknown) => console.error('The day could not be swept', error));
    }, REST);
    return () => clearTimeout(timer);
  }, [job]);
  return found;
}
