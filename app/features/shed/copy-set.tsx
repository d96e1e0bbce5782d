import { useState } from 'react';
import { View } from 'react-native';
import { copiesOf } from '@escale/core/kit/locker';
import type { Boat, GearItem } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Select } from '../../ui/select';
import { T } from '../../ui/text';
import { create, newId } from '../../data/outbox';
import { plainly } from '../../data/settings';
import { LOCKER } from './words';

/** So many are copied in one go: each is a thing of its own that somebody has to look at. */
const MOST = 100;

/** What was found, once more: for somebody, for some boat, or for nobody yet. */
export function CopySet({
  set,
  owners,
  boats,
}: {
  set: GearItem[];
  owners: { value: string; label: string }[];
  boats: Pick<Boat, 'id'>[];
}) {
  const [to, setTo] = useState('');
  const [busy, setBusy] = useState(false);
  const [made, setMade] = useState<number>();
  const copy = async () => {
    setBusy(true);
    const boat = boats.some(({ id }) => id === to);
    const copies = copiesOf(set, to === '' ? {} : boat ? { fittedTo: to } : { owner: to }, newId);
    for (const one of copies) await create('gear', one, plainly(LOCKER.changed, { name: one.name }));
    setMade(copies.length);
    setBusy(false);
  };
  return (
    <View style={{ gap: 8, padding: 12 }}>
      <T as="soft">{LOCKER.copyWhy}</T>
      <Row>
        <Select label={LOCKER.copyFor} unsaid={LOCKER.nobody} options={owners} value={to} onChange={setTo} />
        <Button
          busy={busy}
          cant={set.length > MOST && plainly(LOCKER.copyMost, { most: MOST })}
          onPress={() => void copy()}
        >
          {plainly(LOCKER.copyNow, { n: set.length })}
        </Button>
      </Row>
      <View aria-live="polite">
        {made === undefined ? null : <T as="strong">{plainly(LOCKER.copied, { n: made })}</T>}
      </View>
    </View>
  );
}
