import { once } from 'node:events';
import { createServer } from 'node:http';
import { setImmediate as turn } from 'node:timers/promises';
import { describe, expect, test } from '@jest/globals';
import { pino } from 'pino';
import { simulatedClock } from '../clock';
import { guardedClock } from './guard';
import { heartbeat } from './heartbeat';
import { healthOf, HEALTHY, type Looked } from './health';
import type { Pulse } from './pulse';

const NOW = Date.UTC(2026, 4, 12);
const mono = () => performance.now();
const redOf = (pulse: Partial<Pulse>, more: Partial<Looked> = {}) =>
  healthOf({
    watch: {
      pulse: () => ({
        began: mono() - 60_000,
        counted: { at: mono(), setAside: 0 },
        sweptAt: mono(),
        ...pulse,
      }),
    },
    clock: simulatedClock(NOW, false),
    ...more,
  }).red;

describe('health', () => {
  test('of a watch that looks, with nothing waiting, is green', () => expect(redOf({})).toEqual([]));
  test('of one that has just begun is green; of one that does not look is red after a round’s time', () => {
    expect(redOf({ began: mono(), counted: undefined, sweptAt: undefined })).toEqual([]);
    expect(redOf({ counted: undefined })).toEqual(['silent']);
    expect(redOf({ sweptAt: undefined })).toEqual(['silent']);
    expect(redOf({ sweptAt: mono() - HEALTHY.round - 1000 })).toEqual(['silent']);
  });
  test.each([
    ['late', { oldestDue: NOW - HEALTHY.waits - 1 }],
    ['untold', { oldestUntold: NOW - HEALTHY.waits - 1 }],
    ['set-aside', { setAside: 1 }],
  ])('%s', (red, counted) =>
    expect(redOf({ counted: { at: mono(), setAside: 0, ...counted } })).toEqual([red]),
  );
  test('a clock that leapt, a copy that is old, a record that is broken', () => {
    let wall = NOW;
    const guard = guardedClock({ wall: () => wall, mono: () => 0 });
    expect(redOf({}, { guard })).toEqual([]);
    wall += 86_400_000;
    expect(redOf({}, { guard })).toEqual(['clock']);
    expect(redOf({}, { kept: () => ({ stale: true, broken: 2 }) })).toEqual(['backup', 'chain']);
  });
});

test('a heartbeat goes out while all is well, and stays away when it is not', async () => {
  let beats = 0;
  const listening = createServer((_req, res) => {
    beats += 1;
    res.end();
  }).listen(0, '127.0.0.1');
  await once(listening, 'listening');
  const { port } = listening.address() as { port: number };
  let ok = false;
  const health = () => ({
    ok,
    red: [],
    now: NOW,
    simulated: true,
    setAside: 0,
    clock: { standing: 'steady' as const, off: 0 },
  });
  const asked: boolean[] = [];
  const stop = heartbeat(
    { url: `http://127.0.0.1:${port}`, log: pino({ level: 'silent' }), every: 5 },
    () => {
      asked.push(ok);
      return health();
    },
  );
  while (asked.length < 5) await turn();
  expect(beats).toBe(0);
  ok = true;
  while (beats === 0) await turn();
  stop();
  listening.close();
  expect(beats).toBeGreaterThan(0);
});
