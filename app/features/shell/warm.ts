/** What a trip needs on the water. */
export const PARTS = [
  () => import('../trip/trip-layout'),
  () => import('../trip/answer-page'),
  () => import('../trip/phase-page'),
  () => import('../go/run-page'),
];
/** The first page is drawn and settled by then, ms. */
const SETTLED = 2500;

/** Addresses that need those parts at once: then they come side by side and not one after the other. */
const NEEDED = /^\/trips\/([^/]+)/;

/** The trip whose page is being opened. */
export const tripHere = (): string | undefined => NEEDED.exec(window.location.pathname)?.[1];

/** The parts of a trip are fetched once another first page stands: a tap on a trip then waits for nothing. */
export const fetchPartsLater = () =>
  window.addEventListener('load', () =>
    setTimeout(() => {
      for (const part of PARTS) fetchPart(part);
    }, SETTLED),
  );

export const fetchPart = (part: () => Promise<unknown>): void =>
  // Without signal it is fetched when it is wanted; the service worker has it by then.
  void part().catch((error: unknown) => console.warn('a part could not be fetched yet:', error));
