import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Drill } from '@escale/core/model';
import { at } from '../../test/router';
import { fresh, type fakeServer, show } from '../../test/world';
import { fetchProcedures } from '../../data/procedures';
import { DrillsPage, PracticePage } from './pages';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  await fetchProcedures();
  at({});
});
const user = userEvent.setup({ delay: null });
const drills = () =>
  server.things.filter((held) => held.type === 'drill' && !held.deleted).map((held) => held.doc as Drill);

describe('drills', () => {
  test('who can what in her, the one gap, and whoever is nearest to it', async () => {
    show(<DrillsPage />);
    expect(await screen.findByText('The one gap to close: nobody here can get back aboard.')).toBeTruthy();
    expect(screen.getByText('Begin with Rowan Pike.')).toBeTruthy();
    await user.click(screen.getByRole('radio', { name: 'Trailer boat' }));
    expect(screen.getByRole('columnheader', { name: 'lift somebody aboard' })).toBeTruthy();
    expect(screen.queryByRole('columnheader', { name: 'right her' })).toBeNull();
  });
  test('by nobody: told, and nothing is lost; by somebody: noted, and it closes the gap', async () => {
    at({ kind: 'reenter' });
    show(<DrillsPage />);
    const before = drills().length;
    await user.click(await screen.findByRole('radio', { name: 'It worked' }));
    await user.click(screen.getByRole('radio', { name: 'Sprat' }));
    const add = screen.getAllByRole('button', { name: 'Note a drill' })[0];
    await user.click(add);
    expect(await screen.findByText(/Somebody did it: choose who\./)).toBeTruthy();
    expect(drills()).toHaveLength(before);
    for (const name of ['Rowan Pike', 'Maren Pike', 'Tilda Pike', 'Bram Tolley'])
      await user.click(screen.getAllByRole('checkbox', { name })[0]);
    await user.click(add);
    await waitFor(() => expect(drills()).toHaveLength(before + 1));
    expect(drills().at(-1)).toMatchObject({ kind: 'reenter', went: 'well' });
    await waitFor(() => expect(screen.queryByText(/nobody here can get back aboard/)).toBeNull());
  });
  test('one is removed, and put back', async () => {
    show(<DrillsPage />);
    const before = drills().length;
    await user.click(await screen.findByRole('button', { name: /^The call for help/ }));
    await user.click(screen.getByRole('button', { name: 'Remove' }));
    await waitFor(() => expect(drills()).toHaveLength(before - 1));
  });
  test('an empty household is told what belongs here, with the one button', async () => {
    server.things.splice(0);
    show(<DrillsPage />);
    expect(await screen.findByRole('heading', { name: 'Nobody is in the shed yet' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Add a person' })).toBeTruthy();
  });
});

describe('the page of practice', () => {
  test('what can be tried, whose water can be read, what was done for real; then the walks', async () => {
    show(<PracticePage />);
    for (const name of [
      'Backing the trailer',
      'Righting her',
      'Anchoring',
      'In which order?',
      'When to light a flare',
    ])
      expect((await screen.findAllByRole('link', { name })).length).toBeGreaterThan(0);
    expect(screen.getByText(/^Last noted: The call for help/)).toBeTruthy();
    expect(screen.getByRole('link', { name: /^Tern Holm/ }).getAttribute('href')).toMatch(/\/read$/);
  });
  test('an empty household: a trip is planned from there', async () => {
    server.things.splice(0);
    show(<PracticePage />);
    expect(await screen.findByRole('button', { name: 'Plan a trip' })).toBeTruthy();
    expect(screen.getByText(/^Nothing was noted yet\./)).toBeTruthy();
  });
});
