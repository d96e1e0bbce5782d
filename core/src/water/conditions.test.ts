import { describe, expect, test } from '@jest/globals';
import { steady } from '../../test/demo';
import { render } from '../say';
import { conditionsAt, sortForecast, tideOf, weatherAt } from '.';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const AT = Date.UTC(2026, 4, 12, 9, 30);
const HERE = { lat: 41.2, lon: -29.5 };
const forecast = sortForecast(steady({ thunder: false }))!;
const rows = [
  { at: '2026-05-12T06:00:00Z', height: 0 },
  { at: '2026-05-12T12:12:00Z', height: 3.6 },
];
const tide = tideOf({ kind: 'table', name: 't', datum: 'chart datum', rows });
const words = (phrases: Parameters<typeof render>[0][]) => phrases.map((p) => render(p, reader));

describe('conditions at a place and a time', () => {
  test('are what the forecast and the station say for the instant, each with its source', () => {
    const there = conditionsAt({ tide, forecast })(HERE, AT);
    const weather = weatherAt(forecast, AT)!;
    expect(there.wind?.value).toEqual({ speed: weather.wind, gust: weather.gust, direction: weather.from });
    expect([there.air?.value, there.water?.value, there.visibility?.value, there.thunder?.value]).toEqual([
      15,
      13.4,
      20_000,
      false,
    ]);
    expect([there.tide?.value, there.tide?.source]).toEqual([tide.heightAt(AT), 'tide-cosine']);
    expect(words(there.tide!.assumed)).toEqual(['Above chart datum, at the station of this water.']);
  });
  test('what nothing tells is absent and said, never nought', () => {
    const there = conditionsAt({ tide, forecast })(HERE, AT);
    expect([there.stream, there.wave, there.depth]).toEqual([undefined, undefined, undefined]);
    expect(words(there.lacks)).toEqual(['stream', 'waves', 'depth']);
    expect(words(conditionsAt({})(HERE, AT).lacks)).toEqual([
      'wind',
      'stream',
      'waves',
      'depth',
      'height of tide',
      'air temperature',
      'water temperature',
      'visibility',
      'thunder',
    ]);
  });
  test('one point stands for a whole water: how far off it lies is said; invented weather says that it is', () => {
    const away = conditionsAt({ water: { forecastAt: { lat: 41.3, lon: -29.5 } }, forecast })(HERE, AT);
    expect(words(away.wind!.assumed)).toEqual(['Forecast for a point 6.0 nm away.']);
    const invented = conditionsAt({ forecast: { ...forecast, invented: true } })(HERE, AT);
    expect(words(invented.wind!.assumed)).toEqual([
      'For which point it was forecast is not known.',
      'The weather is invented by a stand-in: it settles nothing.',
    ]);
  });
  test('outside the forecast and between turns that are no neighbours nothing is known', () => {
    const late = conditionsAt({ tide, forecast })(HERE, AT + 40 * 86_400_000);
    expect([late.wind, late.tide]).toEqual([undefined, undefined]);
    const part = conditionsAt({
      forecast: sortForecast({ ...steady(), hours: steady().hours.map(({ water: _, ...h }) => h) })!,
    })(HERE, AT);
    expect([part.water, part.wind !== undefined]).toEqual([undefined, true]);
  });
});
