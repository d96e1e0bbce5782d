import { useMemo } from 'react';
import { stripAxis, stripOf } from '@escale/core/trip';
import { Themed } from '../../ui/theme';
import { DayStrip } from '../strip/day-strip';
import { DayTable } from '../strip/day-table';
import { byWhom } from '../trip/by-whom';
import { useTrip } from '../trip/use-trip';

/** The day as it is printed: the strip in the colours of most contrast, and hour by hour below it. */
export function DayOnPaper() {
  const { input, assessment, reader, shed, says } = useTrip();
  const strip = useMemo(() => {
    const axis = stripAxis(input, assessment);
    return axis && stripOf(input, axis);
  }, [input, assessment]);
  const { schedule, leave } = assessment;
  if (!strip) return null;
  const name = (id: string) => shed.places.find((place) => place.id === id)?.name ?? '';
  return (
    <Themed theme="sun">
      <p style={{ margin: '0 0 6px' }}>{byWhom(input.conditions.forecast, says)}</p>
      <DayStrip strip={strip} schedule={schedule} leave={leave} departures={[]} reader={reader} small />
      <DayTable strip={strip} schedule={schedule} departures={[]} reader={reader} name={name} />
    </Themed>
  );
}
