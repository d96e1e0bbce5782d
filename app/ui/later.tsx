import { useEffect, useState, type ComponentType } from 'react';
import { T } from './text';

type Part<P> = { is: ComponentType<P> } | { failed: unknown };

/**
 * A part that is fetched when it is first opened, so that the first screen is not kept waiting for it. The
 * service worker has it on the device already. A part that is here is drawn at once: React's own `lazy` holds what
 * follows a first wait back for three tenths of a second, and a page of a trip has three of them one inside the other.
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  let here: ComponentType<P> | undefined;
  return function Later(props: P) {
    const [part, setPart] = useState<Part<P> | undefined>(here && { is: here });
    useEffect(() => {
      if (part) return;
      let gone = false;
      const put = (next: Part<P>) => {
        if (!gone) setPart(next);
      };
      load().then(
        (is) => {
          here = is;
          put({ is });
        },
        (failed: unknown) => put({ failed }),
      );
      return () => {
        gone = true;
      };
    }, [part]);
    if (!part)
      return (
        <T as="soft" style={{ padding: 14 }}>
          One moment
        </T>
      );
    // What could not be fetched is told by the guard around it, which offers to try again.
    if ('failed' in part) throw part.failed;
    return <part.is {...props} />;
  };
}
