import { fireEvent, screen } from '@testing-library/react';
import { clock } from '@escale/core/say';
import { demoBundle } from '@escale/core/formats';
import { assess, stripAxis, stripOf, sweep } from '@escale/core/trip';
import { NOW, show } from '../../test/world';
import { DayStrip } from './day-strip';
import { DayTable } from './day-table';
import { spread } from './draw';
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
  expect(moved).toEqual([leave + 600_000, leave - 3_600_000]);
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
  for (const word of ['Leave', 'Reach Tern Holm', 'Turn back', 'Home', 'Overdue'])
    expect(marks).toContain(word);
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
