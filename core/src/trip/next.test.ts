import { expect, test } from '@jest/globals';
import { inputOf } from '../../test/demo';
import type { Trip } from '../model';
import { leavesAt, nextTrip, repeatOf } from '.';

const { trip, shed } = inputOf();
const on = (date: string, time: string, more: Partial<Trip> = {}): Trip => ({
  ...trip,
  id: `${date} ${time}`,
  leave: { date, time },
  ...more,
});
const NOW = Date.UTC(2026, 4, 12, 20);

test('the next trip: one that is on, else the first planned that is not long past, by the clock of its own water', () => {
  const past = on('2026-05-12', '05:00'),
    soon = on('2026-05-12', '18:00'),
    after = on('2026-05-14', '06:00'),
    done = on('2026-05-13', '06:00', { status: 'done' });
  expect(nextTrip([after, past, done, soon], shed, NOW)).toBe(soon);
  expect(nextTrip([after, past], shed, NOW)).toBe(after);
  expect(nextTrip([past, done], shed, NOW)).toBeUndefined();
  const under = on('2026-05-10', '06:00', { status: 'on' });
  expect(nextTrip([soon, under], shed, NOW)).toBe(under);
  // 23:30 in the east is before 18:00 in the west of the same day.
  const waters = [
    { ...shed.waters[0], id: 'east', zone: 'Pacific/Auckland' },
    { ...shed.waters[0], id: 'west', zone: 'America/Los_Angeles' },
  ];
  const east = on('2026-05-13', '23:30', { water: 'east' }),
    west = on('2026-05-13', '18:00', { water: 'west' });
  expect(nextTrip([west, east], { waters }, NOW)).toBe(east);
});
test('an hour that a clock change leaves out is no departure', () => {
  const waters = [{ ...shed.waters[0], id: 'w', zone: 'Europe/Paris' }];
  expect(leavesAt(on('2026-03-29', '02:30', { water: 'w' }), { waters })).toBeUndefined();
  expect(
    nextTrip([on('2026-03-29', '02:30', { water: 'w' })], { waters }, Date.UTC(2026, 2, 28)),
  ).toBeDefined();
});
test('repeated, a trip keeps its plan and nothing that was said of its day', () => {
  const said: Trip = {
    ...trip,
    status: 'done',
    crew: trip.crew.map((c) => ({
      ...c,
      wearsJacket: true,
      cord: true,
      clothing: 'dry-suit',
      today: 'tired',
    })) as Trip['crew'],
    company: [{ boat: 'b', people: ['p'], wears: ['p'] }],
    forecast: { issuedAt: '2026-05-11T12:00:00Z', source: 'typed', hours: [] },
  };
  const again = repeatOf(said, { id: 'new', date: '2026-06-01' });
  expect(again).toEqual({
    ...trip,
    id: 'new',
    status: 'planned',
    leave: { date: '2026-06-01', time: trip.leave.time },
    crew: trip.crew.map(({ person, role, seat, jacket, buddy }) =>
      JSON.parse(JSON.stringify({ person, role, seat, jacket, buddy })),
    ),
    company: [{ boat: 'b', people: ['p'] }],
  });
});
