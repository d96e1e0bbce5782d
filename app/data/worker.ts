import { proxy, wrap, type Remote } from 'comlink';
import { runIn } from './jobs';
import type { run } from '../workers/run';
import type { JobName } from '../workers/jobs';

type Remotely = Remote<{ run: typeof run }>;

/** Jobs of the worker that reads files. */
const OF_FILES: ReadonlySet<JobName> = new Set<JobName>(['table', 'drawing', 'track']);

/** Only the running application has workers: `import.meta` stays out of what Jest reads. */
export function startWorker(): void {
  if (typeof Worker === 'undefined') return;
  const reckons: Remotely = wrap(new Worker(new URL('../workers/escale.worker.ts', import.meta.url)));
  let reads: Remotely | undefined;
  const reader = (): Remotely =>
    (reads ??= wrap(new Worker(new URL('../workers/files.worker.ts', import.meta.url))));
  runIn((name, input, generation, onPiece) =>
    (OF_FILES.has(name) ? reader() : reckons).run(name, input, generation, proxy(onPiece)),
  );
}
