// What closing and looking back say with figures in it.
export const CLOSE = {
  said: 'You said that everyone is ashore.',
  saidStayed: 'You said that nobody went.',
  ended: 'The plan ended {at:day} {at:clock}.',
  none: 'No float plan is open for this trip.',
  due: 'Due home {home:day} {home:clock}; not back, your contacts are told at {overdue:day} {overdue:clock}.',
} as const;
