/** After how long something comes, within limits. */
export const WHEN = {
  once: 'at once',
  within: 'within {high:span}',
  any: 'at any time',
  after: 'after {low:span}',
  band: '{low:span} to {high:span}',
  from: 'from {low:span}',
  never: 'never',
  clock: '{at:clock}',
  day: '{at:day}',
  other: '{at:day} {at:clock}',
} as const;
