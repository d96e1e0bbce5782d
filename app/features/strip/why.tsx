import { View } from 'react-native';
import { render, saysTo, type Reader } from '@escale/core/say';
import type { Departure } from '@escale/core/trip';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { LEVEL_WORD } from '../trip/finding-card';
import { LEGEND, WHY } from './words';

/** What one hour of leaving would give, and why: the first of its worst, with what was compared. */
export function Why({
  departure,
  reader,
  here,
  onLeave,
}: {
  departure: Departure;
  reader: Reader;
  /** It is the hour that is planned. */
  here: boolean;
  onLeave: (leave: number) => void;
}) {
  const says = saysTo(reader);
  const { leave: at, worst, count, reason } = departure;
  const level = LEVEL_WORD[worst];
  return (
    <View role="status" style={{ paddingHorizontal: 12, gap: 4 }}>
      {reason && worst !== 'ready' ? (
        <>
          <T as="strong">
            {count > 1
              ? says(WHY.more, { at, level, title: reason.title, n: count - 1 })
              : says(WHY.title, { at, level, title: reason.title })}
          </T>
          {reason.because.map((because, i) => (
            <T key={i} as="soft">
              {render(because, reader)}
            </T>
          ))}
        </>
      ) : (
        <T>{says(WHY.none, { at })}</T>
      )}
      {here ? null : (
        <Row>
          <Button onPress={() => onLeave(at)}>{says(WHY.leave, { at })}</Button>
        </Row>
      )}
    </View>
  );
}

/** What is what on the strip. */
export function Legend() {
  return (
    <View role="note" style={{ paddingHorizontal: 12, gap: 2 }}>
      {[LEGEND.trip, LEGEND.light, LEGEND.wind, LEGEND.tide, LEGEND.stream, LEGEND.row].map((line) => (
        <T key={line} as="small">
          {line}
        </T>
      ))}
    </View>
  );
}
