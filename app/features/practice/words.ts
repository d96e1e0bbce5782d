// What the practice page says with figures in it.
export const PRACTICE = {
  steps: '{n#step|steps}.',
  walked: 'Last walked through {at:day}',
  done: 'Last done {at:day}',
  others: 'Others, {n}',
  never: 'Never walked through yet',
} as const;
