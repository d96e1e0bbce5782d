import { useState } from 'react';
import { useRouter } from 'expo-router';
import { plusDays } from '@escale/core/earth';
import type { Trip } from '@escale/core/model';
import { repeatOf } from '@escale/core/trip';
import { Button } from '../../ui/button';
import { Moment } from '../../ui/moment';
import { Sheet } from '../../ui/sheet';
import { T } from '../../ui/text';
import { useToday } from '../../data/hooks';
import { create, newId } from '../../data/outbox';
import { plainly } from '../../data/settings';
import { REPEAT } from './words';

/** The same trip on another day. */
export function RepeatButton({ trip }: { trip: Trip }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button label={plainly(REPEAT.label, { title: trip.title })} onPress={() => setOpen(true)}>
        {REPEAT.button}
      </Button>
      {open ? <WhichDay trip={trip} onClose={() => setOpen(false)} /> : null}
    </>
  );
}

function WhichDay({ trip, onClose }: { trip: Trip; onClose: () => void }) {
  const router = useRouter();
  const [date, setDate] = useState(plusDays(useToday(), 1));
  const plan = () => {
    const again = repeatOf(trip, { id: newId(), date });
    onClose();
    void create('trip', again, plainly(REPEAT.said, { title: trip.title }));
    router.push(`/trips/${again.id}`);
  };
  return (
    <Sheet title={REPEAT.title} onClose={onClose}>
      <T>{REPEAT.follows}</T>
      <Moment kind="date" label={REPEAT.title} value={date} onChange={setDate} />
      <Button kind="main" once cant={date === '' && REPEAT.dayFirst} onPress={plan}>
        {REPEAT.plan}
      </Button>
    </Sheet>
  );
}
