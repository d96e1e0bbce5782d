import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { render } from '@escale/core/say';
import { prepare } from '@escale/core/trip';
import { oneWorse } from '@escale/core/water';
import type { Finding } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { WORSE } from './words';

const GRAVE = new Set<Finding['level']>(['stop', 'fix']);

/** The same day with a force more, two hours earlier: what would stand against it that does not now. */
export function OneWorse() {
  const p = usePalette();
  const { input, assessment, reader, says } = useTrip();
  const { forecast } = input.conditions;
  const [asked, setAsked] = useState(false);
  const worse = useMemo(() => {
    if (!asked || !forecast) return undefined;
    const given = oneWorse(forecast);
    const trip = { ...input.trip, ...(input.trip.forecast ? { forecast: given } : {}) };
    return prepare({ ...input, trip, conditions: { ...input.conditions, forecast: given } }).whole();
  }, [asked, forecast, input]);
  if (!forecast) return null;
  const before = new Map(assessment.findings.map((f) => [f.id, f.level]));
  const more = worse?.findings.filter((f) => GRAVE.has(f.level) && before.get(f.id) !== f.level) ?? [];
  const turn = worse?.schedule?.latestTurn;
  return (
    <View style={{ gap: 8 }}>
      <Row>
        <Button onPress={() => setAsked(!asked)}>{asked ? WORSE.hide : WORSE.ask}</Button>
      </Row>
      {worse ? (
        <View
          role="status"
          style={{ gap: 4, borderWidth: 1, borderStyle: 'dashed', borderColor: p.soft, padding: 12 }}
        >
          <T as="strong">{more.length === 0 ? WORSE.same : says(WORSE.more, { n: more.length })}</T>
          {more.map((f) => (
            <View key={f.id}>
              <T>{says(WORSE.line, { level: WORSE.level[f.level], what: f.title })}</T>
              {f.because[0] ? <T as="small">{render(f.because[0], reader)}</T> : null}
            </View>
          ))}
          {turn === undefined ? null : <T as="soft">{says(WORSE.turn, { at: turn })}</T>}
          <T as="small">{WORSE.what}</T>
        </View>
      ) : null}
    </View>
  );
}
