import { useMemo } from 'react';
import { proceduresFor, PROCEDURES, type Procedure } from '@escale/core/procedure';
import { useTrip } from '../trip/use-trip';

const CARDS = PROCEDURES.filter((row) => row.group === 'trouble');

/** The cards of trouble that suit this trip, made for its facts. */
export function useCards(): Procedure[] {
  const { prepared, assessment } = useTrip();
  return useMemo(() => {
    const { world, steps } = prepared.match(assessment.leave);
    return proceduresFor(CARDS, world, steps);
  }, [prepared, assessment.leave]);
}
