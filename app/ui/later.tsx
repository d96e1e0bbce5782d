import { lazy, Suspense, type ComponentType } from 'react';
import { T } from './text';

/**
 * A part that is fetched when it is first opened, so that the first screen is not kept waiting for it. The
 * service worker has it on the device already.
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Part = lazy(async (): Promise<{ default: ComponentType<P> }> => ({ default: await load() }));
  return function Later(props: P) {
    return (
      <Suspense
        fallback={
          <T as="soft" style={{ padding: 14 }}>
            One moment
          </T>
        }
      >
        <Part {...props} />
      </Suspense>
    );
  };
}
