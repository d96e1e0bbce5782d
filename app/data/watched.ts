/** A value that parts of a page follow. */
export function watched<T>(first: T) {
  let value = first;
  const watchers = new Set<() => void>();
  return {
    now: (): T => value,
    on: (watcher: () => void): (() => void) => {
      watchers.add(watcher);
      return () => watchers.delete(watcher);
    },
    set: (next: T): void => {
      if (next === value) return;
      value = next;
      for (const watcher of watchers) watcher();
    },
  };
}
