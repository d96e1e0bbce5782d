import { useEffect, useRef } from 'react';

/** Every simulator steps in the same small time, whatever the screen does: a run can then be run again. Seconds. */
export const STEP = 1 / 60;
/** A screen that was away owes no more than this, s: nobody drives on while they look elsewhere. */
const MOST_OWED = 0.1;

/**
 * The one loop: while it is on it steps as often as time went by, and draws once a frame. Neither goes through React.
 * @param pace how many seconds go by in one
 */
export function useLoop(on: boolean, step: () => void, draw: () => void, pace = 1): void {
  const deeds = useRef({ step, draw });
  useEffect(() => {
    deeds.current = { step, draw };
  });
  useEffect(() => {
    if (!on) return undefined;
    let last: number | undefined;
    let owed = 0;
    let next = requestAnimationFrame(function frame(now) {
      owed += Math.min(MOST_OWED, last === undefined ? 0 : (now - last) / 1000) * pace;
      last = now;
      for (; owed >= STEP; owed -= STEP) deeds.current.step();
      deeds.current.draw();
      next = requestAnimationFrame(frame);
    });
    return () => cancelAnimationFrame(next);
  }, [on, pace]);
}
