/** Is a finger or a mouse button down, anywhere on the page? */
let down = false;
if (typeof window !== 'undefined') {
  const set = (to: boolean) => () => {
    down = to;
  };
  window.addEventListener('pointerdown', set(true), true);
  for (const end of ['pointerup', 'pointercancel']) window.addEventListener(end, set(false), true);
}

/**
 * Resolves when no tap is under way. A field is left by the tap on a button below it: were its error to come or go before the
 * finger is up, the button would move from under it and the tap would be lost.
 */
export function afterTap(): Promise<void> {
  if (!down) return Promise.resolve();
  return new Promise((done) => {
    const settle = () => {
      for (const end of ['pointerup', 'pointercancel']) window.removeEventListener(end, settle);
      // The click comes after the finger is up.
      setTimeout(done, 0);
    };
    for (const end of ['pointerup', 'pointercancel']) window.addEventListener(end, settle);
  });
}
