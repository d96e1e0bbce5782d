/** The one clock port of the server. Core never reads a clock; routes and the watcher ask this. */
export interface Clock {
  now(): number;
  /** Only a simulated clock can be set: for tests, pictures and trying out what happens overdue. */
  set?(at: number): void;
}

export const systemClock: Clock = { now: () => Date.now() };

/** A clock that starts at an instant and runs on, or stands still. */
export function simulatedClock(start: number, running: boolean): Clock {
  let base = start,
    since = Date.now();
  return {
    now: () => (running ? base + Date.now() - since : base),
    set: (at) => {
      base = at;
      since = Date.now();
    },
  };
}
