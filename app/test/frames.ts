import { act } from '@testing-library/react';

// A screen without a screen: frames come when a test asks for them, and a canvas notes what was drawn on it.

let queue: FrameRequestCallback[] = [];
let clock = 0;

/** What was asked of any canvas since the last start, by the name of the call. */
export const drawn: string[] = [];

const pencil = new Proxy({} as Record<string, unknown>, {
  get: (kept, name: string) => kept[name] ?? (() => void drawn.push(name)),
  set: (kept, name: string, value) => {
    kept[name] = value;
    return true;
  },
});

/** Takes frames and canvases over; call it before each test. */
export function fakeFrames(): void {
  queue = [];
  clock = 0;
  drawn.length = 0;
  globalThis.requestAnimationFrame = (callback) => queue.push(callback);
  globalThis.cancelAnimationFrame = () => void (queue = []);
  HTMLCanvasElement.prototype.getContext = (() => pencil) as never;
  (globalThis as { Path2D?: unknown }).Path2D ??= class {};
}

/** So many seconds go by, sixty frames each. */
export async function frames(seconds: number): Promise<void> {
  await act(async () => {
    for (let i = 0; i < seconds * 60; i += 1) {
      clock += 1000 / 60;
      const now = queue;
      queue = [];
      now.forEach((callback) => callback(clock));
    }
  });
}
