import { useEffect, useState } from 'react';
import type { JobName, Jobs, Piece } from '../workers/jobs';
import type { run as Run } from '../workers/run';

/** Without a worker the same function runs here, loaded when it is first wanted. */
let runner: typeof Run = async (...job) => (await import('../workers/run')).run(...job);
export function runIn(other: typeof Run): void {
  runner = other;
}

let generation = 0;
/** Run a job. A newer one of the same name takes the place of an older. @returns false when that happened */
export function run<N extends JobName>(
  name: N,
  input: Jobs[N]['input'],
  onPiece: (piece: Piece<Jobs[N]['part']>) => void,
): Promise<boolean> {
  generation += 1;
  return runner(name, input, generation, onPiece);
}

export interface Running<P> {
  /** What came so far, for the input at hand. */
  parts: P[];
  done: number;
  of: number;
  /** It could not be reckoned: said where its answer would stand. */
  failed?: true;
}
const NOTHING = { parts: [], done: 0, of: 0 };

/**
 * A job that follows its input: it starts when the input has rested, and what an older input gave is never shown under a new
 * one. @param input keeps its identity while nothing changed @param rest ms
 */
export function useJob<N extends JobName>(
  name: N,
  input: Jobs[N]['input'] | undefined,
  rest = 0,
): Running<Jobs[N]['part']> {
  const [held, setHeld] = useState<{ input: object; state: Running<Jobs[N]['part']> }>();
  useEffect(() => {
    if (!input) return;
    let wanted = true;
    let state: Running<Jobs[N]['part']> = NOTHING;
    const show = (next: Running<Jobs[N]['part']>) => {
      if (!wanted) return;
      state = next;
      setHeld({ input, state });
    };
    const timer = setTimeout(() => {
      run(name, input, ({ done, of, part }) => {
        show({ parts: part === undefined ? state.parts : [...state.parts, part], done, of });
      }).catch((error: unknown) => {
        console.error(`${name} could not be reckoned`, error);
        show({ ...state, failed: true });
      });
    }, rest);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [name, input, rest]);
  return held && held.input === input ? held.state : NOTHING;
}
