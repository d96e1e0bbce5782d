import { proxy, wrap } from 'comlink';
import { runIn } from './jobs';
import type { run } from '../workers/run';

/** Only the running application has a worker: `import.meta` stays out of what Jest reads. */
export function startWorker(): void {
  if (typeof Worker === 'undefined') return;
  const remote = wrap<{ run: typeof run }>(
    new Worker(new URL('../workers/escale.worker.ts', import.meta.url)),
  );
  runIn((name, input, generation, onPiece) => remote.run(name, input, generation, proxy(onPiece)));
}
