import { View } from 'react-native';
import { civilDate } from '@escale/core/earth';
import type { Schedule } from '@escale/core/model';
import { clock, phrase, render, saysTo, type Reader, type Says } from '@escale/core/say';
import { marksOf, type Departure, type Mark, type Strip } from '@escale/core/trip';
import { format, MS } from '@escale/core/units';
import { CELL, TableHead } from '../../ui/table-head';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { LEVEL_WORD } from '../trip/finding-card';
import { MARK, STRIP } from './words';

const SKY = { night: 'Night', twilight: 'Twilight', day: 'Day' } as const;
const EVERY = MS.hour;

/** How grave it is to leave then, and the first thing that makes it so. */
function leavingWords({ worst, reason }: Departure, reader: Reader): string {
  const level = LEVEL_WORD[worst];
  return worst === 'ready' || !reason
    ? level
    : render(phrase('strip.leaving', { level, why: reason.title }), reader);
}

function markWords(mark: Mark, name: (place: string) => string, says: Says): string {
  switch (mark.kind) {
    case 'reach':
      return says(MARK.reach, { place: name(mark.place) });
    case 'high':
    case 'low':
      return says(MARK[mark.kind], { height: mark.height });
    default:
      return says(MARK[mark.kind]);
  }
}

/** The day strip for people who prefer to read, and for readers of screens. */
export function DayTable({
  strip,
  schedule,
  departures,
  reader,
  name,
}: {
  strip: Strip;
  schedule: Schedule | undefined;
  departures: Departure[];
  reader: Reader;
  name: (place: string) => string;
}) {
  const p = usePalette();
  const says = saysTo(reader);
  const first = civilDate(strip.from, reader.zone);
  const at = (t: number) =>
    civilDate(t, reader.zone) === first ? clock(t, reader) : says(STRIP.onDay, { at: t });
  const near = <V extends { at: number }>(list: V[], t: number) =>
    list.find((v) => Math.abs(v.at - t) <= EVERY / 4);
  const hours = Array.from(
    { length: Math.floor((strip.until - strip.from) / EVERY) + 1 },
    (_, i) => strip.from + i * EVERY,
  );
  // What nothing is known of has no column.
  const has = {
    stream: strip.stream.length > 0,
    waves: strip.waves.length > 0,
    leaving: departures.length > 0,
  };
  const heads = [
    'Time',
    'Light',
    'Tide',
    'Wind, gust',
    ...(has.stream ? ['Stream'] : []),
    ...(has.waves ? ['Waves'] : []),
    ...(has.leaving ? ['Leaving then'] : []),
  ];
  return (
    <View style={{ gap: 10 }}>
      <View role="list" aria-label="Marks of the day">
        {marksOf(strip, schedule).map((mark, i) => (
          <View
            role="listitem"
            key={i}
            style={{ flexDirection: 'row', borderBottomWidth: 1, borderColor: p.line }}
          >
            <T style={{ minWidth: 64, paddingRight: 8 }}>{at(mark.at)}</T>
            <T>{markWords(mark, name, says)}</T>
          </View>
        ))}
      </View>
      <View role="table" aria-label={says(STRIP.hours, { day: strip.from })}>
        <TableHead heads={heads} />
        {hours.map((t) => {
          const sky = strip.sky.find((s) => t >= s.from && t < s.until),
            tide = near(strip.tide, t),
            wind = near(strip.wind, t),
            flow = near(strip.stream, t),
            wave = near(strip.waves, t),
            leaving = departures.find((d) => Math.abs(d.leave - t) < EVERY / 8);
          const cells = [
            at(t),
            sky ? SKY[sky.sky] : '',
            tide ? format(tide.height, 'height', reader.units) : '',
            wind ? says(STRIP.wind, { wind: wind.wind, gust: wind.gust, from: Math.round(wind.from) }) : '',
            ...(has.stream
              ? [flow ? says(STRIP.stream, { speed: flow.speed, to: Math.round(flow.direction) }) : '']
              : []),
            ...(has.waves ? [wave ? format(wave.height, 'height', reader.units) : ''] : []),
            ...(has.leaving ? [leaving ? leavingWords(leaving, reader) : ''] : []),
          ];
          return (
            <View
              key={t}
              role="row"
              style={{ flexDirection: 'row', borderBottomWidth: 1, borderColor: p.line }}
            >
              {cells.map((text, i) => (
                <View key={i} role="cell" style={CELL}>
                  <T as="small">{text}</T>
                </View>
              ))}
            </View>
          );
        })}
      </View>
    </View>
  );
}
