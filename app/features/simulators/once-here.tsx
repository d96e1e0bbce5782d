import type { ReactNode } from 'react';
import { T } from '../../ui/text';
import { useThings } from '../../data/hooks';

/** A run begins once the shed is here: boats that come in while it lasts would begin it anew. */
export function OnceHere({ children }: { children: () => ReactNode }) {
  const { ready, error } = useThings();
  return ready || error ? children() : <T as="soft">{'One moment'}</T>;
}
