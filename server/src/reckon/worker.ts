import { parentPort } from 'node:worker_threads';
import { assess, type AssessInput } from '@escale/core/trip';

/** Assesses what it is sent, one after the other. */
parentPort!.on('message', ({ id, input }: { id: number; input: AssessInput }) => {
  try {
    parentPort!.postMessage({ id, assessment: assess(input) });
  } catch (error) {
    parentPort!.postMessage({ id, fault: error instanceof Error ? error.message : String(error) });
  }
});
