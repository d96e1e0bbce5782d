/** What a trip needs on the water, fetched once the first page stands: a tap on it then waits for nothing. */
const PARTS = [
  () => import('../trip/trip-layout'),
  () => import('../trip/answer-page'),
  () => import('../trip/phase-page'),
  () => import('../go/run-page'),
];
/** The first page is drawn and settled by then, ms. */
const SETTLED = 2500;

/** Addresses that need them at once: then they come side by side and not one after the other. */
const NEEDED = /^\/trips\/./;

export function warm(): void {
  if (typeof window === 'undefined') return;
  if (NEEDED.test(window.location.pathname)) return fetchParts();
  window.addEventListener('load', () => setTimeout(fetchParts, SETTLED));
}

function fetchParts(): void {
  for (const part of PARTS)
    // Without signal it is fetched when it is wanted; the service worker has it by then.
    part().catch((error: unknown) => console.warn('a part could not be fetched yet:', error));
}
