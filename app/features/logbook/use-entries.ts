import { useMemo } from 'react';
import { entriesOf, type Entry } from '@escale/core/logbook/entries';
import { useThings } from '../../data/hooks';

/** All trips that are done or told of, the newest first. */
export function useEntries(): Entry[] {
  const { shed, trips } = useThings();
  return useMemo(() => entriesOf({ ...shed, trips }), [shed, trips]);
}
