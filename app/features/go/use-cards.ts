import { useMemo } from 'react';
import { proceduresFor, type Procedure } from '@escale/core/procedure';
import { useTrip } from '../trip/use-trip';
import { procedures } from '../../data/procedures';

/** The cards of trouble that suit this trip, made for its facts. */
export function useCards(): Procedure[] {
  const { prepared, assessment } = useTrip();
  return useMemo(() => {
    const { world, steps } = prepared.match(assessment.leave);
    return proceduresFor(
      procedures().filter((row) => row.group === 'trouble'),
      world,
      steps,
    );
  }, [prepared, assessment.leave]);
}
