import { useState } from 'react';
import { View } from 'react-native';
import { civilDate } from '@escale/core/earth';
import type { Debrief } from '@escale/core/model';
import { Button } from '../../ui/button';
import { later } from '../../ui/later';
import { T } from '../../ui/text';
import { useKind, useNow } from '../../data/hooks';
import { MS } from '@escale/core/units';
import { change, create, newId } from '../../data/outbox';
import { withProcedures } from '../../data/procedures';
import { ThingForm } from '../forms/thing-form';
import { Looks } from '../go/looks';
import { useTrip } from '../trip/use-trip';

const MissView = later(() => withProcedures(import('../whatif/pages')).then((m) => m.MissView));

/** What was forgotten and what broke. What stands here comes back, first, on the next packing list. */
export function DebriefSection() {
  const { trip, reader } = useTrip();
  const now = useNow(MS.minute);
  const held = useKind('debrief').find((d) => d.doc.trip === trip.id);
  const [begun, setBegun] = useState(false);
  const begin = () => {
    setBegun(true);
    void create(
      'debrief',
      { id: newId(), trip: trip.id, on: civilDate(now, reader.zone), forgotten: [], broken: [] } as Debrief,
      'a debrief',
    );
  };
  if (!held) {
    return (
      <View style={{ gap: 10 }}>
        <Looks />
        <T as="soft">
          Three minutes while you still know it. What was forgotten stands first on the list of your next
          trip, and the steps ask for it.
        </T>
        <Button kind="main" busy={begun} onPress={begin}>
          Begin
        </Button>
      </View>
    );
  }
  return (
    <>
      <Looks />
      <ThingForm
        type="debrief"
        doc={held.doc}
        only={['forgotten', 'broken', 'note']}
        onPatch={(patch) => void change(held, patch, 'the debrief')}
      />
      <MissView held={held} />
    </>
  );
}
