import { describe, expect, test } from '@jest/globals';
import { steady, demo } from '../../test/demo';
import { lineOf } from '../chart';
import type { Boat, Finding, ForecastHour, Place, Schedule, Trip, Water } from '../model';
import type * as z from 'zod';
import { render } from '../say';
import { sortForecast } from '../water';
import { seaFindings } from './find-sea';
import { reachesOf } from './way';

type Hour = z.infer<typeof ForecastHour>;
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const said = ({ title, because, assumed }: Finding) =>
  [title, ...because, ...assumed].map((p) => render(p, reader)).join(' ');
const HOUR = 3_600_000,
  NOON = Date.UTC(2026, 4, 12, 12);
const place = (id: string, lat: number, lon: number): Place => ({
  id,
  name: id,
  kind: 'waypoint',
  position: { lat, lon },
});
/** Four and a half miles east along the fiftieth parallel. */
const A = place('A', 50, -5.2),
  B = place('B', 50, -5.1);
const schedule: Schedule = {
  leave: NOON,
  legs: [
    { from: 'A', to: 'B', departs: NOON, arrives: NOON + HOUR, metres: 7166, bearing: 90 },
    { from: 'B', to: 'A', departs: NOON + HOUR, arrives: NOON + 2 * HOUR, metres: 7166, bearing: 270 },
  ],
  halts: [],
  home: NOON + 2 * HOUR,
  overdue: NOON + 3 * HOUR,
  checkIns: [],
};
const corner = (lat: number, lon: number) => ({ lat, lon });
const box = (south: number, west: number, north: number, east: number) =>
  lineOf([corner(south, west), corner(south, east), corner(north, east), corner(north, west)]);
const WATER: Water = { id: 'w', name: 'W', class: 'lake', jurisdiction: [], zone: 'UTC' };
/** Water from 4.5 km south of the way to 4.5 km north of it. */
const lake: Water = {
  ...WATER,
  chart: { source: 'x', shore: [{ inside: 'water', rings: [box(49.96, -5.4, 50.04, -4.9)] }], depths: [] },
};
/** A straight coast 445 m north of the way; the sea lies open to the south. */
const coast: Water = {
  ...WATER,
  chart: { source: 'x', shore: [{ inside: 'land', rings: [box(50.004, -5.5, 50.1, -4.8)] }], depths: [] },
};
const kayak: Boat = {
  id: 'b',
  name: 'B',
  kind: 'sit-on-top',
  propulsion: [{ kind: 'paddle' }],
  openings: [],
};
const found = (
  hour: Partial<Hour>,
  water: Water,
  {
    limits = {},
    boat = kayak,
    invented = false,
    halts = [],
    told = (h: Hour) => h,
    at = schedule,
  }: {
    limits?: Trip['limits'];
    boat?: Boat;
    invented?: boolean;
    halts?: Place[];
    told?: (hour: Hour) => Hour;
    at?: Schedule;
  } = {},
) =>
  seaFindings(
    {
      trip: { ...demo().trips[0], limits },
      boat,
      water,
      halts,
      forecast: sortForecast({
        ...steady(hour),
        hours: steady(hour).hours.map(told),
        ...(invented ? { invented } : {}),
      })!,
    },
    reachesOf([A, B, A]),
  )(at);
const by = (all: Finding[], kind: string) => all.find((f) => f.id.startsWith(`${kind}/`));

describe('waves that no forecast names', () => {
  // 4.4 km from the south at 10 m/s: between 0.34 m (JONSWAP) and 0.45 m (SMB), by the formulas of `waves.test.ts`.
  test('are told as a band, with wind, fetch and what was taken for granted', () => {
    const text = said(by(found({ wind: 10, from: 180 }, lake), 'sea/waves')!);
    expect(text).toMatch(
      /0\.3 m to 0\.5 m every 1\.[67] to 2\.[56] seconds, raised by 19\.4 kn over 2\.4 nm/,
    );
    expect(text).toContain('five published formulas');
    expect(text).toContain('no depth is drawn');
  });
  test('over a limit with all of the band they are to be mended, with its upper end they may be; under it they are known, no more', () => {
    const at = (waves: number) =>
      by(found({ wind: 10, from: 180 }, lake, { limits: { waves } }), 'sea/waves')!;
    expect([at(0.2).level, at(0.4).level, at(0.6).level]).toEqual(['fix', 'fix', 'know']);
    expect(said(at(0.2))).toContain('Waves over your limit');
    expect(said(at(0.4))).toContain('may be over');
  });
  test('where the chart shows no shore to windward nothing is reckoned, and that is said', () => {
    const all = found({ wind: 10, from: 180 }, coast);
    expect(by(all, 'sea/waves')).toBeUndefined();
    expect(by(all, 'sea/open')).toMatchObject({ level: 'know', open: true });
    expect(by(found({ wind: 10, from: 180 }, WATER), 'sea/waves')).toBeUndefined();
  });
});

describe('waves of a forecast', () => {
  test('stand before what is reckoned: over the limit they stop, within it they are ready unless they were invented', () => {
    const at = (invented: boolean, waves: number) =>
      by(found({ wind: 10, from: 180, waves }, lake, { limits: { waves: 0.5 }, invented }), 'sea/waves')!;
    expect([at(false, 0.6).level, at(false, 0.4).level, at(true, 0.4).level]).toEqual([
      'stop',
      'ready',
      'know',
    ]);
  });
});

describe('hours in which one lies at a halt', () => {
  /** An hour out, three at B, an hour back. */
  const long: Schedule = {
    ...schedule,
    legs: [schedule.legs[0], { ...schedule.legs[1], departs: NOON + 4 * HOUR, arrives: NOON + 5 * HOUR }],
    halts: [{ place: 'B', from: NOON + HOUR, until: NOON + 4 * HOUR }],
    home: NOON + 5 * HOUR,
  };
  const at = (h: Hour, hour: number) => Date.parse(h.at) === NOON + hour * HOUR;
  test('count: waves of a forecast that are high only then, wind that blows only then', () => {
    const limits = { waves: 0.5 };
    const high = (h: Hour) => (at(h, 2) ? { ...h, waves: 1.2 } : h);
    const within = (told?: (h: Hour) => Hour) =>
      by(
        found({ wind: 5, waves: 0.2 }, lake, { limits, halts: [B], at: long, ...(told ? { told } : {}) }),
        'sea/waves',
      )!;
    expect([within().level, within(high).level]).toEqual(['ready', 'stop']);
    const blow = (h: Hour) => (at(h, 2) || at(h, 3) ? { ...h, wind: 12 } : h);
    const raised = by(
      found({ wind: 4, from: 180 }, lake, { halts: [B], at: long, told: blow }),
      'sea/waves',
    )!;
    expect(said(raised)).toMatch(/At B at 1[45]:\d\d: 0\.4 m to 0\.6 m/);
  });
  test('an hour of them without waves in the forecast is not known to be within any limit', () => {
    const hole = ({ waves, ...h }: Hour): Hour =>
      [1, 2, 3, 4].some((hour) => at(h, hour)) ? h : { ...h, waves: waves! };
    const level = by(
      found({ wind: 5, waves: 0.2 }, lake, { limits: { waves: 0.5 }, halts: [B], at: long, told: hole }),
      'sea/waves',
    )!.level;
    expect(level).toBe('know');
  });
});

describe('wind and land', () => {
  test('off the land and none to leeward: for who paddles, by its strength', () => {
    const at = (wind: number, boat = kayak) =>
      by(found({ wind, from: 0 }, coast, { boat }), 'sea/offshore')?.level;
    expect([at(3), at(4), at(6)]).toEqual([undefined, 'know', 'fix']);
    expect(at(6, { ...kayak, kind: 'skiff', propulsion: [{ kind: 'outboard' }] })).toBeUndefined();
    expect(by(found({ wind: 6, from: 180 }, coast), 'sea/offshore')).toBeUndefined();
  });
  test('onto a shore that is close', () => {
    expect(said(by(found({ wind: 6, from: 180 }, coast), 'sea/lee')!)).toContain('440 m to leeward');
    expect(by(found({ wind: 5, from: 180 }, coast), 'sea/lee')).toBeUndefined();
    expect(by(found({ wind: 6, from: 0 }, coast), 'sea/lee')).toBeUndefined();
  });
});
