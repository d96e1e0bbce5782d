import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { CATALOGUE } from '@escale/core/kit';
import { locker, LOCKER_STATES, type LockerState } from '@escale/core/kit/locker';
import { STOWAGE, type Stowage } from '@escale/core/model/lists';
import { Button, Row } from '../../ui/button';
import { Choice, optionsOf } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { Empty, Page, useWide } from '../../ui/page';
import { Select } from '../../ui/select';
import { T } from '../../ui/text';
import { useKind, useThings, useToday } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { CopySet } from './copy-set';
import { LockerRows } from './locker-rows';
import { LockerTable } from './locker-table';
import { LOCKER } from './words';

/** So many are drawn at first, and so many more by a press: a phone draws no five hundred rows at once. */
const AT_ONCE = 60;

/** The whole locker: found by words, by how it is, where it travels and whose it is; edited where it stands; copied as a set. */
export function LockerPage() {
  const wide = useWide();
  const today = useToday();
  const { shed, ready } = useThings();
  const held = useKind('gear');
  const [find, setFind] = useState('');
  const [state, setState] = useState<LockerState>('all');
  const [where, setWhere] = useState('');
  const [whose, setWhose] = useState('');
  const [most, setMost] = useState(AT_ONCE);
  // What is typed stands at once; the rows follow.
  const asked = useDeferredValue(find);
  const all = useMemo(
    () => locker({ gear: shed.gear, catalogue: CATALOGUE, people: shed.people, boats: shed.boats, today }),
    [shed.gear, shed.people, shed.boats, today],
  );
  const found = useMemo(() => {
    const items = all.found({
      find: asked,
      state,
      ...(where === '' ? {} : { where: where as Stowage }),
      ...(whose === '' ? {} : { whose }),
    });
    const ids = new Map(held.map((h) => [h.id, h]));
    return items.flatMap(({ id }) => ids.get(id) ?? []);
  }, [all, asked, state, where, whose, held]);
  const options = LOCKER_STATES.filter((s) => s === 'all' || s === state || all.counts[s] > 0).map((s) => ({
    value: s,
    label: plainly(LOCKER.count, { what: LOCKER.states[s], n: all.counts[s] }),
  }));
  const owners = [
    ...shed.people.map(({ id, name }) => ({ value: id, label: name })),
    ...shed.boats.map(({ id, name }) => ({ value: id, label: name })),
    { value: 'nobody', label: LOCKER.nobody },
  ];
  const shown = found.slice(0, most);
  return (
    <Page title={LOCKER.title} lead={LOCKER.lead} style={wide ? { maxWidth: 1240 } : {}}>
      <TextInput
        mode="outlined"
        dense
        accessibilityLabel={LOCKER.find}
        placeholder={LOCKER.find}
        value={find}
        onChangeText={(text) => {
          setFind(text);
          setMost(AT_ONCE);
        }}
      />
      <Choice
        label={LOCKER.how}
        unfolded
        options={options}
        value={state}
        onChange={(v) => setState((v as LockerState | undefined) ?? 'all')}
      />
      <Row>
        <Select
          label={LOCKER.where}
          unsaid={LOCKER.anywhere}
          options={optionsOf(STOWAGE)}
          value={where}
          onChange={setWhere}
        />
        <Select
          label={LOCKER.whose}
          unsaid={LOCKER.anybody}
          options={owners}
          value={whose}
          onChange={setWhose}
        />
      </Row>
      <View aria-live="polite">
        <T as="soft">{plainly(LOCKER.found, { n: found.length, all: all.counts.all })}</T>
      </View>
      {ready && held.length === 0 ? <Empty title={LOCKER.none} why={LOCKER.noneWhy} /> : null}
      {found.length > 0 ? (
        <Fold title={plainly(LOCKER.copy, { n: found.length })}>
          <CopySet set={found.map(({ doc }) => doc)} owners={owners.slice(0, -1)} boats={shed.boats} />
        </Fold>
      ) : null}
      {wide ? <LockerTable rows={shown} /> : <LockerRows rows={shown} />}
      {found.length > most ? (
        <Button onPress={() => setMost(most + AT_ONCE)}>
          {plainly(LOCKER.more, { n: found.length - most })}
        </Button>
      ) : null}
    </Page>
  );
}
