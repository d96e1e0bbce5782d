import { View } from 'react-native';
import type { Over } from '@escale/core/hold';
import { clock } from '@escale/core/say';
import { CELL, TableHead } from '../../ui/table-head';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { HOLD } from './words';

const { hours: WORDS } = HOLD;
const HEADS = [WORDS.time, WORDS.depth, WORDS.wind, WORDS.stream, WORDS.pull, WORDS.points, WORDS.stands];

/** What changes along the stay: hour by hour, and where the tide turns. */
export function HourTable({ over }: { over: Over }) {
  const p = usePalette();
  const { reader, says } = useTrip();
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={2}>
        {WORDS.title}
      </T>
      <View role="table" aria-label={WORDS.title}>
        <TableHead heads={HEADS} />
        {over.hours.map(({ hour, held }) => {
          const { depth, wind, stream } = hour;
          const { lies, load } = held.pull;
          const cells = [
            depth === undefined ? WORDS.unknown : says('{depth:height}', { depth }),
            wind ? says(WORDS.windSaid, { wind: wind.speed, gust: wind.gust }) : WORDS.unknown,
            stream
              ? says(WORDS.streamSaid, { speed: stream.speed, towards: Math.round(stream.direction) })
              : WORDS.unknown,
            says(HOLD.band, load),
            lies.heading === undefined
              ? WORDS.unknown
              : says('{heading:bearing}', { heading: Math.round(lies.heading) }),
            WORDS.said[held.stands],
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
