import { withProcedures } from '../../data/procedures';

/** What a trip needs on the water, by the address that opens it. */
const PARTS: { at: RegExp; load: () => Promise<unknown> }[] = [
  { at: /^\/trips\/[^/]+/, load: () => import('../phases/trip-layout') },
  { at: /^\/trips\/[^/]+\/?$/, load: () => import('../phases/answer-page') },
  { at: /^\/trips\/[^/]+\/(plan|pack|go|home)/, load: () => import('../phases/phase-page') },
  { at: /^\/trips\/[^/]+\/trouble\/(?!wrong)/, load: () => withProcedures(import('../trouble/card-page')) },
  { at: /^\/trips\/[^/]+\/trouble\/wrong/, load: () => import('../trouble/wrong-page') },
  { at: /^\/trips\/[^/]+\/go/, load: () => withProcedures(import('../go/procedure-sections')) },
  { at: /^\/trips\/[^/]+\/go\/under-way/, load: () => withProcedures(import('../go/under-way')) },
  { at: /^\/trips\/[^/]+\/go\/trouble/, load: () => import('../trouble/trouble-section') },
  { at: /^\/trips\/[^/]+\/run\//, load: () => withProcedures(import('../go/run-page')) },
];
/** The first page is drawn and settled by then, ms. */
const SETTLED = 2500;

const here = () => window.location.pathname;

/** The trip whose page is being opened. */
export const tripHere = (): string | undefined => /^\/trips\/([^/]+)/.exec(here())?.[1];

/** The parts of this address, to be fetched at once: then they come side by side and not one after the other. */
export const partsHere = (): (() => void)[] =>
  PARTS.filter(({ at }) => at.test(here())).map(
    ({ load }) =>
      () =>
        fetchPart(load),
  );

/** All of them are fetched once the first page stands: a tap on a trip then waits for nothing. */
export const fetchRestLater = (): void => {
  const rest = () => setTimeout(() => PARTS.forEach(({ load }) => fetchPart(load)), SETTLED);
  if (document.readyState === 'complete') rest();
  else window.addEventListener('load', rest);
};

const fetchPart = (load: () => Promise<unknown>): void =>
  // Without signal it is fetched when it is wanted; the service worker has it by then.
  void load().catch((error: unknown) => console.warn('a part could not be fetched yet:', error));
