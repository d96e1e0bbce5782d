import { useState } from 'react';
import { View } from 'react-native';
import { civilDate, wallTime, wallToInstant } from '@escale/core/earth';
import { readForecastText } from '@escale/core/formats/forecast-text';
import type { Forecast } from '@escale/core/model';
import { render } from '@escale/core/say';
import { MS } from '@escale/core/units';
import { typedForecast, VISIBILITY, type Faults, type ForecastRow } from '@escale/core/water/typed';
import { clockHour, forecastRows } from '@escale/core/water/typed-rows';
import { TextInput } from 'react-native-paper';
import { Button, Row } from '../../ui/button';
import { Check } from '../../ui/mark';
import { Moment } from '../../ui/moment';
import { Select } from '../../ui/select';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { change } from '../../data/outbox';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { fieldId } from '../../data/where';
import { useTrip } from '../trip/use-trip';
import { KeepOrLeave, TypedFrame } from './frame';
import { Cell, FaultLines, Paste } from './cells';
import { ForecastHour } from './forecast-hour';
import { FORECAST } from './words';

const SIGHTS = VISIBILITY.map(({ id, title }) => ({ value: id, label: title }));
const BLANK: ForecastRow = {
  time: '',
  wind: '',
  gust: '',
  from: '',
  waves: '',
  visibility: '',
  thunder: false,
};
const FIRST_ROWS = 4,
  EVERY = 3 * 60 * MS.minute;
const MINUTE = 60_000;

/** The forecast of a trip: what is here, and the form in which one is typed or pasted. */
export function ForecastBlock() {
  const { input, held, trip, says } = useTrip();
  const { forecast } = input.conditions;
  const typed = trip.forecast !== undefined;
  const put = (next: Forecast | undefined) =>
    void change(
      held,
      [next ? { op: 'set', pointer: '/forecast', value: next } : { op: 'unset', pointer: '/forecast' }],
      next ? FORECAST.saved : FORECAST.dropped,
    );
  return (
    <TypedFrame
      title={FORECAST.title}
      id={fieldId('/forecast')}
      typed={typed}
      onDrop={() => put(undefined)}
      said={
        forecast
          ? says(typed ? FORECAST.kept : FORECAST.brought, {
              source: forecast.source,
              at: Date.parse(forecast.issuedAt),
              n: forecast.hours.length,
            })
          : FORECAST.none
      }
      form={(close) => (
        <ForecastForm
          onLeave={close}
          onKeep={(next) => {
            close();
            put(next);
          }}
        />
      )}
    />
  );
}

function ForecastForm({ onKeep, onLeave }: { onKeep: (forecast: Forecast) => void; onLeave: () => void }) {
  const p = usePalette();
  const { trip, reader, assessment, says } = useTrip();
  const now = useNow(MINUTE);
  const { zone } = reader;
  const kept = trip.forecast;
  const leave = assessment.leave ?? now;
  const [date] = useState(() => civilDate(kept ? Date.parse(kept.hours[0].at) : leave, zone));
  const days = { date, zone };
  const [rows, setRows] = useState<ForecastRow[]>(() =>
    kept
      ? forecastRows(kept, days)
      : Array.from({ length: FIRST_ROWS }, (_, i) => ({
          ...BLANK,
          time: wallTime(clockHour(leave, zone) + i * EVERY, zone),
        })),
  );
  const issued = kept ? Date.parse(kept.issuedAt) : now;
  const [day, setDay] = useState(() => civilDate(issued, zone));
  const [time, setTime] = useState(() => wallTime(issued, zone));
  const [head, setHead] = useState({
    source: kept?.source ?? '',
    air: kept?.hours[0].air?.toString() ?? '',
    water: kept?.hours[0].water?.toString() ?? '',
  });
  const [faults, setFaults] = useState<Faults>({});
  const set = (i: number, next: Partial<ForecastRow>) =>
    setRows(rows.map((row, n) => (n === i ? { ...row, ...next } : row)));
  const keep = () => {
    const wall = wallToInstant(day, time, zone);
    const issuedAt = 'gap' in wall ? '' : new Date(wall.at).toISOString();
    const read = typedForecast({ ...head, ...days, issuedAt }, rows);
    if ('ok' in read) onKeep(read.ok);
    else setFaults(read.faults);
  };
  return (
    <>
      <TextInput
        mode="outlined"
        label={FORECAST.source}
        accessibilityLabel={FORECAST.source}
        value={head.source}
        error={'source' in faults}
        onChangeText={(source) => setHead({ ...head, source })}
        maxLength={120}
      />
      <Row>
        <Moment kind="date" label={FORECAST.issuedDay} value={day} onChange={setDay} />
        <Moment kind="time" label={FORECAST.issuedTime} value={time} onChange={setTime} />
      </Row>
      <ForecastHour rows={rows} days={days} onRows={setRows} />
      <T as="small">{says(FORECAST.lead, { zone, day: date })}</T>
      {rows.map((row, i) => (
        <View key={i} style={{ borderBottomWidth: 1, borderColor: p.line, paddingBottom: 8, gap: 4 }}>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 4 }}>
            {CELLS.map(({ field, what }) => (
              <Cell
                key={field}
                what={what}
                n={i + 1}
                value={row[field]}
                wrong={`rows/${i}/${field}` in faults}
                onChange={(value) => set(i, { [field]: value })}
              />
            ))}
          </View>
          <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
            <Select
              label={plainly(FORECAST.visibilityRow, { n: i + 1 })}
              unsaid={FORECAST.visibility}
              options={SIGHTS}
              value={row.visibility}
              onChange={(visibility) => set(i, { visibility })}
            />
            <Check
              label={plainly(FORECAST.thunderRow, { n: i + 1 })}
              on={row.thunder}
              onChange={(thunder) => set(i, { thunder })}
            >
              <T>{FORECAST.thunder}</T>
            </Check>
          </View>
        </View>
      ))}
      <Row>
        <Button kind="quiet" onPress={() => setRows([...rows, BLANK])}>
          {FORECAST.more}
        </Button>
      </Row>
      <Paste
        words={FORECAST.pasted}
        onRead={(text) => {
          const read = readForecastText(text);
          if (read.length > 0) setRows(read);
        }}
      />
      <Row>
        {TEMPERATURES.map(({ field, what }) => (
          <TextInput
            key={field}
            mode="outlined"
            dense
            label={what}
            accessibilityLabel={what}
            value={head[field]}
            error={field in faults}
            onChangeText={(value) => setHead({ ...head, [field]: value })}
            maxLength={6}
            style={{ width: 120 }}
          />
        ))}
      </Row>
      <FaultLines faults={faults} say={(fault) => render(fault, reader)} />
      <KeepOrLeave onKeep={keep} onLeave={onLeave} />
    </>
  );
}

const CELLS = [
  { field: 'time', what: FORECAST.time },
  { field: 'wind', what: FORECAST.wind },
  { field: 'gust', what: FORECAST.gust },
  { field: 'from', what: FORECAST.from },
  { field: 'waves', what: FORECAST.waves },
] as const;
const TEMPERATURES = [
  { field: 'air', what: FORECAST.air },
  { field: 'water', what: FORECAST.water },
] as const;
