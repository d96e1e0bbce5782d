import { View } from 'react-native';
import type { Run } from '@escale/core/model';
import type { Procedure } from '@escale/core/procedure';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { GO } from './words';
import { plainly } from '../../data/settings';

export type Hands = NonNullable<Run['hands']>;
export interface Member {
  id: string;
  name: string;
}

/** The hands that the steps ask for, each once. */
export const handsOf = ({ steps }: Procedure): string[] => [
  ...new Set(steps.flatMap((step) => (step.who ? [step.who] : []))),
];

/** Shared out as it usually is: the skipper at the wheel and the helm, the next one beside the boat. */
export function usualHands(procedure: Procedure, crew: readonly Member[]): Hands {
  const [first, second = first] = crew;
  return first
    ? handsOf(procedure).map((who) => ({ who, person: (who === 'Helper' ? second : first).id }))
    : [];
}

/** Who does what, and whose phone this is: on each phone its own steps, the others’ told. */
export function HandsOut({
  procedure,
  crew,
  hands,
  eye,
  share,
  look,
}: {
  procedure: Procedure;
  crew: readonly Member[];
  hands: Hands;
  eye: string | undefined;
  share: (hands: Hands) => void;
  look: (eye: string | undefined) => void;
}) {
  const names = crew.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        {GO.whoDoes}
      </T>
      {handsOf(procedure).map((who) => (
        <View key={who} style={{ gap: 2 }}>
          <T as="caps">{who}</T>
          <Choice
            label={plainly(GO.whoIs, { who })}
            options={names}
            value={hands.find((h) => h.who === who)?.person}
            onChange={(person) => person && share([...hands.filter((h) => h.who !== who), { who, person }])}
          />
        </View>
      ))}
      <T as="caps">{GO.whosePhone}</T>
      <Choice
        label={GO.whosePhone}
        options={[{ value: '', label: GO.everybodys }, ...names]}
        value={eye ?? ''}
        onChange={(id) => look(id === '' ? undefined : id)}
      />
    </View>
  );
}
