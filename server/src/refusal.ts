/** Why something that was asked can't be done. What HTTP calls it is the affair of `api/`. */
export type Why =
  /** What was named is not here. */
  | 'absent'
  /** It quarrels with what is here. */
  | 'conflict'
  /** It is understood and can't be so. */
  | 'unfit'
  /** Not now; asked again later it may. */
  | 'later';

/** A clear no, with the lines a person can act on in `faults`. Nothing was changed. */
export class Refusal extends Error {
  constructor(
    readonly why: Why,
    readonly title: string,
    readonly faults: string[] = [],
    readonly more: Record<string, unknown> = {},
  ) {
    super(title);
  }
}
