import { View } from 'react-native';
import { wallTime } from '@escale/core/earth';
import { readForecastText } from '@escale/core/formats/forecast-text';
import { MS } from '@escale/core/units';
import { VISIBILITY, type Days, type Faults, type ForecastRow } from '@escale/core/water/typed';
import { clockHour } from '@escale/core/water/typed-rows';
import { Button, Row } from '../../ui/button';
import { Check } from '../../ui/mark';
import { Select } from '../../ui/select';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { Cell, Paste } from './cells';
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

/** Rows to begin with: every three hours from leaving on. */
export const firstRows = (leave: number, zone: string): ForecastRow[] =>
  Array.from({ length: FIRST_ROWS }, (_, i) => ({
    ...BLANK,
    time: wallTime(clockHour(leave, zone) + i * EVERY, zone),
  }));

/** The hours of a forecast as they are typed or pasted, row by row. */
export function ForecastRows({
  rows,
  days,
  faults,
  onRows,
}: {
  rows: ForecastRow[];
  days: Days;
  faults: Faults;
  onRows: (rows: ForecastRow[]) => void;
}) {
  const p = usePalette();
  const { says } = useTrip();
  const set = (i: number, next: Partial<ForecastRow>) =>
    onRows(rows.map((row, n) => (n === i ? { ...row, ...next } : row)));
  return (
    <>
      <ForecastHour rows={rows} days={days} onRows={onRows} />
      <T as="small">{says(FORECAST.lead, { zone: days.zone, day: days.date })}</T>
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
        <Button kind="quiet" onPress={() => onRows([...rows, BLANK])}>
          {FORECAST.more}
        </Button>
      </Row>
      <Paste
        words={FORECAST.pasted}
        onRead={(text) => {
          const read = readForecastText(text);
          if (read.length > 0) onRows(read);
        }}
      />
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
