import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { civilDate, distance } from '@escale/core/earth';
import { readTideText } from '@escale/core/formats/forecast-text';
import type { TideStation, Water } from '@escale/core/model';
import { render } from '@escale/core/say';
import { typedTide, type Faults, type TideRow } from '@escale/core/water/typed';
import { tideRows } from '@escale/core/water/typed-rows';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { change } from '../../data/outbox';
import { useThing } from '../../data/hooks';
import type { Held } from '../../data/things';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { KeepOrLeave, TypedFrame } from './frame';
import { Cell, FaultLines, Paste } from './cells';
import { DATUMS } from './datums';
import { TideTurn } from './tide-turn';
import { later } from '../../ui/later';
import { FORECAST, STATIONS, TIDE } from './words';

const TURNS = [
  { value: 'high', label: TIDE.high },
  { value: 'low', label: TIDE.low },
];
const BLANK: TideRow[] = (['high', 'low', 'high', 'low'] as const).map((turn) => ({
  time: '',
  height: '',
  turn,
}));
type Table = Extract<TideStation, { kind: 'table' }>;

const TideStations = later(() => import('./tide-stations').then((m) => m.TideStations));

/** The tide of the trip's water: what is here, the stations that are carried, and the form in which a table is typed or pasted. */
export function TideBlock() {
  const { trip, shed, says } = useTrip();
  const [looking, setLooking] = useState(false);
  const held = useThing(trip.water ?? '') as Held<'water'> | undefined;
  if (!held) return <T as="soft">{TIDE.noWater}</T>;
  const { tide } = held.doc;
  const table = tide?.kind === 'table' ? tide : undefined;
  const station = tide && tide.kind !== 'table' ? tide.station : undefined;
  const launch = shed.places.find((place) => place.id === trip.launch);
  const put = (next: TideStation | undefined, said: string) =>
    void change(
      held,
      [next ? { op: 'set', pointer: '/tide', value: next } : { op: 'unset', pointer: '/tide' }],
      said,
    );
  return (
    <>
      <TypedFrame
        title={TIDE.title}
        typed={table !== undefined || station !== undefined}
        fixed={tide !== undefined && !table && !station}
        onDrop={() => put(undefined, TIDE.dropped)}
        said={saidOf()}
        {...(station ? { word: STATIONS.table } : {})}
        also={
          looking ? null : (
            <Button onPress={() => setLooking(true)}>{station ? STATIONS.another : STATIONS.look}</Button>
          )
        }
        form={(close) => (
          <TideForm
            water={held.doc}
            kept={table}
            onLeave={close}
            onKeep={(next) => {
              close();
              put(next, TIDE.saved);
            }}
          />
        )}
      />
      {station ? <T as="small">{plainly(STATIONS.whose, { source: station.source })}</T> : null}
      {looking ? (
        <TideStations
          onLeave={() => setLooking(false)}
          onUse={(next) => {
            setLooking(false);
            put(next, plainly(STATIONS.used, { name: next.name }));
          }}
        />
      ) : null}
    </>
  );

  function saidOf(): string {
    if (!tide) return TIDE.none;
    const { name, datum } = tide;
    if (table) return says(TIDE.kept, { name, datum, n: table.rows.length });
    if (!station) return says(TIDE.station, { name, datum });
    const { where, position } = station;
    if (!launch) return says(STATIONS.is, { name, where, datum });
    const { metres } = distance(position, launch.position);
    return says(STATIONS.isFrom, { name, where, datum, metres, place: launch.name });
  }
}

function TideForm({
  water,
  kept,
  onKeep,
  onLeave,
}: {
  water: Water;
  kept: Table | undefined;
  onKeep: (table: Table) => void;
  onLeave: () => void;
}) {
  const { trip, reader, says } = useTrip();
  const { zone } = reader;
  const [date] = useState(() => (kept ? civilDate(Date.parse(kept.rows[0].at), zone) : trip.leave.date));
  const days = { date, zone };
  const [rows, setRows] = useState<TideRow[]>(() => (kept ? tideRows(kept, days) : BLANK));
  const [name, setName] = useState(kept?.name ?? '');
  const [datum, setDatum] = useState(kept?.datum ?? DATUMS[0].value);
  const [faults, setFaults] = useState<Faults>({});
  const set = (i: number, next: Partial<TideRow>) =>
    setRows(rows.map((row, n) => (n === i ? { ...row, ...next } : row)));
  const keep = () => {
    const read = typedTide({ ...days, name, datum }, rows);
    if ('ok' in read) onKeep(read.ok);
    else setFaults(read.faults);
  };
  return (
    <>
      <TextInput
        mode="outlined"
        label={TIDE.name}
        accessibilityLabel={TIDE.name}
        value={name}
        error={'name' in faults}
        onChangeText={setName}
        maxLength={120}
      />
      <T as="label">{TIDE.datum}</T>
      <Choice label={TIDE.datum} options={DATUMS} value={datum} onChange={(next) => next && setDatum(next)} />
      <TideTurn rows={rows} days={days} water={water} onRows={setRows} />
      <T as="small">{says(TIDE.lead, { zone, day: date })}</T>
      {rows.map((row, i) => (
        <View key={i} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6, alignItems: 'center' }}>
          <Choice
            label={plainly(TIDE.turn, { n: i + 1 })}
            options={TURNS}
            value={row.turn}
            onChange={(turn) => turn && set(i, { turn: turn as TideRow['turn'] })}
          />
          <Cell
            what={FORECAST.time}
            n={i + 1}
            value={row.time}
            wrong={`rows/${i}/time` in faults}
            onChange={(time) => set(i, { time })}
          />
          <Cell
            what={TIDE.height}
            n={i + 1}
            width={86}
            value={row.height}
            wrong={`rows/${i}/height` in faults}
            onChange={(height) => set(i, { height })}
          />
        </View>
      ))}
      <Row>
        <Button
          kind="quiet"
          onPress={() =>
            setRows([...rows, { time: '', height: '', turn: rows.at(-1)?.turn === 'high' ? 'low' : 'high' }])
          }
        >
          {TIDE.more}
        </Button>
      </Row>
      <Paste
        words={TIDE.pasted}
        onRead={(text) => {
          const read = readTideText(text);
          if (read.length > 0) setRows(read);
        }}
      />
      <FaultLines faults={faults} say={(fault) => render(fault, reader)} />
      <KeepOrLeave onKeep={keep} onLeave={onLeave} />
    </>
  );
}
