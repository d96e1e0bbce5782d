import { useState } from 'react';
import { View } from 'react-native';
import { clock } from '@escale/core/say';
import { MS } from '@escale/core/units';
import { afterHeard, FORCES } from '@escale/core/water';
import { POINTS } from '@escale/core/water/typed';
import { Button, Row } from '../../ui/button';
import { Select } from '../../ui/select';
import { T } from '../../ui/text';
import { change } from '../../data/outbox';
import { useNow } from '../../data/hooks';
import { useUndo } from '../mishap/undo';
import { useTrip } from '../trip/use-trip';
import { HEARD } from './words';

/** Forces worth a word: less than two changes nothing that was planned. */
const LEAST = 2,
  MOST = 10;
const FORCE = Array.from({ length: FORCES }, (_, force) => force).slice(LEAST, MOST);
/** From when it may be said to blow, hours from now. */
const FROM = [0, 1, 2, 3, 6];
const CIRCLE = 360;
const WHENCE = POINTS.map((label, i) => ({ value: String((i * CIRCLE) / POINTS.length), label }));

/** A forecast that was heard afloat, in two taps: which force, and from when. Whatever hangs on the wind follows at once. */
export function HeardForecast() {
  const { held, input, trip, reader, says } = useTrip();
  const undo = useUndo();
  const now = useNow(MS.minute);
  const [open, setOpen] = useState(false);
  const [force, setForce] = useState<number>();
  const [whence, setWhence] = useState('');
  const [said, setSaid] = useState<string>();
  const told = input.conditions.forecast;
  // What was made up for show is no forecast to go on from.
  const before = told?.invented ? undefined : told;
  const keep = (strong: number, from: number) => {
    const words = says(HEARD.source, { force: strong, at: from });
    const direction = whence === '' ? undefined : Number(whence);
    const next = afterHeard(before, { force: strong, from, direction }, now, words);
    if (!next) return setSaid(HEARD.whence);
    void change(held, [{ op: 'set', pointer: '/forecast', value: next }], words);
    const was = trip.forecast;
    undo(words, () =>
      change(
        { ...held, version: held.version + 1 },
        [was ? { op: 'set', pointer: '/forecast', value: was } : { op: 'unset', pointer: '/forecast' }],
        words,
      ),
    );
    setSaid(says(HEARD.kept, { what: words }));
    setForce(undefined);
    setOpen(false);
  };
  return (
    <View style={{ gap: 8 }} role="group" aria-label={HEARD.title}>
      {open ? (
        <>
          <T as="strong">{force === undefined ? HEARD.which : HEARD.when}</T>
          {before || force !== undefined ? null : (
            <Select
              label={HEARD.from}
              unsaid={HEARD.unsaid}
              options={WHENCE}
              value={whence}
              onChange={setWhence}
            />
          )}
          <Row>
            {force === undefined
              ? FORCE.map((one) => (
                  <Button
                    key={one}
                    wet
                    label={says(HEARD.force, { force: one })}
                    onPress={() => (before || whence !== '' ? setForce(one) : setSaid(HEARD.whence))}
                  >
                    {String(one)}
                  </Button>
                ))
              : FROM.map((hours) => {
                  const at = now + hours * MS.hour;
                  return (
                    <Button key={hours} wet onPress={() => keep(force, at)}>
                      {hours === 0 ? HEARD.now : says(HEARD.in, { hours, at: clock(at, reader) })}
                    </Button>
                  );
                })}
            <Button
              wet
              kind="quiet"
              onPress={() => {
                setOpen(false);
                setForce(undefined);
              }}
            >
              {HEARD.leave}
            </Button>
          </Row>
        </>
      ) : (
        <Button
          wet
          onPress={() => {
            setOpen(true);
            setSaid(undefined);
          }}
        >
          {HEARD.title}
        </Button>
      )}
      {said ? <T role="status">{said}</T> : null}
    </View>
  );
}
