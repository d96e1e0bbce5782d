import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { BACK } from '@escale/core/kit';
import type { GearItem, Patch } from '@escale/core/model';
import { STOWAGE } from '@escale/core/model/lists';
import { Button, Row } from '../../ui/button';
import { optionsOf } from '../../ui/choice';
import { Moment } from '../../ui/moment';
import { Select } from '../../ui/select';
import { Stepper } from '../../ui/stepper';
import { T } from '../../ui/text';
import { TOUCH } from '../../ui/tokens';
import { useToday } from '../../data/hooks';
import { change } from '../../data/outbox';
import { plainly } from '../../data/settings';
import type { Held } from '../../data/things';
import { LOCKER } from './words';

const PLACES = optionsOf(STOWAGE);
export const STATES = [
  { value: 'ready', label: LOCKER.ready },
  { value: 'due', label: LOCKER.due },
  { value: 'failed', label: LOCKER.failed },
  { value: 'used-up', label: LOCKER.usedUp },
  { value: 'unknown', label: LOCKER.unknown },
];

/** A change to one thing, named for whoever undoes it. */
export function useEdit({ id: _id, ...rest }: Held<'gear'>) {
  const held = { id: _id, ...rest };
  const { name } = held.doc;
  return (patch: Patch[]) => void change(held, patch, plainly(LOCKER.changed, { name }));
}
export const set = (pointer: string, value: unknown): Patch[] => [{ op: 'set', pointer, value }];

export function WhereSelect({ held }: { held: Held<'gear'> }) {
  const edit = useEdit(held);
  return (
    <Select
      label={plainly(LOCKER.of, { what: LOCKER.where, name: held.doc.name })}
      options={PLACES}
      value={held.doc.stowage}
      onChange={(v) => edit(set('/stowage', v))}
    />
  );
}

export function StateSelect({ held }: { held: Held<'gear'> }) {
  const edit = useEdit(held);
  return (
    <Select
      label={plainly(LOCKER.of, { what: LOCKER.how, name: held.doc.name })}
      options={STATES}
      value={held.doc.state}
      onChange={(v) => edit(set('/state', v))}
    />
  );
}

export function CountStepper({ held, tight = false }: { held: Held<'gear'>; tight?: boolean }) {
  const edit = useEdit(held);
  const { count, name } = held.doc;
  const of = (what: string) => plainly(LOCKER.of, { what, name });
  return (
    <Stepper
      what={of(LOCKER.howMany)}
      named={false}
      tight={tight}
      said={String(count)}
      less={of(LOCKER.less)}
      more={of(LOCKER.more1)}
      onLess={() => edit(set('/count', Math.max(0, count - 1)))}
      onMore={() => edit(set('/count', Math.min(MOST, count + 1)))}
    />
  );
}
const MOST = 500;

/** Lent with a day, and back again by one press. */
export function Lend({ held }: { held: Held<'gear'> }) {
  const edit = useEdit(held);
  const today = useToday();
  const { lentTo, lentOn, backBy, name } = held.doc;
  const [to, setTo] = useState('');
  const [by, setBy] = useState('');
  const of = (what: string) => plainly(LOCKER.of, { what, name });
  if (lentTo !== undefined)
    return (
      <View style={{ gap: 4 }}>
        <T>{lentWords(held.doc)}</T>
        {lentOn === undefined ? null : <T as="small">{plainly(LOCKER.since, { on: lentOn })}</T>}
        {backBy !== undefined && backBy < today ? <T as="strong">{LOCKER.late}</T> : null}
        <Row>
          <Button once label={of(LOCKER.isBack)} onPress={() => edit(BACK)}>
            {LOCKER.isBack}
          </Button>
        </Row>
      </View>
    );
  const lend = () =>
    edit([...set('/lentTo', to.trim()), ...set('/lentOn', today), ...(by === '' ? [] : set('/backBy', by))]);
  return (
    <Row>
      <TextInput
        mode="outlined"
        dense
        accessibilityLabel={of(LOCKER.lendTo)}
        placeholder={LOCKER.lendTo}
        value={to}
        onChangeText={setTo}
        maxLength={80}
        style={{ minHeight: TOUCH, flexGrow: 1, minWidth: 150 }}
      />
      <Moment kind="date" label={of(LOCKER.backBy)} value={by} onChange={setBy} />
      <Button label={of(LOCKER.lend)} cant={to.trim() === '' && LOCKER.whoFirst} onPress={lend}>
        {LOCKER.lend}
      </Button>
    </Row>
  );
}

/** To whom, and when it is to be back. */
export const lentWords = ({ lentTo = '', backBy }: GearItem): string =>
  backBy === undefined
    ? plainly(LOCKER.lent, { to: lentTo })
    : plainly(LOCKER.lentUntil, { to: lentTo, by: backBy });
