/** What a pair of hands did, tick by tick: how often each input was held in a row. It is all that a run needs to be run again. */
export type Tape<Input> = [ticks: number, input: Input][];

/**
 * Writes one tick more at the tape’s end. Inputs are alike where they are equal, member by member.
 * @example record([[2, { pedal: 1 }]], { pedal: 1 }) // the tape is [[3, { pedal: 1 }]]
 */
export function record<Input extends object>(tape: Tape<Input>, input: Input): void {
  const last = tape.at(-1);
  if (last && alike(last[1], input)) last[0] += 1;
  else tape.push([1, input]);
}

const alike = (a: object, b: object) =>
  Object.keys(a).length === Object.keys(b).length &&
  Object.entries(a).every(([key, value]) => Object.is(value, (b as Record<string, unknown>)[key]));

/** How many ticks a tape has. */
export const ticksOf = (tape: Tape<unknown>): number => tape.reduce((sum, [ticks]) => sum + ticks, 0);

/** What was held at a tick, from 0; undefined behind the end. */
export function heldAt<Input>(tape: Tape<Input>, tick: number): Input | undefined {
  let left = tick;
  for (const [ticks, input] of tape) {
    if (left < ticks) return input;
    left -= ticks;
  }
  return undefined;
}

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
