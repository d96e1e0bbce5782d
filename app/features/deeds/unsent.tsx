import type { PlanView } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { useReader } from '../../data/settings';
import { T } from '../../ui/text';
import { useOutbox } from '../../data/hooks';
import { FINE } from './words';

/** Something said about a plan that is not through: the alarm goes by what the server has. */
export function Unsent({ plan }: { plan: Pick<PlanView, 'id' | 'times' | 'zone'> }) {
  const waits = useOutbox().some((s) => s.thing === plan.id);
  const says = saysTo(useReader(plan.zone));
  return waits ? (
    <T as="strong" role="status">
      {says(FINE.unsent, { overdue: plan.times.overdue })}
    </T>
  ) : null;
}
