import { describe, expect, test } from '@jest/globals';
import { civilDate } from '../earth';
import { worstLevel } from '../verdict';
import { inputOf, steady } from '../../test/demo';
import { LEVELS } from '../model/lists';
import { assess, prepare, stripAxis, stripOf, sweep, sweepDays } from '.';
import { PACKS, packsFor, packsOf } from '../rules';

const HOUR = 3_600_000;

describe('packs of one’s own', () => {
  const [federal] = PACKS;
  const own = (more: object) => ({
    packs: [
      { id: '01890000-0000-7000-8000-0000000000d1', pack: { ...federal, id: 'us-federal-own', ...more } },
    ],
  });
  test('an edited copy stands in for its original; of two with one id the newer holds', () => {
    expect(packsOf(own({ replaces: 'us-federal' })).map((p) => p.id)).not.toContain('us-federal');
    expect(
      packsOf(own({ id: 'us-federal', version: '2026.10' })).find((p) => p.id === 'us-federal')?.version,
    ).toBe('2026.10');
    expect(
      packsOf(own({ id: 'us-federal', version: '2025.9' })).find((p) => p.id === 'us-federal')?.version,
    ).toBe(federal.version);
  });
  test('two packs that name a rule alike give two findings, told apart', () => {
    const input = inputOf();
    const a = assess({ ...input, packs: packsFor(['US'], packsOf(own({}))) });
    expect(new Set(a.findings.map((f) => f.id)).size).toBe(a.findings.length);
    expect(a.findings.filter((f) => f.id.includes('NAV-33')).map((f) => f.id.split('/')[1])).toEqual([
      'NAV-33',
      'us-federal-own.NAV-33',
    ]);
  });
});

describe('strip and sweep', () => {
  const input = inputOf();
  const axis = stripAxis(input, assess(input))!;
  test('the axis holds first light to overdue and at least twelve hours, and stands still for the same day', () => {
    const s = assess(input).schedule!;
    expect(axis.from).toBeLessThanOrEqual(s.leave - HOUR);
    expect(axis.until).toBeGreaterThanOrEqual(s.overdue! + HOUR);
    expect(axis.until - axis.from).toBeGreaterThanOrEqual(12 * HOUR);
    const strip = stripOf(input, axis);
    expect(strip.sky[0].from).toBe(axis.from);
    expect(strip.tide.length).toBeGreaterThan(40);
    expect(strip.works.every((w) => w.from >= axis.from && w.until <= axis.until)).toBe(true);
  });
  test('the sweep says what each departure would say, less what no hour changes', () => {
    const rows = sweep(input, axis.from, axis.until, HOUR);
    const prepared = prepare(input);
    rows.forEach((row) => {
      const at = prepared.at(row.leave).findings.filter((f) => /^(day|kit|ready)\//.test(f.id));
      if (row.worst === 'stop') expect(worstLevel(at)).toBe('stop');
      expect(LEVELS.indexOf(row.worst)).toBeGreaterThanOrEqual(LEVELS.indexOf(worstLevel(at)));
    });
    expect(rows[0].worst).not.toBe(rows[5].worst);
  });
  test('a day that is as bad at every hour is worse than another, though within itself nothing differs', () => {
    const forecast = steady();
    const day = civilDate(axis.from, 'UTC');
    const windy = {
      ...forecast,
      hours: forecast.hours.map((h) => (h.at.startsWith(day) ? { ...h, wind: 14, gust: 19 } : h)),
    };
    const blown = inputOf(0, { forecast: windy, trip: { limits: { wind: 8, gust: 12 } } });
    const DAY = 24 * HOUR;
    const at = Date.parse(`${day}T08:00:00Z`);
    const spans = [0, 1].map((n) => ({ from: at + n * DAY, until: at + n * DAY + 2 * HOUR }));
    const alone = sweep(blown, spans[0].from, spans[0].until, HOUR);
    const steps = sweepDays(blown, spans, HOUR);
    let next = steps.next();
    while (!next.done) next = steps.next();
    const [today, tomorrow] = next.value;
    expect(alone.map((d) => d.worst)).toEqual(['stop', 'stop', 'stop']);
    expect(today.map((d) => d.worst)).toEqual(['stop', 'stop', 'stop']);
    expect(tomorrow).toHaveLength(3);
    expect(tomorrow.map((d) => d.worst)).not.toContain('stop');
    expect(tomorrow.map((d) => d.leave)).toEqual([0, 1, 2].map((h) => spans[1].from + h * HOUR));
  });
  test('at() and assess() agree on the departure that the trip names', () => {
    const prepared = prepare(input);
    expect(prepared.at(prepared.leave!)).toEqual(assess(input));
  });
  test('time only runs one way: without a forecast or a place nothing is drawn, nothing throws', () =>
    expect(stripOf({ ...input, conditions: {}, shed: { ...input.shed, waters: [] } }, axis)).toMatchObject({
      tide: [],
      wind: [],
      works: [],
    }));
});
