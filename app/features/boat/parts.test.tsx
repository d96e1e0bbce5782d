import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Boat } from '@escale/core/model';
import { fresh, show, type fakeServer } from '../../test/world';
import { at, visited } from '../../test/router';
import { LoadSection } from '../load/load-section';
import { WaterSection } from '../plan/water-section';
import { RoundPage } from '../shed/round-page';
import { PartsPage } from './parts-page';

const PLOVER = '01890000-0000-7000-8000-000000000007',
  DAWN = '01890000-0000-7000-8000-000000000055',
  FOUR = '01890000-0000-7000-8000-000000000056';
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
});
const user = userEvent.setup({ delay: null });
const doc = (id: string) => server.things.find((h) => h.id === id)!.doc as unknown as Record<string, unknown>;
const plover = () => doc(PLOVER) as unknown as Boat;
// By label: looking for a role goes through every node of a page with twenty rows that open.
const press = (name: string | RegExp) => user.click(screen.getByLabelText(name));

describe('her parts', () => {
  beforeEach(() => at({ boat: PLOVER, part: 'jack' }));
  test('failed today, then mended: what was done is written down, and the part waits for its test again', async () => {
    show(<PartsPage />);
    await screen.findByLabelText('Failed today: Jack wheel up and locked');
    await press('Failed today: Jack wheel up and locked');
    await screen.findByLabelText(/^Jack wheel up and locked: failed 11 May 2026/);
    await waitFor(() =>
      expect(plover().parts?.jack).toMatchObject({ state: 'failed', tests: [{ passed: false }] }),
    );
    await user.type(await screen.findByLabelText('What was done'), 'New pin');
    await press('Mended: to be tested again');
    await waitFor(() =>
      expect(Object.values(plover().works ?? {})).toEqual(
        expect.arrayContaining([
          expect.objectContaining({ what: 'New pin', part: 'jack', on: '2026-05-11' }),
        ]),
      ),
    );
    await waitFor(() => expect(plover().parts?.jack).not.toHaveProperty('state'));
    expect(await screen.findByText(/^11 May 2026, at 310.0 h: New pin$/)).toBeTruthy();
  });
  test('she has none: said, and taken back', async () => {
    show(<PartsPage />);
    await screen.findByLabelText('She has none: Jack wheel up and locked');
    await press('She has none: Jack wheel up and locked');
    await screen.findByLabelText(/^Jack wheel up and locked: not on her/);
    await press('She has it after all: Jack wheel up and locked');
    await screen.findByLabelText(/^Jack wheel up and locked: never tested/);
  });
  test('every nought months is refused in words, and nothing is sent', async () => {
    at({ boat: PLOVER, part: 'hull' });
    show(<PartsPage />);
    const months = await screen.findByLabelText('Tested every so many months');
    await user.type(months, '0');
    await user.tab();
    expect(await screen.findByText(/at least 1/)).toBeTruthy();
    expect(plover().parts?.hull?.everyMonths).toBeUndefined();
    await user.clear(months);
    await user.type(months, '6');
    await user.tab();
    await waitFor(() => expect(plover().parts?.hull?.everyMonths).toBe(6));
  });
  test('a part of her owner’s own is added, and a boat that is gone says so', async () => {
    show(<PartsPage />);
    await screen.findByLabelText('A part of your own');
    await press('A part of your own');
    await user.type(await screen.findByLabelText('Part'), 'Pot hauler');
    await press('Add it');
    expect(await screen.findByLabelText(/^Pot hauler: never tested/)).toBeTruthy();
    at({ boat: '01890000-0000-7000-8000-00000000dead' });
    show(<PartsPage />);
    expect(await screen.findByText('No such boat')).toBeTruthy();
  });
});

test('a round over one boat: her parts first, each result written into her', async () => {
  at({ boat: PLOVER });
  show(<RoundPage />);
  const first = await screen.findByRole('heading', { level: 2 });
  const name = first.textContent!;
  await press('Passed');
  await waitFor(() => expect(screen.getByRole('heading', { level: 2 }).textContent).not.toBe(name));
  await waitFor(() => {
    const tested = Object.values(plover().parts ?? {}).filter((p) => p.inspected === '2026-05-11');
    expect(tested).toHaveLength(1);
  });
  expect(screen.getByText(`${name}: passed`)).toBeTruthy();
});

describe('in the load', () => {
  test('who stands: heel and edge as bands; said, and kept', async () => {
    show(<LoadSection />, { trip: FOUR });
    const rowan = await screen.findByRole('radiogroup', { name: 'Rowan Pike: sits or stands' });
    expect(
      screen.getAllByText(/A sway of 10 cm heels her by [\d.]+° to [\d.]+° and leaves/).length,
    ).toBeGreaterThan(1);
    await user.click(within(rowan).getByRole('radio', { name: 'Stands up' }));
    await waitFor(() => expect((doc(FOUR).crew as { stands?: boolean }[])[0].stands).toBe(true));
  });
  test('what lies on a hatch: nothing, or something by name; taken off it is not said again', async () => {
    show(<LoadSection />, { trip: DAWN });
    await user.click(await screen.findByLabelText('Nothing lies there'));
    await waitFor(() => expect(doc(DAWN).onHatch).toMatchObject({ lies: [] }));
    await user.click(screen.getByLabelText('Something does'));
    await waitFor(() => expect(doc(DAWN)).not.toHaveProperty('onHatch'));
    await user.click(await screen.findByLabelText('Tackle, rods and crate'));
    await waitFor(() => expect(doc(DAWN).onHatch).toMatchObject({ lies: ['Tackle, rods and crate'] }));
    await user.click(screen.getByLabelText('Tackle, rods and crate'));
    await waitFor(() => expect(doc(DAWN)).not.toHaveProperty('onHatch'));
  });
});

test('is she for this water: the answer and every reason', async () => {
  show(<WaterSection />, { trip: DAWN });
  const row = await screen.findByLabelText('Is Sprat for this water?: near the shore only');
  await user.click(row);
  expect(screen.getByText('Sprat is for near the shore only, and this way leads further out.')).toBeTruthy();
  expect(screen.getAllByText(/floats on at neither end/).length).toBeGreaterThan(0);
  expect(screen.getByText(/Everybody practised/)).toBeTruthy();
});
