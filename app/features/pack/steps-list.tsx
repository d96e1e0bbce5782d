import { View } from 'react-native';
import { deadlinesOf, type DeadlineKind } from '@escale/core/floatplan';
import type { PlanTimes } from '@escale/core/model';
import type { Says } from '@escale/core/say';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { STEPS } from './words';

const told = (kind: DeadlineKind, [first, ...rest]: readonly [string, ...string[]], says: Says) =>
  kind === 'soon' || kind === 'late'
    ? STEPS.crew[kind]
    : kind === 'alarm'
      ? says(STEPS.all, { all: [first, ...rest] })
      : says(STEPS.ashore[kind === 'overdue' ? 'overdue' : 'check-in'], { first });

/** Who hears what, and when, if nobody says anything: the crew before anybody ashore. */
export function StepsList({
  times,
  contacts,
  sooner = [],
  says,
}: {
  times: PlanTimes;
  contacts: readonly string[];
  sooner?: readonly (keyof typeof STEPS.why)[];
  says: Says;
}) {
  const p = usePalette();
  const [first = STEPS.somebody, ...rest] = contacts;
  const all = deadlinesOf(times).filter(({ kind }) => kind !== 'check-in-due');
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={3}>
        {STEPS.title}
      </T>
      <View role="list" aria-label={STEPS.title}>
        {all.map(({ kind, at }) => (
          <View
            key={`${kind}${at}`}
            role="listitem"
            style={{
              flexDirection: 'row',
              gap: 10,
              borderBottomWidth: 1,
              borderColor: p.line,
              paddingVertical: 4,
            }}
          >
            <T as="label" style={{ width: 116 }}>
              {says(STEPS.at, { at })}
            </T>
            <T style={{ flex: 1 }}>{told(kind, [first, ...rest], says)}</T>
          </View>
        ))}
      </View>
      {sooner.length > 0 ? (
        <T as="soft">{says(STEPS.sooner, { why: sooner.map((reason) => STEPS.why[reason]) })}</T>
      ) : null}
      <T as="small">{contacts.length > 1 ? STEPS.inTurn : STEPS.alone}</T>
    </View>
  );
}
