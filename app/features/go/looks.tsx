import { missedChecks } from '@escale/core/procedure';
import { MS } from '@escale/core/units';
import { useNow } from '../../data/hooks';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { useChecks } from './halt-check';
import { GO } from './words';

/** Which short looks at halts were left out, once the trip has begun. */
export function Looks() {
  const now = useNow(MS.minute);
  const { shed, says, assessment } = useTrip();
  const { checks, runs } = useChecks();
  const { schedule } = assessment;
  if (!schedule || checks.length === 0 || now < checks[0].at) return null;
  const missed = missedChecks(checks, runs, now).map(({ place, procedure }) =>
    says(procedure === 'halt-arrive' ? GO.missedArriving : GO.missedLeaving, {
      place: shed.places.find((pl) => pl.id === place)?.name ?? GO.halt,
    }),
  );
  if (missed.length > 0) return <T>{says(GO.looksMissed, { which: missed })}</T>;
  return now >= checks.at(-1)!.at ? <T as="soft">{says(GO.looksTaken, { n: checks.length })}</T> : null;
}
