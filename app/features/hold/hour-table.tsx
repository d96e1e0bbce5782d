import { View } from 'react-native';
import type { Over } from '@escale/core/hold';
import { clock } from '@escale/core/say';
import { CELL, TableHead } from '../../ui/table-head';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { HOLD, HOURS } from './words';

const HEADS = [HOURS.time, HOURS.depth, HOURS.wind, HOURS.stream, HOURS.pull, HOURS.points, HOURS.stands];

/** What changes along the stay: hour by hour, and where the tide turns. */
export function HourTable({ over }: { over: Over }) {
  const p = usePalette();
  const { reader, says } = useTrip();
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={2}>
        {HOURS.title}
      </T>
      <View role="table" aria-label={HOURS.title}>
        <TableHead heads={HEADS} />
        {over.hours.map(({ hour, held }) => {
          const { depth, wind, stream } = hour;
          const { lies, load } = held.pull;
          const cells = [
            depth === undefined ? HOURS.unknown : says('{depth:height}', { depth }),
            wind ? says(HOURS.windSaid, { wind: wind.speed, gust: wind.gust }) : HOURS.unknown,
            stream
              ? says(HOURS.streamSaid, { speed: stream.speed, towards: Math.round(stream.direction) })
              : HOURS.unknown,
            says(HOLD.band, load),
            lies.heading === undefined
              ? HOURS.unknown
              : says('{heading:bearing}', { heading: Math.round(lies.heading) }),
            HOURS.said[held.stands],
          ];
          return (
            <View
              key={hour.at}
              role="row"
              style={{ flexDirection: 'row', borderBottomWidth: 1, borderColor: p.line }}
            >
              <View role="rowheader" style={CELL}>
                <T as="label">{clock(hour.at, reader)}</T>
              </View>
              {cells.map((said, i) => (
                <View key={HEADS[i + 1]} role="cell" style={CELL}>
                  <T as="label">{said}</T>
                </View>
              ))}
            </View>
          );
        })}
      </View>
    </View>
  );
}
