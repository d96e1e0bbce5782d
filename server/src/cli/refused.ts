/** A call or a file that can't be taken: said in a line each, no stack. */
export class Refused extends Error {
  constructor(
    readonly lines: string[],
    readonly code: 1 | 2 = 1,
  ) {
    super(lines.join('\n'));
  }
}
