import type { PlanView } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { useReader } from '../../data/settings';
import { MS } from '@escale/core/units';
import { Button } from '../../ui/button';
import { Confirm } from '../../ui/confirm';
import { ASHORE } from './words';

/** Who leaves more than this before the plan has them leave is asked whether it is so, ms. */
const EARLY = 2 * MS.hour;

/** “We have left”, which is asked about once when it comes long before its time. */
export function LeftButton({
  plan,
  now,
  busy,
  wet = false,
  onLeft,
}: {
  plan: Pick<PlanView, 'times' | 'zone'>;
  now: number;
  busy?: boolean;
  wet?: boolean;
  onLeft: () => void;
}) {
  const { leave } = plan.times;
  const says = saysTo(useReader(plan.zone));
  const shape = { wet, ...(busy === undefined ? {} : { busy }) };
  return leave - now > EARLY ? (
    <Confirm
      {...shape}
      title={ASHORE.early}
      follows={says(ASHORE.earlyFollows, { leave })}
      yes={ASHORE.earlyYes}
      no={ASHORE.no}
      onYes={onLeft}
    >
      We have left
    </Confirm>
  ) : (
    <Button {...shape} onPress={onLeft}>
      We have left
    </Button>
  );
}
