import { useMemo } from 'react';
import { saysTo, type Says } from '@escale/core/say';
import { useReader } from '../../data/settings';

/** Fills a simulator’s templates in the reader’s units; nothing in it has an hour of the day. */
export function useSaying(): Says {
  const reader = useReader('UTC');
  return useMemo(() => saysTo(reader), [reader]);
}
