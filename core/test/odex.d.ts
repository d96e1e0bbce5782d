/** What the tests use of odex; its own sources do not pass our compiler. */
export class Solver {
  constructor(n: number);
  absoluteTolerance: number;
  relativeTolerance: number;
  solve(f: (t: number, y: number[]) => number[], from: number, y0: number[], until: number): { y: number[] };
}
