import { View } from 'react-native';
import { Link } from 'expo-router';
import { isOpen } from '@escale/core/floatplan';
import { clock, dayOf } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { useNow, useOutbox } from '../../data/hooks';
import { change, deed, newId } from '../../data/outbox';
import { useTrip } from '../trip/use-trip';

/** Say that you are home: the last thing that must not be forgotten. */
export function CloseSection() {
  const { plan, held, trip, reader } = useTrip();
  const now = useNow();
  const waiting = useOutbox().some((s) => s.thing === plan?.id && !s.refused);
  const open = plan !== undefined && isOpen(plan.state);
  const say = (kind: 'closed' | 'cancelled', said: string) =>
    plan && void deed(plan.id, { id: newId(), kind, madeAt: new Date(now).toISOString() }, said);
  if (!open) {
    const ended = plan?.events.findLast((e) => e.kind === 'closed' || e.kind === 'cancelled');
    return (
      <View style={{ gap: 12 }}>
        <T as="soft">
          {ended
            ? `The plan ended ${dayOf(ended.at, reader)} ${clock(ended.at, reader)}.`
            : 'No float plan is open for this trip.'}
        </T>
        {trip.status === 'done' ? null : (
          <Button
            onPress={() =>
              void change(held, [{ op: 'set', pointer: '/status', value: 'done' }], 'the trip is over')
            }
          >
            This trip is over
          </Button>
        )}
        <Link href={`/trips/${trip.id}/home/debrief`} style={{ paddingVertical: 12 }}>
          <T style={{ textDecorationLine: 'underline' }}>Debrief</T>
        </Link>
      </View>
    );
  }
  return (
    <View style={{ gap: 12 }}>
      <T style={{ fontSize: 18 }}>
        Due home {clock(plan.times.home, reader)}; your contacts act at {clock(plan.times.overdue, reader)}.
      </T>
      <Button
        kind="main"
        wet
        busy={waiting}
        style={{ minHeight: 88 }}
        onPress={() => say('closed', 'that you are home')}
      >
        We’re home, close the plan
      </Button>
      {waiting ? (
        <T as="strong">
          Not through yet: your contacts still count the time. Ring them if there is no signal.
        </T>
      ) : null}
      <Row>
        <Button busy={waiting} onPress={() => say('cancelled', 'that you did not go')}>
          We did not go
        </Button>
      </Row>
    </View>
  );
}
