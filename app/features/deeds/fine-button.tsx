import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { nextAt } from '@escale/core/earth';
import { halfHourLater, homeAt, LATER_MOST, timesLater } from '@escale/core/floatplan';
import type { PlanView } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { useReader } from '../../data/settings';
import { Button } from '../../ui/button';
import { Moment } from '../../ui/moment';
import { Sheet } from '../../ui/sheet';
import { T } from '../../ui/text';
import { deed, newId } from '../../data/outbox';
import type { Here } from '../../data/here';
import { PositionAsked, sentPosition } from './position-asked';
import { FINE } from './words';

interface Props {
  plan: PlanView;
  now: number;
  busy?: boolean;
  wet?: boolean;
}

/** “I’m fine”: it asks when you will be home, and moves the hours at most; it never ends the watch. */
export function FineButton({ plan, now, busy, wet = false }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button wet={wet} {...(busy === undefined ? {} : { busy })} onPress={() => setOpen(true)}>
        {FINE.button}
      </Button>
      {open ? <WhenHome plan={plan} now={now} onClose={() => setOpen(false)} /> : null}
    </>
  );
}

function WhenHome({ plan, now, onClose }: { plan: PlanView; now: number; onClose: () => void }) {
  const [time, setTime] = useState<string>();
  const [why, setWhy] = useState('');
  const [here, setHere] = useState<Here>();
  const says = saysTo(useReader(plan.zone));
  const n = timesLater(plan.events);
  const asked = n >= LATER_MOST;
  const owed = asked && why.trim() === '';
  const half = halfHourLater(plan.times, now);
  const say = (home?: number) => {
    onClose();
    const note = why.trim();
    void deed(
      plan.id,
      {
        id: newId(),
        kind: home === undefined ? 'check-in' : 'later',
        madeAt: new Date(now).toISOString(),
        ...(home === undefined ? {} : { home: new Date(home).toISOString() }),
        ...(note ? { note } : {}),
        ...sentPosition(here),
      },
      home === undefined ? FINE.said : says(FINE.saidLater, { home }),
    );
  };
  // Of a plan for another day, that day's hour is meant.
  const other = time ? nextAt(time, plan.zone, Math.max(now, plan.times.leave)) : undefined;
  return (
    <Sheet title={FINE.title} onClose={onClose}>
      <T>{says(FINE.follows, { overdue: plan.times.overdue })}</T>
      <PositionAsked here={here} onHere={setHere} />
      {now < plan.times.home ? (
        <Button kind="main" wet once onPress={() => say()}>
          {says(FINE.same, { home: plan.times.home })}
        </Button>
      ) : null}
      {asked ? (
        <>
          <T as="strong">{says(FINE.whyAsked, { n })}</T>
          <TextInput
            mode="outlined"
            label={FINE.why}
            accessibilityLabel={FINE.why}
            value={why}
            onChangeText={setWhy}
            maxLength={400}
          />
        </>
      ) : null}
      <Button wet once cant={owed && FINE.needed} onPress={() => say(half)}>
        {says(FINE.half, { home: half })}
      </Button>
      {time === undefined ? (
        <Button wet onPress={() => setTime('')}>
          {FINE.other}
        </Button>
      ) : (
        <>
          <T as="label">{FINE.time}</T>
          <Moment kind="time" label={FINE.time} value={time} onChange={setTime} />
          {other === undefined ? null : (
            <T>{says(FINE.moved, { home: other, overdue: homeAt(plan.times, other).overdue })}</T>
          )}
          <Button
            kind="main"
            wet
            once
            cant={other === undefined ? FINE.noTime : owed && FINE.needed}
            onPress={() => {
              if (other !== undefined) say(other);
            }}
          >
            {FINE.send}
          </Button>
        </>
      )}
      <Button wet onPress={onClose}>
        {FINE.not}
      </Button>
    </Sheet>
  );
}
