import { screen, within } from '@testing-library/react';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { at } from '../../test/router';
import { BodiesBlock, RunsBlock, SignalsBlock } from './layers-part';

const FOUR = '01890000-0000-7000-8000-000000000056';
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
});

describe('what is on bodies', () => {
  test('each of four has what fits or was given out; what nobody said on whom is asked for', async () => {
    at({ id: FOUR });
    show(<BodiesBlock />, { trip: FOUR });
    const rowan = await screen.findByRole('group', { name: 'Rowan Pike' });
    expect(within(rowan).getByText('Phone in floating case')).toBeTruthy();
    expect(within(rowan).getByText(/^Nothing for being heard, .* and the head\.$/)).toBeTruthy();
    const tilda = screen.getByRole('group', { name: 'Tilda Pike' });
    expect(within(tilda).queryByText('Phone in floating case')).toBeNull();
    expect(screen.getByText(/^On somebody, and nobody said on whom: .*Locator beacon/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Say whose Locator beacon is' }).getAttribute('href')).toContain(
      '?at=%2Fowner',
    );
  });
  test('alone nobody has to say on whom', async () => {
    at({ id: TRIP });
    show(<BodiesBlock />, { trip: TRIP });
    const rowan = await screen.findByRole('group', { name: 'Rowan Pike' });
    expect(within(rowan).getAllByText(/Locator beacon/)).toHaveLength(2);
    expect(screen.queryByText(/nobody said on whom/)).toBeNull();
  });
});

describe('signals in layers', () => {
  test('where they are, how far they reach, what is left without the boat, how soon one is seen', async () => {
    at({ id: TRIP });
    show(<SignalsBlock />, { trip: TRIP });
    const list = await screen.findByRole('list', { name: 'Signals, layer by layer' });
    const row = (name: string) =>
      within(list)
        .getAllByRole('listitem')
        .find((each) => each.textContent.startsWith(name))!.textContent;
    expect(row('Flare')).toMatch(/up to \d\.\d nmIn reachRed hand flares × 2$/);
    expect(row('Mirror')).toContain('On bodiesSignal mirror');
    expect(row('Phone')).not.toMatch(/nm/);
    expect(screen.getByText(/^By day: .*phone/)).toBeTruthy();
    // 0.75 m and more over the water at five to fifteen minutes of arc, at 25 knots.
    expect(screen.getAllByText(/m by day: 1\d to \d\d seconds\.$/)).toHaveLength(1);
    expect(screen.getAllByText(/vanishes in every trough/)).toHaveLength(3);
  });
  test('in a box said to be one, the box can be lost', async () => {
    const flares = server.things.find(({ doc }) => (doc as { name?: string }).name === 'Red hand flares')!;
    const box = { ...flares, id: '01890000-0000-7000-8000-0000000000b1' };
    const doc = { ...(flares.doc as object), id: box.id, kind: 'signal-box', name: 'Box', count: 1 };
    server.things.push({ ...box, doc } as typeof flares);
    Object.assign(flares.doc, { on: box.id });
    at({ id: TRIP });
    show(<SignalsBlock />, { trip: TRIP });
    expect(await screen.findByText('Left when the box is gone')).toBeTruthy();
  });
});

test('what runs out first: said of what was entered, asked of the rest', async () => {
  const phone = server.things.find(({ doc }) => (doc as { kind?: string }).kind === 'phone')!;
  Object.assign(phone.doc, { charge: 0.5, lasts: 2 * 3600 });
  at({ id: TRIP });
  show(<RunsBlock />, { trip: TRIP });
  const list = await screen.findByRole('list', { name: 'What runs out first' });
  const [first, ...rest] = within(list).getAllByRole('listitem');
  // Left at 06:20, it holds for one hour.
  expect(first.textContent).toMatch(
    /^Phone in floating caseuntil Tue 12 May 07:20Runs 1\.0 h; 3\.9 h planned/,
  );
  expect(rest.some((row) => row.textContent.includes('not said'))).toBe(true);
  expect(within(list).getAllByRole('link', { name: /^Say how long/ }).length).toBeGreaterThan(0);
});
