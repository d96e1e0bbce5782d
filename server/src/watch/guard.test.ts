import { describe, expect, test } from '@jest/globals';
import { guardedClock, HOLD, type Remembered } from './guard';

const MIN = 60_000,
  H = 60 * MIN,
  DAY = 24 * H;
const START = Date.UTC(2026, 4, 12, 8);

/** A machine whose wall clock can be set, and which can sleep: then only the wall goes on. */
function machine(before?: Remembered, atStake = true, at = START) {
  let wall = at,
    mono = 1000;
  const clock = guardedClock({ wall: () => wall, mono: () => mono }, before, atStake);
  return {
    clock,
    pass: (ms: number) => {
      // The watch looks each second.
      for (let left = ms; left > 0; left -= 1000) {
        const step = Math.min(1000, left);
        wall += step;
        mono += step;
        clock.now();
      }
    },
    set: (by: number) => {
      wall += by;
    },
    /** Of the clock against the true time, which began with the wall's. */
    ahead: (truth: number) => clock.now() - truth,
    wall: () => wall,
  };
}

describe('a leap ahead', () => {
  test.each([MIN, H, DAY])('of %d ms that is put right within seconds moves nothing', (by) => {
    const m = machine();
    m.pass(5000);
    m.set(by);
    m.pass(2000);
    expect(m.clock.standing()).toBe('asking');
    expect(m.ahead(START + 7000)).toBe(0);
    m.set(-by);
    m.pass(1000);
    expect(m.clock.standing()).toBe('steady');
    expect(m.ahead(START + 8000)).toBe(0);
  });
  test('that nobody can speak of is held two minutes and no longer: a laptop that slept must not be silent', () => {
    const m = machine();
    m.set(8 * H);
    m.pass(HOLD - 1000);
    expect(m.ahead(START)).toBe(HOLD - 1000);
    m.pass(2000);
    expect(m.clock.standing()).toBe('unconfirmed');
    expect(m.ahead(START + 8 * H)).toBe(HOLD + 1000);
  });
  test('that a phone confirms is believed at once', () => {
    const m = machine();
    m.set(8 * H);
    m.pass(1000);
    m.clock.heard('phone', m.wall() + 700, false);
    expect(m.clock.standing()).toBe('agreed');
    expect(m.ahead(START + 8 * H)).toBe(1000);
  });
  test('that a phone contradicts is not believed, however long it lasts', () => {
    const m = machine();
    m.set(DAY);
    m.pass(1000);
    m.clock.heard('phone', START + 1500, false);
    m.pass(3 * H);
    expect(m.clock.standing()).toBe('contradicted');
    expect(m.clock.off()).toBe(DAY);
    expect(m.ahead(START)).toBe(3 * H + 1000);
  });
  test('is not confirmed by a browser on the same machine, which shows the same clock', () => {
    const m = machine();
    m.set(DAY);
    m.pass(1000);
    m.clock.heard('laptop', m.wall(), true);
    expect(m.clock.standing()).toBe('asking');
  });
  test.each([MIN, -MIN])('of a minute is told from a phone that was always %d ms off', (habit) => {
    const m = machine();
    m.clock.heard('phone', START + habit, false);
    m.set(MIN);
    m.pass(1000);
    m.clock.heard('phone', START + 1000 + habit, false);
    expect(m.clock.standing()).toBe('contradicted');
  });
  test('gone along with and contradicted afterwards is taken back', () => {
    const m = machine();
    m.set(DAY);
    m.pass(HOLD + 1000);
    expect(m.ahead(START + DAY)).toBe(HOLD + 1000);
    m.clock.heard('phone', START + HOLD + 1000, false);
    expect(m.ahead(START)).toBe(HOLD + 1000);
    expect(m.clock.standing()).toBe('contradicted');
    m.pass(5000);
    expect(m.ahead(START)).toBe(HOLD + 6000);
  });
  test('gone along with and put right afterwards: time goes back with it', () => {
    const m = machine();
    m.set(DAY);
    m.pass(HOLD + 1000);
    m.set(-DAY);
    m.pass(1000);
    expect(m.clock.standing()).toBe('steady');
    expect(m.ahead(START)).toBe(HOLD + 2000);
  });
});

describe('a leap back', () => {
  test.each([MIN, H, DAY])('of %d ms is not followed: what has been counted goes on', (by) => {
    const m = machine();
    m.pass(5000);
    m.set(-by);
    m.pass(10 * MIN);
    expect(m.clock.standing()).toBe('behind');
    expect(m.ahead(START)).toBe(10 * MIN + 5000);
  });
  test('is followed when a phone says so', () => {
    const m = machine();
    m.set(-H);
    m.pass(1000);
    m.clock.heard('phone', START - H + 1000, false);
    expect(m.ahead(START - H)).toBe(1000);
  });
});

test('after a sleep that nobody spoke of, an hour back is not the taking back of it; a day later nothing is in doubt', () => {
  const m = machine();
  m.set(8 * H);
  m.pass(HOLD + 1000);
  m.set(-H);
  m.pass(1000);
  expect(m.clock.standing()).toBe('behind');
  expect(m.ahead(START + 8 * H)).toBe(HOLD + 2000);
  m.set(H);
  m.pass(DAY + MIN);
  expect(m.clock.standing()).toBe('steady');
});

describe('after a restart', () => {
  test('of a minute nothing is asked; after two days with something due it is, for two minutes', () => {
    expect(machine({ seenAt: START - MIN, leap: 0 }).clock.standing()).toBe('steady');
    const m = machine({ seenAt: START - 2 * DAY, leap: 0 });
    expect(m.clock.standing()).toBe('asking');
    expect(m.ahead(START)).toBe(-2 * DAY);
    m.pass(HOLD + 1000);
    expect(m.ahead(START)).toBe(HOLD + 1000);
    expect(machine({ seenAt: START - 2 * DAY, leap: 0 }, false).clock.standing()).toBe('steady');
  });
  test('with a clock that has fallen back to long ago, time goes on from where it was seen', () => {
    const m = machine({ seenAt: START, leap: 0 }, true, Date.UTC(1970, 0, 1));
    m.pass(MIN);
    expect(m.clock.standing()).toBe('behind');
    expect(m.clock.now()).toBe(START + MIN);
  });
  test('a leap that was gone along with before is still known for one', () => {
    const m = machine({ seenAt: START + DAY, leap: DAY });
    m.pass(1000);
    expect(m.ahead(START)).toBe(1000);
    expect(m.clock.standing()).toBe('steady');
  });
});

test('what is counted, and remembered, is whole milliseconds, as the database keeps them', () => {
  let mono = 0.25;
  const clock = guardedClock({ wall: () => START + (mono > 1000 ? DAY : 0), mono: () => mono });
  mono += 1000.3;
  expect(Number.isInteger(clock.now())).toBe(true);
  expect(Number.isInteger(clock.off())).toBe(true);
  mono += HOLD;
  clock.now();
  expect(clock.standing()).toBe('unconfirmed');
  expect([clock.remember().leap, clock.remember().seenAt].every(Number.isInteger)).toBe(true);
});

test('a flood of made-up devices is forgotten again, and one that speaks often is not', () => {
  const m = machine();
  for (let i = 0; i < 5000; i += 1) {
    m.clock.heard(`made-up-${i}`, START + 50, false);
    m.clock.heard('phone', START + MIN, false);
  }
  m.set(MIN);
  m.pass(1000);
  m.clock.heard('phone', START + 1000 + MIN, false);
  expect(m.clock.standing()).toBe('contradicted');
});

test('a second and slow corrections are followed as they come', () => {
  const m = machine();
  for (let i = 0; i < 100; i += 1) {
    m.set(900);
    m.pass(1000);
  }
  expect(m.clock.standing()).toBe('steady');
  expect(m.clock.now()).toBe(m.wall());
});
