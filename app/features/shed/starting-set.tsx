import { useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import type { GearItem } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { useKind } from '../../data/hooks';
import { create, newId } from '../../data/outbox';
import { CATALOGUE } from '@escale/core/kit';
import { STARTING_SETS } from '@escale/core/kit/starting-sets';
import { SHED } from './words';
import { plainly } from '../../data/settings';

/** A locker to start from: what a kind of trip carries and is not here yet, each to be looked at before it counts. */
export function StartingSet() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [set, setSet] = useState<string>();
  const gear = useKind('gear');
  const have = new Set(gear.map((h) => h.doc.kind));
  const chosen = STARTING_SETS.find((s) => s.id === set);
  const missing = chosen ? CATALOGUE.kinds.filter((k) => chosen.kinds.includes(k.id) && !have.has(k.id)) : [];
  const add = async () => {
    for (const kind of missing) {
      const item: GearItem = {
        id: newId(),
        kind: kind.id,
        name: kind.title,
        count: 1,
        stowage: kind.supplies.find((s) => s.within)?.within ?? 'in-reach',
        state: 'unknown',
      };
      await create('gear', item, kind.title);
    }
    setOpen(false);
    router.push('/shed/look');
  };
  if (!open)
    return (
      <Row>
        <Button kind="quiet" onPress={() => setOpen(true)}>
          Start from a set
        </Button>
      </Row>
    );
  return (
    <View style={{ gap: 8 }}>
      <Choice
        label="Kind of trip"
        options={STARTING_SETS.map((s) => ({ value: s.id, label: s.title }))}
        value={set}
        onChange={setSet}
      />
      {chosen ? (
        <T as="soft">
          {missing.length === 0
            ? SHED.allHere
            : plainly(SHED.toAdd, { what: missing.map((k) => k.title.toLowerCase()).join(', ') })}
        </T>
      ) : null}
      <Row>
        <Button
          kind="main"
          cant={missing.length === 0 && (chosen ? SHED.allHere : SHED.setFirst)}
          onPress={() => void add()}
        >
          {plainly(SHED.add, { n: missing.length })}
        </Button>
        <Button onPress={() => setOpen(false)}>Close</Button>
      </Row>
    </View>
  );
}
