import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { StreamHours, StreamStation, StreamTurns } from '@escale/core/model';
import { render } from '@escale/core/say';
import { civilDate, wallTime } from '@escale/core/earth';
import { KNOT } from '@escale/core/units';
import { readStreamHours, readStreamTurns } from '@escale/core/water/typed-stream';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { later } from '../../ui/later';
import { T } from '../../ui/text';
import { change } from '../../data/outbox';
import { useThing } from '../../data/hooks';
import type { Held } from '../../data/things';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { KeepOrLeave, TypedFrame } from './frame';
import { STREAM } from './words';

const StreamStations = later(() => import('./stream-stations').then((m) => m.StreamStations));

/** The stream of the trip's water: what is here, the stations that are carried, and the lines in which a table is typed. */
export function StreamBlock() {
  const { trip, says } = useTrip();
  const [looking, setLooking] = useState(false);
  const held = useThing(trip.water ?? '') as Held<'water'> | undefined;
  if (!held) return null;
  const { stream } = held.doc;
  const put = (next: StreamStation | undefined, said: string) =>
    void change(
      held,
      [next ? { op: 'set', pointer: '/stream', value: next } : { op: 'unset', pointer: '/stream' }],
      said,
    );
  const said = !stream
    ? STREAM.none
    : stream.kind === 'constants'
      ? says(STREAM.isStation, { name: stream.name, where: stream.station?.where ?? '' })
      : says(stream.kind === 'turns' ? STREAM.isTurns : STREAM.isHours, {
          name: stream.name,
          n: stream.rows.length,
        });
  return (
    <>
      <TypedFrame
        title={STREAM.title}
        typed={stream !== undefined}
        said={said}
        onDrop={() => put(undefined, STREAM.dropped)}
        {...(stream?.kind === 'constants' ? { word: STREAM.table } : {})}
        also={looking ? null : <Button onPress={() => setLooking(true)}>{STREAM.look}</Button>}
        form={(close) => (
          <StreamForm
            kept={stream}
            onLeave={close}
            onKeep={(next) => {
              close();
              put(next, plainly(STREAM.saved, { name: next.name }));
            }}
          />
        )}
      />
      {looking ? (
        <StreamStations
          onLeave={() => setLooking(false)}
          onUse={(next) => {
            setLooking(false);
            put(next, plainly(STREAM.saved, { name: next.name }));
          }}
        />
      ) : null}
    </>
  );
}

type Kind = 'turns' | 'hours';
const KINDS = [
  { value: 'turns', label: STREAM.byTurns },
  { value: 'hours', label: STREAM.byHours },
];

function StreamForm({
  kept,
  onKeep,
  onLeave,
}: {
  kept: StreamStation | undefined;
  onKeep: (stream: StreamStation) => void;
  onLeave: () => void;
}) {
  const { trip, reader } = useTrip();
  const days = { date: trip.leave.date, zone: reader.zone };
  const [kind, setKind] = useState<Kind>(kept?.kind === 'hours' ? 'hours' : 'turns');
  const [name, setName] = useState(kept && kept.kind !== 'constants' ? kept.name : '');
  const [flood, setFlood] = useState(kept?.kind === 'turns' ? String(kept.flood) : '');
  const [ebb, setEbb] = useState(kept?.kind === 'turns' ? String(kept.ebb) : '');
  const [springs, setSprings] = useState(numberText(kept?.kind === 'hours' ? kept.springRange : undefined));
  const [neaps, setNeaps] = useState(numberText(kept?.kind === 'hours' ? kept.neapRange : undefined));
  const [text, setText] = useState(() => textOf(kept, reader.zone));
  const [faults, setFaults] = useState<string[]>([]);
  const keep = () => {
    const called = name.trim();
    const wrong: string[] = called === '' ? [STREAM.unnamed] : [];
    const read = kind === 'turns' ? readStreamTurns(text, days) : readStreamHours(text);
    wrong.push(...read.faults.map((fault) => render(fault, reader)));
    const [f, e, s, n] = [flood, ebb, springs, neaps].map(numberIn);
    if (kind === 'turns' && (!isBearing(f) || !isBearing(e))) wrong.push(STREAM.directions);
    if (
      kind === 'hours' &&
      !((s === undefined && n === undefined) || (s !== undefined && n !== undefined && s > n && n > 0))
    )
      wrong.push(STREAM.ranges);
    setFaults(wrong);
    if (wrong.length > 0) return;
    if (kind === 'turns')
      onKeep({ kind, name: called, flood: f!, ebb: e!, rows: read.rows as StreamTurns['rows'] });
    else
      onKeep({
        kind,
        name: called,
        ...(s === undefined || n === undefined ? {} : { springRange: s, neapRange: n }),
        rows: read.rows as StreamHours['rows'],
      });
  };
  return (
    <>
      <Choice
        label={STREAM.how}
        options={KINDS}
        value={kind}
        onChange={(next) => next && setKind(next as Kind)}
      />
      <Line label={STREAM.name} value={name} onChange={setName} />
      {kind === 'turns' ? (
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Line label={STREAM.flood} value={flood} onChange={setFlood} />
          <Line label={STREAM.ebb} value={ebb} onChange={setEbb} />
        </View>
      ) : (
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Line label={STREAM.springRange} value={springs} onChange={setSprings} />
          <Line label={STREAM.neapRange} value={neaps} onChange={setNeaps} />
        </View>
      )}
      <TextInput
        mode="outlined"
        multiline
        numberOfLines={8}
        label={kind === 'turns' ? STREAM.turnLines : STREAM.hourLines}
        accessibilityLabel={kind === 'turns' ? STREAM.turnLines : STREAM.hourLines}
        value={text}
        onChangeText={setText}
        maxLength={20_000}
      />
      <T as="small">{kind === 'turns' ? STREAM.turnHelp : STREAM.hourHelp}</T>
      {faults.length > 0 ? (
        <View role="alert">
          {faults.map((fault) => (
            <T key={fault} as="strong">
              {fault}
            </T>
          ))}
        </View>
      ) : null}
      <KeepOrLeave onKeep={keep} onLeave={onLeave} />
    </>
  );
}

function Line({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
}) {
  return (
    <TextInput
      mode="outlined"
      dense
      label={label}
      accessibilityLabel={label}
      value={value}
      onChangeText={onChange}
      maxLength={80}
      style={{ flex: 1 }}
    />
  );
}

const numberText = (value: number | undefined) => (value === undefined ? '' : String(value));
const numberIn = (text: string): number | undefined => {
  const value = Number(text.trim().replace(',', '.').replace('°', ''));
  return text.trim() === '' ? undefined : value;
};
const isBearing = (value: number | undefined): value is number =>
  value !== undefined && value >= 0 && value <= 360;

/** Kept rows as the lines in which they are typed. */
function textOf(kept: StreamStation | undefined, zone: string): string {
  const knots = (speed: number) => (Math.abs(speed) / KNOT).toFixed(1);
  if (kept?.kind === 'turns')
    return kept.rows
      .map(({ at, speed }) => {
        const ms = Date.parse(at);
        const time = [civilDate(ms, zone), wallTime(ms, zone)].join(' ');
        return speed === 0
          ? plainly(STREAM.slackLine, { time })
          : plainly(speed > 0 ? STREAM.floodLine : STREAM.ebbLine, { time, speed: knots(speed) });
      })
      .join('\n');
  if (kept?.kind === 'hours')
    return kept.rows
      .map(({ hour, direction, springs, neaps }) =>
        [hour, direction, knots(springs), ...(neaps === undefined ? [] : [knots(neaps)])].join(' '),
      )
      .join('\n');
  return '';
}
