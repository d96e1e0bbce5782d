import { addressed, keptAs } from './memory';

/** News of the server as they happen: one stream for all tabs of a browser, held by one of them, told to the others. */

type About = 'plans' | 'things';
const ABOUT: readonly About[] = ['plans', 'things'];

let live = false;
const watchers = new Set<() => void>();
/** Does news come by itself? Where it does, asking now and then is enough. */
export const isLive = () => live;
export function onLive(heard: () => void): () => void {
  watchers.add(heard);
  return () => void watchers.delete(heard);
}
function setLive(now: boolean): void {
  if (live === now) return;
  live = now;
  for (const each of watchers) each();
}

/** A browser gives up a stream that was refused; it is asked for again after this, ms. */
const AGAIN = 30_000;
type Word = { about: About } | { live: boolean };

/**
 * Listens until it is told not to. The tab that has the lock holds the stream; when it is shut the next one takes it up.
 * @param heard something changed: it is read anew
 */
export function listen(heard: (about: About) => void): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  const others =
    typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(keptAs('escale-news'));
  const say = (word: Word) => others?.postMessage(word);
  others?.addEventListener('message', ({ data }: MessageEvent<Word>) => {
    if ('about' in data) heard(data.about);
    else setLive(data.live);
  });
  const over = new AbortController();
  const hold = () =>
    new Promise<void>((done) => {
      let source: EventSource | undefined;
      let again: ReturnType<typeof setTimeout> | undefined;
      const open = () => {
        source = new EventSource(addressed('/api/stream'));
        source.addEventListener('open', () => stand(true));
        source.addEventListener('error', () => {
          stand(false);
          // Cut off, the browser comes back by itself; refused, it does not.
          if (source?.readyState === EventSource.CLOSED) again = setTimeout(open, AGAIN);
        });
        for (const about of ABOUT)
          source.addEventListener(about, () => {
            heard(about);
            say({ about });
          });
      };
      open();
      over.signal.addEventListener('abort', () => {
        clearTimeout(again);
        source?.close();
        stand(false);
        done();
      });
    });
  let cut = false;
  const stand = (now: boolean) => {
    setLive(now);
    say({ live: now });
    // What changed while nothing was heard is read as soon as something is heard again; a page that just opened has read all.
    if (now && cut) for (const about of ABOUT) heard(about);
    cut = !now;
  };
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks;
  // Without locks each tab holds a stream of its own.
  const held = locks ? locks.request(keptAs('escale-stream'), { signal: over.signal }, hold) : hold();
  held.catch((error: unknown) => {
    // Shut while it waited for its turn.
    if (!over.signal.aborted) console.warn('no stream of news:', error);
  });
  return () => {
    over.abort();
    others?.close();
  };
}
