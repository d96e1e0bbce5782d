/** What a pair of hands did, tick by tick: how often each input was held in a row. It is all that a run needs to be run again. */
export type Tape<Input> = readonly (readonly [ticks: number, input: Input])[];

/**
 * The same tape with one tick more. Inputs are alike where they are equal, member by member.
 * @example recorded([[2, { pedal: 1 }]], { pedal: 1 }) // [[3, { pedal: 1 }]]
 */
export function recorded<Input extends object>(tape: Tape<Input>, input: Input): Tape<Input> {
  const last = tape.at(-1);
  return last && alike(last[1], input)
    ? [...tape.slice(0, -1), [last[0] + 1, last[1]]]
    : [...tape, [1, input]];
}

const alike = (a: object, b: object) =>
  Object.keys(a).length === Object.keys(b).length &&
  Object.entries(a).every(([key, value]) => Object.is(value, (b as Record<string, unknown>)[key]));

/** A tape run again from the start, by the same step: it comes to the same end. */
export function replayed<State, Input>(
  tape: Tape<Input>,
  start: State,
  step: (state: State, input: Input) => State,
): State {
  let state = start;
  for (const [ticks, input] of tape) for (let i = 0; i < ticks; i += 1) state = step(state, input);
  return state;
}
