import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { whatChanges, type Asked } from '@escale/core/trip';
import { Button } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { KIT } from './words';
import { plainly } from '../../data/settings';

const LAYER: Record<Asked['layer'], string> = { law: 'law', advice: 'advised', own: 'own' };
const named = (list: Asked[]) =>
  list
    .map(({ title, layer, times }) =>
      times > 1
        ? plainly(KIT.askedTimes, { title, layer: LAYER[layer], n: times })
        : plainly(KIT.asked, { title, layer: LAYER[layer] }),
    )
    .join(', ');

/** How the requirements would be by night, with one more, in the other boat, further out. Reckoned when it is opened. */
export function WhatChanges() {
  const [open, setOpen] = useState(false);
  return (
    <View style={{ gap: 8 }}>
      <Button onPress={() => setOpen(!open)}>{open ? 'Close what changes it' : 'What changes it?'}</Button>
      {open ? <Table /> : null}
    </View>
  );
}

function Table() {
  const p = usePalette();
  const { input } = useTrip();
  const changes = useMemo(() => whatChanges(input), [input]);
  return (
    <View role="list" aria-label="What changes the requirements">
      {changes.map((c) => (
        <View
          key={c.id}
          role="listitem"
          style={{ borderTopWidth: 1, borderColor: p.line, paddingVertical: 8, gap: 2 }}
        >
          <T as="strong">{c.title}</T>
          {c.comes.length > 0 ? <T>{plainly(KIT.comes, { what: named(c.comes) })}</T> : null}
          {c.goes.length > 0 ? <T as="soft">{plainly(KIT.goes, { what: named(c.goes) })}</T> : null}
          {c.comes.length + c.goes.length === 0 ? <T as="soft">The same is asked for.</T> : null}
        </View>
      ))}
    </View>
  );
}
