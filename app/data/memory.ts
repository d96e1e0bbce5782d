/**
 * Which memory this tab works in: the household's, or the demo's, which is thrown away. Everything that is kept on the device is
 * kept apart by it.
 */
const KEY = 'escale-memory';

/** Is this tab in the demo? It stays there over reloads, until it is left or closed. */
export const inDemo: boolean =
  typeof sessionStorage !== 'undefined' && sessionStorage.getItem(KEY) === 'demo';

/** The name of what is kept on the device (store, lock, channel), for the memory at hand. */
export const keptAs = (name: string): string => (inDemo ? `${name}-demo` : name);

/** What each request says of the memory it is meant for. */
export const MEMORY: Readonly<Record<string, string>> = inDemo ? { 'X-Escale-Memory': 'demo' } : {};

/** An address that the browser itself follows, for the memory at hand. */
export const addressed = (path: string): string => (inDemo ? `${path}?memory=demo` : path);

/** Into the demo: everything is read anew. */
export function enterDemo(): void {
  sessionStorage.setItem(KEY, 'demo');
  window.location.assign('/');
}

/** Out of the demo, which is gone with it. */
export async function leaveDemo(): Promise<void> {
  sessionStorage.removeItem(KEY);
  // What the server had of it is thrown away; without signal it goes with the server.
  await fetch('/api/demo/end', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: '{}',
  }).catch((error: unknown) => console.warn('the demo ends with the server:', error));
  indexedDB.deleteDatabase('escale-demo');
  window.location.assign('/');
}
