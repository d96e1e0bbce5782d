import type { JobName, Jobs, Piece, Working } from './jobs';

/** How long a job works before it looks whether it is still wanted, ms. */
const SLICE = 12;
const turn = () => new Promise<void>((done) => setTimeout(done, 0));

/**
 * The one protocol: a job by name, pieces as they come, cancelled by a newer generation. The same function runs in a worker
 * and, where there is none, in the page.
 */
export function runnerOf(jobs: { [N in JobName]?: Working<N> }) {
  /** The newest generation of each job: older ones stop at their next turn. */
  const newest = new Map<JobName, number>();
  /** @returns false when a newer one took its place before it was through */
  return async <N extends JobName>(
    name: N,
    input: Jobs[N]['input'],
    generation: number,
    onPiece: (piece: Piece<Jobs[N]['part']>) => unknown,
  ): Promise<boolean> => {
    const work = jobs[name] as Working<N> | undefined;
    if (!work) throw new RangeError(`no job is called ${name} here`);
    newest.set(name, Math.max(generation, newest.get(name) ?? 0));
    const outdated = () => newest.get(name) !== generation;
    let since = performance.now();
    for (const piece of work(input)) {
      const due = performance.now() - since >= SLICE;
      // What has a part is told; progress alone is told once a slice.
      if (piece.part !== undefined || due) await onPiece(piece);
      if (!due) continue;
      await turn();
      if (outdated()) return false;
      since = performance.now();
    }
    return !outdated();
  };
}
