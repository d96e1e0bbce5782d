import { View } from 'react-native';
import { endedWith, REOPEN_WITHIN } from '@escale/core/floatplan';
import type { PlanView } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { useReader } from '../../data/settings';
import { MS } from '@escale/core/units';
import { Confirm } from '../../ui/confirm';
import { T } from '../../ui/text';
import { useNow, useOutbox } from '../../data/hooks';
import { deed, newId } from '../../data/outbox';
import { TAKE_BACK } from './words';

/** For a while after an ending: it was none, and the watch goes on. */
export function TakeBack({ plan }: { plan: PlanView }) {
  const now = useNow(MS.minute);
  const busy = useOutbox().some((s) => s.thing === plan.id && !s.refused);
  const says = saysTo(useReader(plan.zone));
  const ended = endedWith(plan.events, now);
  if (!ended) return null;
  return (
    <View style={{ gap: 4 }}>
      <T as="soft">{says(TAKE_BACK.until, { until: ended.at + REOPEN_WITHIN })}</T>
      <Confirm
        busy={busy}
        title={TAKE_BACK.title}
        follows={says(TAKE_BACK.follows, { home: plan.times.home, overdue: plan.times.overdue })}
        yes={TAKE_BACK.yes}
        no={TAKE_BACK.no}
        onYes={() => void takeBack(plan, now)}
      >
        {TAKE_BACK.button}
      </Confirm>
    </View>
  );
}

export const takeBack = (plan: Pick<PlanView, 'id'>, now: number) =>
  deed(plan.id, { id: newId(), kind: 'reopened', madeAt: new Date(now).toISOString() }, TAKE_BACK.said);
