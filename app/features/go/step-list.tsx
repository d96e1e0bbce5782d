import { View } from 'react-native';
import type { Procedure, stepStates } from '@escale/core/procedure';
import { phrase, render } from '@escale/core/say';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { GO } from './words';
import { plainly } from '../../data/settings';

/** All steps to read, each with why, what goes wrong and who does it; what is ticked is marked. */
export function StepList({
  procedure,
  states,
}: {
  procedure: Procedure;
  states: ReturnType<typeof stepStates>;
}) {
  const p = usePalette();
  const { reader } = useTrip();
  return (
    <View role="list" aria-label={procedure.title}>
      {procedure.steps.map((step) => (
        <View
          role="listitem"
          key={step.id}
          style={{
            flexDirection: 'row',
            gap: 10,
            paddingVertical: 6,
            borderBottomWidth: 1,
            borderColor: p.line,
          }}
        >
          <T as="strong" style={{ width: 26 }}>
            {states.get(step.id)?.done ? '✓' : step.n}
          </T>
          <View style={{ flex: 1 }}>
            <T>{render(step.what, reader)}</T>
            <T as="small">
              {render(step.second ? phrase('procedure.twice', { why: step.why }) : step.why, reader)}
            </T>
            {step.danger ? (
              <T as="small" style={{ fontWeight: '600' }}>
                {plainly(GO.danger, { what: render(step.danger, reader) })}
              </T>
            ) : null}
            {step.who ? <T as="label">{step.who}</T> : null}
          </View>
        </View>
      ))}
    </View>
  );
}

/** Where practitioners differ: the question and each side. */
export const Schools = ({ procedure: { schools = [] } }: { procedure: Pick<Procedure, 'schools'> }) => (
  <>
    {schools.map((school) => (
      <View key={school.question} style={{ gap: 2 }}>
        <T as="strong">{school.question}</T>
        {school.sides.map((side) => (
          <T key={side} as="soft">
            {side}
          </T>
        ))}
      </View>
    ))}
  </>
);
