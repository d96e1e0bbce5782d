import { useState } from 'react';
import { View } from 'react-native';
import { civilDate } from '@escale/core/earth';
import type { Forecast, Place } from '@escale/core/model';
import { render } from '@escale/core/say';
import { typedForecast, type Faults, type ForecastRow } from '@escale/core/water/typed';
import { forecastRows } from '@escale/core/water/typed-rows';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { FaultLines } from './cells';
import { ForecastRows } from './forecast-rows';
import { KeepOrLeave } from './frame';
import { POINTS } from './words';

/** The same forecast at places along the way: which have hours of their own, and the form for one more. */
export function ForecastPoints({
  forecast,
  onChange,
}: {
  forecast: Forecast;
  onChange: (next: Forecast) => void;
}) {
  const { trip, shed, says } = useTrip();
  const [open, setOpen] = useState<Place>();
  const points = forecast.points ?? [];
  const put = (next: typeof points) => {
    const { points: _, ...rest } = forecast;
    onChange(next.length > 0 ? { ...rest, points: next } : rest);
  };
  const ids = new Set([trip.launch, ...trip.halts.map(({ place }) => place), trip.return]);
  const left = shed.places.filter(
    ({ id, name }) => ids.has(id) && !points.some((point) => point.name === name),
  );
  return (
    <View style={{ gap: 6 }} role="group" aria-label={POINTS.title}>
      <T as="label">{POINTS.title}</T>
      <T as="soft">{points.length > 0 ? POINTS.lead : POINTS.none}</T>
      {points.map(({ name, hours }) => (
        <Row key={name}>
          <T>{says(POINTS.one, { name, n: hours.length })}</T>
          <Button
            kind="quiet"
            label={says(POINTS.drop, { name })}
            onPress={() => put(points.filter((point) => point.name !== name))}
          >
            {POINTS.away}
          </Button>
        </Row>
      ))}
      {open ? (
        <PointForm
          key={open.id}
          place={open}
          forecast={forecast}
          onLeave={() => setOpen(undefined)}
          onKeep={(hours) => {
            setOpen(undefined);
            put([...points, { name: open.name, position: open.position, hours }]);
          }}
        />
      ) : left.length > 0 ? (
        <Row>
          {left.map((place) => (
            <Button key={place.id} onPress={() => setOpen(place)}>
              {says(POINTS.add, { name: place.name })}
            </Button>
          ))}
        </Row>
      ) : null}
    </View>
  );
}

/** Hours of one place; source and issue are those of the forecast it belongs to. */
function PointForm({
  place,
  forecast,
  onKeep,
  onLeave,
}: {
  place: Place;
  forecast: Forecast;
  onKeep: (hours: Forecast['hours']) => void;
  onLeave: () => void;
}) {
  const p = usePalette();
  const { reader, says } = useTrip();
  const { zone } = reader;
  const [days] = useState(() => ({ date: civilDate(Date.parse(forecast.hours[0].at), zone), zone }));
  // What holds for the water is what one begins with.
  const [rows, setRows] = useState<ForecastRow[]>(() => forecastRows(forecast, days));
  const [faults, setFaults] = useState<Faults>({});
  const keep = () => {
    const head = { issuedAt: forecast.issuedAt, source: forecast.source, air: '', water: '' };
    const read = typedForecast({ ...head, ...days }, rows);
    if ('ok' in read) onKeep(read.ok.hours);
    else setFaults(read.faults);
  };
  return (
    <View style={{ gap: 10, borderTopWidth: 2, borderColor: p.ink, paddingTop: 10 }}>
      <T as="strong">{says(POINTS.at, { name: place.name })}</T>
      <ForecastRows rows={rows} days={days} faults={faults} onRows={setRows} />
      <FaultLines faults={faults} say={(fault) => render(fault, reader)} />
      <KeepOrLeave onKeep={keep} onLeave={onLeave} />
    </View>
  );
}
