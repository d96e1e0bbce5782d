import { useEffect } from 'react';
import { View } from 'react-native';
import type { PlanState, PlanView } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { useReader } from '../../data/settings';
import { CardLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH } from '../../ui/tokens';
import { isOpen } from '@escale/core/floatplan';
import { useNow, usePlans, useThings } from '../../data/hooks';
import { setBadge } from './reminders';
import { OVERDUE } from './words';

/** The states in which somebody is or will be looked for. */
const LOUD: ReadonlySet<PlanState> = new Set(['late', 'overdue', 'alarm']);
const SAID: Partial<Record<PlanState, keyof typeof OVERDUE>> = {
  late: 'late',
  overdue: 'overdue',
  alarm: 'alarm',
};

const MINUTE = 60_000;

/** What the server said, or what the hour says where no word has come since: without signal the time runs on. */
function stateAt({ state, times }: PlanView, now: number): PlanState {
  if (!isOpen(state) || state === 'alarm' || now < times.home) return state;
  return now < times.overdue ? 'late' : 'overdue';
}

/** A plan that ran late stands over every page of this device, until everyone is known to be ashore. */
export function Overdue() {
  const now = useNow(MINUTE);
  const { ready, error } = useThings();
  const plans = usePlans() ?? [];
  const known = ready || error !== undefined;
  // Whose clock runs comes with the things: until they are here, or can't be had, this device's may be the wrong one.
  const loud = (known ? plans : []).flatMap((plan) => {
    const state = stateAt(plan, now);
    return LOUD.has(state) ? [{ ...plan, state }] : [];
  });
  const n = loud.length;
  useEffect(() => {
    if (known) setBadge(n);
  }, [known, n]);
  return n === 0 ? null : (
    <View role="alert">
      {loud.map((plan) => (
        <Line key={plan.id} plan={plan} />
      ))}
    </View>
  );
}

function Line({ plan }: { plan: PlanView }) {
  const p = usePalette();
  const says = saysTo(useReader(plan.zone));
  const at = plan.state === 'late' ? plan.times.home : plan.times.overdue;
  return (
    <CardLink
      href={`/watch/${plan.id}`}
      style={{ minHeight: TOUCH, justifyContent: 'center', paddingHorizontal: 14, backgroundColor: p.call }}
    >
      <T as="strong" color={p.onCall}>
        {says(OVERDUE[SAID[plan.state] ?? 'late'], { title: plan.title, at })}
      </T>
    </CardLink>
  );
}
