import { screen, within } from '@testing-library/react';
import { at } from '../../test/router';
import { fakeServer, fresh, show, TRIP } from '../../test/world';
import { DaySection } from '../plan/day-section';
import { ThingPage } from '../shed/thing-page';
import { LIMITS } from './words';

const ROWAN = '01890000-0000-7000-8000-000000000001';
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
});
const doc = (id: string) => server.things.find((h) => h.id === id)!.doc as unknown as Record<string, unknown>;
const rows = (table: HTMLElement) =>
  within(table)
    .getAllByRole('row')
    .map((row) => row.textContent);

describe('limits of a person', () => {
  const page = () => {
    at({ type: 'person', id: ROWAN });
    return show(<ThingPage />, {});
  };
  test('each beside what is usual, and on how many of the kept days it would have said no', async () => {
    page();
    const kayak = rows(await screen.findByRole('table', { name: 'Sit-on-top kayak: sure of it' }));
    // Of the three days one blows 10.5 m/s at its worst; usual are sixteen knots.
    expect(kayak.find((row) => row?.startsWith('Wind'))).toBe('Wind16.0 knno on 1 of 3none set');
    expect(kayak.find((row) => row?.startsWith('Out'))).toBe('Out6 h 006 h 00');
    expect(screen.getByText(/^Held against 3 days of forecasts/)).toBeTruthy();
  });
  test('one that goes beyond what is usual is called so', async () => {
    (doc(ROWAN).skills as { limits?: object }[])[0].limits = { wind: 12, waterTemperature: 1 };
    page();
    const kayak = rows(await screen.findByRole('table', { name: 'Sit-on-top kayak: sure of it' }));
    expect(kayak.filter((row) => row?.includes(LIMITS.beyond)).map((row) => row?.slice(0, 5))).toEqual([
      'Wind1',
      'Water',
    ]);
  });
  test('with no forecast kept, no day is counted', async () => {
    for (const held of server.things) delete (held.doc as { forecast?: object }).forecast;
    page();
    expect(await screen.findByText(LIMITS.noDays)).toBeTruthy();
    expect(screen.queryByText(/no on/)).toBeNull();
    expect(screen.getByRole('heading', { name: LIMITS.plain })).toBeTruthy();
  });
});

describe('limits of a trip', () => {
  test('what its limits would have said', async () => {
    at({ id: TRIP });
    show(<DaySection />, { trip: TRIP });
    expect(rows(await screen.findByRole('table', { name: LIMITS.title })).join(' ')).toMatch(
      /Wind14\.0 knno on 2 of 3/,
    );
  });
  test('none kept, no table', async () => {
    at({ id: TRIP });
    for (const held of server.things) delete (held.doc as { forecast?: object }).forecast;
    show(<DaySection />, { trip: TRIP });
    expect(await screen.findByText(LIMITS.noDays)).toBeTruthy();
    expect(screen.queryByRole('table', { name: LIMITS.title })).toBeNull();
  });
  test('what she carries to go by is asked as her drive wants it', async () => {
    at({ id: TRIP });
    show(<DaySection />, { trip: '01890000-0000-7000-8000-000000000056' });
    expect(await screen.findByLabelText(/^Fuel aboard as you leave/)).toBeTruthy();
    expect(screen.queryByLabelText(/^Battery charged/)).toBeNull();
  });
});
