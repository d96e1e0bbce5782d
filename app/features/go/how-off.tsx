import { View } from 'react-native';
import { civilDate } from '@escale/core/earth';
import { LETS_GO } from '@escale/core/model/lists';
import { useKind, useNow } from '../../data/hooks';
import { change } from '../../data/outbox';
import { Choice, optionsOf } from '../../ui/choice';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { GO } from './words';

const OPTIONS = optionsOf(LETS_GO);

/** How readily this trailer lets go is learnt here, and told at the next launch. */
export function HowOff() {
  const { trip, reader } = useTrip();
  const now = useNow();
  const held = useKind('boat').find((boat) => boat.id === trip.boat);
  if (!held?.doc.trailer) return null;
  const { letsGo, letsGoOn } = held.doc.trailer;
  const today = civilDate(now, reader.zone);
  const keep = (how: string | undefined) => {
    if (how === undefined) return;
    void change(
      held,
      [
        { op: 'set', pointer: '/trailer/letsGo', value: how },
        { op: 'set', pointer: '/trailer/letsGoOn', value: today },
        { op: 'set', pointer: '/basis', value: { ...held.doc.basis, '/trailer/letsGo': 'stated' } },
      ],
      'how she came off',
    );
  };
  return (
    <View style={{ gap: 6 }}>
      <T as="strong">{GO.howOff}</T>
      <Choice
        label={GO.howOff}
        options={OPTIONS}
        value={letsGoOn === today ? letsGo : undefined}
        onChange={keep}
      />
      {letsGoOn === today && letsGo ? <T as="soft">{GO.howOffKept}</T> : null}
    </View>
  );
}
