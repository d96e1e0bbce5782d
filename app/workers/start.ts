import { wrap } from 'comlink';
import { sweepIn } from '../data/sweeper';
import type { SweepJob } from './sweep-job';
import type { Departure } from '@escale/core/trip';

/** Only the running application has a worker: `import.meta` stays out of what Jest reads. */
export function startWorker(): void {
  if (typeof Worker === 'undefined') return;
  const remote = wrap<{ sweepJob(job: SweepJob): Departure[] }>(new Worker(new URL('./sweep.worker.ts', import.meta.url)));
  sweepIn((job) => remote.sweepJob(job));
}
