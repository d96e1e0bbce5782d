import { View } from 'react-native';
import { isOpen } from '@escale/core/floatplan';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { useNow, useOutbox } from '../../data/hooks';
import { change, deed, newId } from '../../data/outbox';
import { RepeatButton } from '../trip/repeat-button';
import { useTrip } from '../trip/use-trip';
import { Confirm } from '../../ui/confirm';
import { takeBack, TakeBack } from '../deeds/take-back';
import { Unsent } from '../deeds/unsent';
import { REACHES, ASHORE } from '../deeds/words';
import { useUndo } from '../mishap/undo';
import { CLOSE } from './words';
import { TextLink } from '../../ui/press';

/** Say that you are home: the last thing that must not be forgotten. */
export function CloseSection() {
  const { plan, held, trip, says } = useTrip();
  const now = useNow();
  const waiting = useOutbox().some((s) => s.thing === plan?.id && !s.refused);
  const open = plan !== undefined && isOpen(plan.state);
  const undo = useUndo();
  const say = (kind: 'closed' | 'cancelled', said: string) => {
    if (!plan) return;
    void deed(plan.id, { id: newId(), kind, madeAt: new Date(now).toISOString() }, said);
    undo(kind === 'closed' ? CLOSE.said : CLOSE.saidStayed, () => takeBack(plan, now));
  };
  if (!open) {
    const ended = plan?.events.findLast((e) => e.kind === 'closed' || e.kind === 'cancelled');
    return (
      <View style={{ gap: 12 }}>
        <T as="soft">{ended ? says(CLOSE.ended, { at: ended.at }) : CLOSE.none}</T>
        {plan ? <TakeBack plan={plan} /> : null}
        {trip.status === 'done' ? null : (
          <Button
            onPress={() =>
              void change(held, [{ op: 'set', pointer: '/status', value: 'done' }], 'the trip is over')
            }
          >
            This trip is over
          </Button>
        )}
        <TextLink href={`/trips/${trip.id}/home/debrief`}>Debrief</TextLink>
        <Row>
          <RepeatButton trip={trip} />
        </Row>
      </View>
    );
  }
  return (
    <View style={{ gap: 12 }}>
      <T style={{ fontSize: 18 }}>
        {says(CLOSE.due, { home: plan.times.home, overdue: plan.times.overdue })}
      </T>
      <Confirm
        kind="main"
        wet
        busy={waiting}
        style={{ minHeight: 88 }}
        title={ASHORE.title}
        follows={trip.crew.length > 1 ? says(ASHORE.follows, { n: trip.crew.length }) : ASHORE.alone}
        also={REACHES[plan.channel ?? 'none']}
        yes={ASHORE.yes}
        no={ASHORE.no}
        onYes={() => say('closed', 'that you are home')}
      >
        {ASHORE.home}
      </Confirm>
      <Unsent plan={plan} />
      <Row>
        <Confirm
          busy={waiting}
          title={ASHORE.stayedTitle}
          follows={ASHORE.stayedFollows}
          also={REACHES[plan.channel ?? 'none']}
          yes={ASHORE.stayedYes}
          no={ASHORE.no}
          onYes={() => say('cancelled', 'that you did not go')}
        >
          {ASHORE.stayed}
        </Confirm>
      </Row>
    </View>
  );
}
