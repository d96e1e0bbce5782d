import { useState } from 'react';
import { View } from 'react-native';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useDoorShut, useKeeping, useOutbox, useThings } from '../../data/hooks';
import { useMerged } from '../../data/merged';
import { flush, giveUp, insist } from '../../data/outbox';
import type { Held } from '../../data/things';
import type { Queued } from '../../data/store';
import { DOOR } from '../device/words';
import { MergedNotes } from './merged';
import { SIGNAL } from './words';
import { plainly } from '../../data/settings';

/** So often the server answered with nothing that settles it before a person is told: about ten seconds. */
const TELL_AFTER = 3;

/** Offline is a state: what this device knows is old, and what waits to be sent. A refused write is put to the person. */
export function SignalBar({
  doorSaid = false,
}: {
  /** The page itself says how one is let in. */ doorSaid?: boolean;
}) {
  const p = usePalette();
  const { offlineSince, error, ready, unreadable } = useThings();
  const waiting = useOutbox();
  const refused = waiting.filter((s) => s.refused);
  const going = waiting.length - refused.length;
  const out = useDoorShut();
  const off = !out && (offlineSince !== undefined || (error !== undefined && !ready));
  const keeping = useKeeping();
  const slow = waiting.filter((s) => !s.refused && (s.tries ?? 0) >= TELL_AFTER);
  const merged = useMerged().length;
  const putOut = out && !doorSaid;
  const told = refused.length + slow.length + unreadable + merged;
  if (!off && !putOut && told === 0 && keeping === 'kept') return null;
  return (
    <View role="status" style={{ borderBottomWidth: 2, borderColor: p.ink, backgroundColor: p.raised }}>
      {off ? (
        <T as="label" style={{ paddingHorizontal: 14, paddingVertical: 6 }}>
          {ready ? (going > 0 ? plainly(SIGNAL.waiting, { n: going }) : SIGNAL.none) : SIGNAL.nothingKept}
        </T>
      ) : null}
      {putOut ? (
        <View role="alert" style={{ paddingHorizontal: 14, paddingVertical: 6, gap: 2 }}>
          <T as="strong">{going > 0 ? plainly(DOOR.waiting, { n: going }) : ready ? DOOR.out : DOOR.title}</T>
          <T as="small">{DOOR.brief}</T>
        </View>
      ) : null}
      {keeping === 'kept' ? null : (
        <T as="strong" role="alert" style={{ paddingHorizontal: 14, paddingVertical: 6 }}>
          {keeping === 'cleared' ? SIGNAL.cleared : going > 0 ? SIGNAL.unkept : SIGNAL.unkeptSent}
        </T>
      )}
      {slow.length > 0 ? (
        <View style={{ paddingHorizontal: 14, paddingVertical: 6, gap: 4 }}>
          <T as="strong">{plainly(SIGNAL.trouble, { n: slow.length, what: slow[0].said })}</T>
          <Row>
            <Button onPress={() => void flush(true)}>Try now</Button>
          </Row>
        </View>
      ) : null}
      {unreadable > 0 ? (
        <T as="label" style={{ paddingHorizontal: 14, paddingVertical: 6 }}>
          {plainly(SIGNAL.unreadable, { n: unreadable })}
        </T>
      ) : null}
      <MergedNotes />
      {refused.map((s) => (
        <Refused key={s.key} sending={s} />
      ))}
    </View>
  );
}

function Refused({ sending }: { sending: Queued }) {
  const { served } = useThings();
  const [busy, setBusy] = useState(false);
  const current = served?.things.find((h) => h.id === sending.thing) as Held | undefined;
  const act = (deed: Promise<void>) => {
    setBusy(true);
    void deed.finally(() => setBusy(false));
  };
  return (
    <View role="alert" style={{ padding: 12, gap: 6 }}>
      <T as="strong">{plainly(SIGNAL.notSaved, { what: sending.said })}</T>
      <T as="soft">
        {sending.refused?.title} {sending.refused?.faults.join(' ')}
      </T>
      <Row>
        {sending.refused?.status === 409 ? (
          <Button busy={busy} onPress={() => act(insist(sending, current))}>
            Keep mine
          </Button>
        ) : null}
        {sending.refused?.status !== 409 ? (
          <Button busy={busy} onPress={() => act(insist(sending, current))}>
            Try again
          </Button>
        ) : null}
        <Button busy={busy} onPress={() => act(giveUp(sending))}>
          {sending.refused?.status === 409 ? 'Take what is there' : 'Let it go'}
        </Button>
      </Row>
    </View>
  );
}
