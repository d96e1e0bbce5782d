import type { Logger } from 'pino';
import type { WatchHealth } from '@escale/core/model';
import { MS } from '@escale/core/units';

const EVERY = MS.minute;
const PATIENCE = 10 * MS.second;

/**
 * A sign of life to a watcher outside, once a minute while all is well: one that stays away is missed there, whatever is wrong
 * here. Only where an address is set; without one nothing leaves the machine.
 */
export function heartbeat(
  { url, log, every = EVERY }: { url?: string; log: Logger; every?: number },
  health: () => WatchHealth,
): () => void {
  if (!url) return () => undefined;
  const beat = async () => {
    if (!health().ok) return;
    try {
      await fetch(url, { signal: AbortSignal.timeout(PATIENCE) });
    } catch (error) {
      log.warn({ err: error }, 'the heartbeat did not arrive');
    }
  };
  const timer = setInterval(() => void beat(), every);
  return () => clearInterval(timer);
}
