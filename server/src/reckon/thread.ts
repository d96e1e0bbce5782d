import { Worker } from 'node:worker_threads';
import type { Assessment } from '@escale/core/model';
import type { AssessInput } from '@escale/core/trip';
import { MS } from '@escale/core/units';
import { workerFile } from '../db/worker-file';
import { Refusal } from '../refusal';

/** An assessment takes milliseconds; one that takes this long would never end. Our own choice. */
const PATIENCE = 10 * MS.second;
/** What the thread may hold: a trip that needs more is none, MB. */
const ROOM = { maxOldGenerationSizeMb: 256 };

interface Waiting {
  input: AssessInput;
  done: (assessment: Assessment) => void;
  failed: (error: Error) => void;
}

export interface Reckoner {
  reckon(input: AssessInput): Promise<Assessment>;
  end(): Promise<void>;
}

/**
 * Assesses on a thread of its own, one trip at a time. One that takes too long, or too much, costs its own thread and is refused;
 * the next gets a fresh one.
 */
export function reckoner(patience: number = PATIENCE): Reckoner {
  const queue: Waiting[] = [];
  let worker: Worker | undefined;
  let busy: Waiting | undefined;
  let limit: NodeJS.Timeout | undefined;
  let last = 0;

  const settle = (end: (one: Waiting) => void) => {
    clearTimeout(limit);
    const one = busy;
    busy = undefined;
    if (one) end(one);
    next();
  };
  const tooMuch = () =>
    new Refusal('unfit', 'This trip can’t be reckoned: it is too long or has too many parts.');
  const lose = (was: Worker) => {
    if (worker !== was) return;
    worker = undefined;
    settle((one) => one.failed(tooMuch()));
  };
  const start = () => {
    const made = new Worker(workerFile('reckon-worker'), { resourceLimits: ROOM });
    made.unref();
    made.on('message', ({ id, assessment, fault }: Answer) => {
      if (id !== last) return;
      settle((one) => (assessment ? one.done(assessment) : one.failed(new Error(fault))));
    });
    made.on('error', () => lose(made));
    made.on('exit', () => lose(made));
    return made;
  };
  const next = () => {
    if (busy || queue.length === 0) return;
    busy = queue.shift()!;
    worker ??= start();
    const mine = worker;
    limit = setTimeout(() => void mine.terminate(), patience);
    last += 1;
    mine.postMessage({ id: last, input: busy.input });
  };
  return {
    reckon: (input) =>
      new Promise((done, failed) => {
        queue.push({ input, done, failed });
        next();
      }),
    end: async () => {
      await worker?.terminate();
    },
  };
}

interface Answer {
  id: number;
  assessment?: Assessment;
  fault?: string;
}
