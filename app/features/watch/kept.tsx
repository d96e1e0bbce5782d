import { useState } from 'react';
import { View } from 'react-native';
import type { KeptPlan } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { MS, spanText } from '@escale/core/units';
import { useKept, useNow } from '../../data/hooks';
import { useReader } from '../../data/settings';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { SheetView } from '../pack/float-plan-section';
import { WATCH } from './words';

/** Plans that others shared with this household: looked on at, the soonest first; nothing can be done to them here. */
export function Kept({ state }: { state: Record<string, string> }) {
  if ((useKept()?.plans ?? []).length === 0) return null;
  return (
    <View style={{ gap: 10 }}>
      <T as="section" heading={2}>
        {WATCH.kept}
      </T>
      <Page from={0} state={state} />
    </View>
  );
}

/** One page, and the next when it is asked for. */
function Page({ from, state }: { from: number; state: Record<string, string> }) {
  const page = useKept(from);
  const [wanted, setWanted] = useState(false);
  return (
    <>
      {(page?.plans ?? []).map((plan) => (
        <One key={plan.id} plan={plan} stands={state[plan.state] ?? plan.state} />
      ))}
      {page?.next === undefined ? null : wanted ? (
        <Page from={page.next} state={state} />
      ) : (
        <Row>
          <Button onPress={() => setWanted(true)}>{WATCH.keptMore}</Button>
        </Row>
      )}
    </>
  );
}

function One({ plan, stands }: { plan: KeptPlan; stands: string }) {
  const p = usePalette();
  const now = useNow();
  const says = saysTo(useReader(plan.zone));
  const loud = plan.state === 'overdue' || plan.state === 'alarm';
  const names = plan.contacts.map((c) => c.name);
  return (
    <View style={{ borderWidth: loud ? 3 : 1, borderColor: loud ? p.call : p.line, padding: 12, gap: 2 }}>
      <T as="strong">{says(WATCH.keptOf, { of: plan.of, title: plan.title })}</T>
      <T as={loud ? 'strong' : 'body'}>{stands}</T>
      {plan.nextDeadline ? <T as="figure">{spanText((plan.nextDeadline.at - now) / MS.second)}</T> : null}
      <T as="label">{says(WATCH.keptHome, { home: plan.times.home, overdue: plan.times.overdue })}</T>
      <T as="small">{names.length > 0 ? says(WATCH.keptContact, { names }) : WATCH.noContact}</T>
      <Fold title={WATCH.keptSheet}>
        <SheetView sheet={plan.sheet} />
      </Fold>
    </View>
  );
}
