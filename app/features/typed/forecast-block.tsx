import { useState } from 'react';
import { civilDate, wallTime, wallToInstant } from '@escale/core/earth';
import type { Forecast } from '@escale/core/model';
import { render } from '@escale/core/say';
import { typedForecast, type Faults, type ForecastRow } from '@escale/core/water/typed';
import { forecastRows } from '@escale/core/water/typed-rows';
import { TextInput } from 'react-native-paper';
import { Row } from '../../ui/button';
import { Moment } from '../../ui/moment';
import { change } from '../../data/outbox';
import { useNow } from '../../data/hooks';
import { fieldId } from '../../data/where';
import { useTrip } from '../trip/use-trip';
import { KeepOrLeave, TypedFrame } from './frame';
import { FaultLines } from './cells';
import { ForecastPoints } from './forecast-points';
import { firstRows, ForecastRows } from './forecast-rows';
import { FORECAST } from './words';

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
    <>
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
      {trip.forecast ? <ForecastPoints forecast={trip.forecast} onChange={put} /> : null}
    </>
  );
}

function ForecastForm({ onKeep, onLeave }: { onKeep: (forecast: Forecast) => void; onLeave: () => void }) {
  const { trip, reader, assessment } = useTrip();
  const now = useNow(MINUTE);
  const { zone } = reader;
  const kept = trip.forecast;
  const leave = assessment.leave ?? now;
  const [date] = useState(() => civilDate(kept ? Date.parse(kept.hours[0].at) : leave, zone));
  const days = { date, zone };
  const [rows, setRows] = useState<ForecastRow[]>(() =>
    kept ? forecastRows(kept, days) : firstRows(leave, zone),
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
  const keep = () => {
    const wall = wallToInstant(day, time, zone);
    const issuedAt = 'gap' in wall ? '' : new Date(wall.at).toISOString();
    const read = typedForecast({ ...head, ...days, issuedAt }, rows);
    if ('ok' in read) onKeep(kept?.points ? { ...read.ok, points: kept.points } : read.ok);
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
      <ForecastRows rows={rows} days={days} faults={faults} onRows={setRows} />
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

const TEMPERATURES = [
  { field: 'air', what: FORECAST.air },
  { field: 'water', what: FORECAST.water },
] as const;
