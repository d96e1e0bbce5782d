import { useState } from 'react';
import { View } from 'react-native';
import { MS } from '@escale/core/units';
import { momentsOf, readWind, saysWeather, type Days, type ForecastRow } from '@escale/core/water/typed';
import {
  clockHour,
  forecastSoFar,
  fromBy,
  gustBy,
  rowAt,
  windBy,
  withHour,
} from '@escale/core/water/typed-rows';
import { Button, Row } from '../../ui/button';
import { Stepper } from '../../ui/stepper';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { StripHours } from './strip-hours';
import { STRIP } from '../strip/words';
import { FORECAST, ON_STRIP } from './words';

const HOUR = MS.hour;

/** The rows of a forecast on the hours of the strip: choose an hour there, and change what it says by steps. */
export function ForecastHour({
  rows,
  days,
  onRows,
}: {
  rows: readonly ForecastRow[];
  days: Days;
  onRows: (rows: ForecastRow[]) => void;
}) {
  const { trip, shed, axis, assessment, says } = useTrip();
  const [at, setAt] = useState(() => clockHour(assessment.leave ?? axis?.from ?? 0, days.zone));
  if (!axis) return null;
  const { forecast: _kept, ...bare } = trip;
  const forecast = forecastSoFar(rows, days);
  const place = rowAt(rows, days, saysWeather, at);
  const row = rows[place] as ForecastRow | undefined;
  const speed = (text: string) => {
    const wind = readWind(text);
    return wind === undefined ? text || ON_STRIP.unsaid : says(STRIP.blows, { wind });
  };
  const from = row && (/\d/.test(row.from) ? `${row.from}°` : row.from || ON_STRIP.unsaid);
  const put = (next: ForecastRow) => onRows(rows.map((other, i) => (i === place ? next : other)));
  return (
    <View role="group" aria-label={ON_STRIP.title} style={{ gap: 8 }}>
      <T as="small">{ON_STRIP.lead}</T>
      <StripHours
        over={{ trip: { ...bare, ...(forecast ? { forecast } : {}) }, shed, conditions: {} }}
        rows={momentsOf(rows, days, saysWeather).filter((moment) => moment !== undefined)}
        at={at}
        step={HOUR}
        label={ON_STRIP.pick}
        said={
          row
            ? says(ON_STRIP.hour, { at, wind: speed(row.wind), gust: speed(row.gust), from: from ?? '' })
            : says(ON_STRIP.noHour, { at })
        }
        onAt={setAt}
      />
      {row ? (
        <>
          <T as="strong">{says(ON_STRIP.at, { at })}</T>
          <Stepper
            what={FORECAST.wind}
            said={speed(row.wind)}
            less={ON_STRIP.lessWind}
            more={ON_STRIP.moreWind}
            onLess={() => put(windBy(row, -1))}
            onMore={() => put(windBy(row, 1))}
          />
          <Stepper
            what={FORECAST.gust}
            said={speed(row.gust)}
            less={ON_STRIP.lessGust}
            more={ON_STRIP.moreGust}
            onLess={() => put(gustBy(row, -1))}
            onMore={() => put(gustBy(row, 1))}
          />
          <Stepper
            what={FORECAST.from}
            said={from ?? ''}
            signs={['‹', '›']}
            less={ON_STRIP.leftOf}
            more={ON_STRIP.rightOf}
            onLess={() => put(fromBy(row, -1))}
            onMore={() => put(fromBy(row, 1))}
          />
        </>
      ) : (
        <Row>
          <Button onPress={() => onRows(withHour(rows, days, at))}>{says(ON_STRIP.add, { at })}</Button>
        </Row>
      )}
    </View>
  );
}
