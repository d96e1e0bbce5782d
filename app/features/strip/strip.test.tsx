import { fireEvent, screen } from '@testing-library/react';
import { clock } from '@escale/core/say';
import { demoBundle } from '@escale/core/formats';
import { assess, stripAxis, stripOf, sweep } from '@escale/core/trip';
import { NOW, show } from '../../test/world';
import { DayStrip } from './day-strip';
import { DayTable } from './day-table';
import { axisHours, spread, windNumbers, xOf } from './draw';
import { Legend, Why } from './why';
import { CATALOGUE } from '@escale/core/kit';
import { packsFor } from '@escale/core/rules';

const bundle = demoBundle(NOW);
const input = {
  trip: bundle.trips[0],
  shed: bundle.shed,
  conditions: {},
  packs: packsFor(['US']),
  catalogue: CATALOGUE,
  now: NOW,
};
const assessment = assess(input);
const axis = stripAxis(input, assessment)!;
const strip = stripOf(input, axis);
const reader = { units: 'metric', zone: 'Atlantic/Azores', locale: 'en-GB' } as const;
const departures = sweep(input, axis.from, axis.until, 36e5);
const leave = assessment.leave!;

test('the slider says the time; arrows move it ten minutes, with Shift an hour, and stop at the ends', () => {
  const moved: number[] = [];
  show(
    <DayStrip
      strip={strip}
      schedule={assessment.schedule}
      leave={leave}
      departures={departures}
      reader={reader}
      onLeave={(at) => moved.push(at)}
    />,
  );
  const slider = screen.getByRole('slider');
  expect(slider.getAttribute('aria-valuetext')).toBe(
    `leave ${clock(leave, reader)}, home ${clock(assessment.schedule!.home!, reader)}`,
  );
  fireEvent.keyDown(slider, { key: 'ArrowRight' });
  fireEvent.keyDown(slider, { key: 'ArrowLeft', shiftKey: true });
  fireEvent.keyDown(slider, { key: 'Enter' });
  fireEvent.keyDown(slider, { key: 'Home' });
  fireEvent.keyDown(slider, { key: 'End' });
  expect(moved).toEqual([leave + 600_000, leave - 3_600_000, strip.from, strip.until]);
});

test('the table twin has every mark of the day', () => {
  show(
    <DayTable
      strip={strip}
      schedule={assessment.schedule}
      departures={departures}
      reader={reader}
      name={(id) => bundle.shed.places.find((p) => p.id === id)!.name}
    />,
  );
  const marks = screen.getByRole('list').textContent;
  for (const word of ['First light', 'Sunrise', 'Leave', 'Reach Tern Holm', 'Turn back', 'Home', 'Overdue'])
    expect(marks).toContain(word);
  expect(marks).toMatch(/High water, \d\.\d m/);
  // Heads, and an hour each.
  expect(screen.getAllByRole('row')).toHaveLength(2 + (strip.until - strip.from) / 3_600_000);
  expect(screen.getAllByRole('columnheader').map((h) => h.textContent)).toEqual([
    'Time',
    'Light',
    'Tide',
    'Wind, gust',
    'Leaving then',
  ]);
});

test('flags that would stand on each other are moved apart, in order, within the width', () => {
  const words = [60, 58, 24, 40];
  const at = spread([10, 12, 14, 380], words, 390);
  at.slice(1).forEach((x, i) => expect(x - at[i]).toBeGreaterThanOrEqual((words[i] + words[i + 1]) / 2));
  expect(at[0]).toBeGreaterThanOrEqual(30);
  expect(at.at(-1)).toBeLessThanOrEqual(370);
  // What stands clear stays where it is.
  expect(spread([50, 150, 250, 340], words, 390)).toEqual([50, 150, 250, 340]);
});

describe('scales', () => {
  const HOUR = 3_600_000;
  const hourOf = (at: number) => Number(clock(at, reader).slice(0, 2));
  test.each([320, 390, 768, 1280])(
    'at %i px hours find room and stand on the clock of the water',
    (width) => {
      const x = xOf(axis, width);
      const at = axisHours(axis, x, hourOf);
      expect(at.length).toBeGreaterThan(3);
      const apart = at.slice(1).map((t, i) => x(t) - x(at[i]));
      expect(Math.min(...apart)).toBeGreaterThanOrEqual(30);
      expect(new Set(apart.map(Math.round)).size).toBe(1);
      expect(x(at[0])).toBeGreaterThan(10);
      expect(x(at.at(-1)!)).toBeLessThan(width - 10);
    },
  );
  test('the wind is written where it changes, never on top of itself', () => {
    const x = xOf(axis, 390);
    const wind = (values: number[]) =>
      values.map((w, i) => ({ at: axis.from + i * HOUR, wind: w, gust: w + 2, from: 200 }));
    expect(windNumbers(wind([4, 4, 4, 4, 4, 4, 4, 4, 4, 4]), x, 390)).toHaveLength(1);
    const some = windNumbers(wind([4, 4, 4, 8, 8, 8, 12, 12, 12, 12]), x, 390);
    expect(some.map((w) => w.wind)).toEqual([4, 8, 12]);
    const apart = some.slice(1).map((w, i) => x(w.at) - x(some[i].at));
    expect(Math.min(...apart)).toBeGreaterThanOrEqual(40);
    expect(windNumbers([], x, 390)).toEqual([]);
  });
});

test('a column that is pressed says why, and takes the trip there; a hand that drags asks nothing', () => {
  const asked: number[] = [],
    moved: number[] = [];
  show(
    <DayStrip
      strip={strip}
      schedule={assessment.schedule}
      leave={leave}
      departures={departures}
      reader={reader}
      onMove={() => undefined}
      onLeave={(at) => moved.push(at)}
      onWhy={(at) => asked.push(at)}
    />,
  );
  const slider = screen.getByRole('slider');
  const press = (type: string, x: number, y: number) =>
    fireEvent(
      slider,
      Object.assign(new MouseEvent(type, { bubbles: true, clientX: x, clientY: y }), { pointerId: 1 }),
    );
  slider.setPointerCapture = () => undefined;
  press('pointerdown', 40, 170);
  press('pointerup', 40, 170);
  expect(asked).toHaveLength(1);
  press('pointerdown', 40, 60);
  press('pointerup', 40, 60);
  press('pointerdown', 40, 170);
  press('pointermove', 80, 170);
  press('pointerup', 80, 170);
  expect(asked).toHaveLength(1);
  expect(moved).toHaveLength(1);
});

test('why: the level, the reason and what was compared; an hour against which nothing stands says so', () => {
  const went: number[] = [];
  const worst = departures.find((d) => d.worst !== 'ready' && d.reason)!;
  const { unmount } = show(
    <Why departure={worst} reader={reader} here={false} onLeave={(at) => went.push(at)} />,
  );
  const said = screen.getByRole('status').textContent!;
  expect(said).toMatch(new RegExp(`^Leaving ${clock(worst.leave, reader)}: (Stop|Fix|Know)\\. `));
  fireEvent.click(screen.getByRole('button', { name: `Leave ${clock(worst.leave, reader)}` }));
  expect(went).toEqual([worst.leave]);
  unmount();
  show(
    <Why departure={{ leave, worst: 'ready', count: 0 }} reader={reader} here onLeave={() => undefined} />,
  );
  expect(screen.getByRole('status').textContent).toMatch(/nothing that changes with the hour/);
  expect(screen.queryByRole('button')).toBeNull();
  show(<Legend />);
  expect(screen.getByText(/^Dark ribbon: wind/)).toBeTruthy();
});
