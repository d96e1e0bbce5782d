import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Debrief, GearItem } from '@escale/core/model';
import { at } from '../../test/router';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { DebriefSection } from './debrief-section';
import { CatchPage } from './catch-page';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
});
const user = userEvent.setup({ delay: null });
const debrief = () =>
  server.things.find((h) => h.type === 'debrief' && (h.doc as Debrief).trip === TRIP)?.doc as
    Debrief | undefined;
const gear = (name: string) =>
  server.things.find((h) => h.type === 'gear' && (h.doc as GearItem).name === name)?.doc as GearItem;
const row = (name: RegExp) => screen.findByRole('button', { name });
const begin = async () => {
  show(<DebriefSection />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: 'Begin' }));
  await waitFor(() => expect(debrief()).toBeTruthy());
};

describe('the debrief', () => {
  test('begins with who went in what, and keeps each tap: times against the plan', async () => {
    await begin();
    expect(debrief()).toMatchObject({ boat: '01890000-0000-7000-8000-000000000005', forgotten: [] });
    expect(debrief()?.who).toHaveLength(1);
    expect(debrief()?.left).toBeUndefined();
    await user.click(await screen.findByRole('button', { name: 'It was so: Left' }));
    await waitFor(() => expect(debrief()?.left).toBeTruthy());
    // The day it is about is the day of leaving.
    expect(debrief()?.on).toBe('2026-05-12');
    const home = screen.getByRole('group', { name: 'Ashore' });
    fireEvent.change(within(home).getByLabelText('Ashore'), { target: { value: '11:00' } });
    await waitFor(() => expect(debrief()?.home).toBeTruthy());
    expect(await within(home).findByText(/later than planned\.$/)).toBeTruthy();
    // An hour before one left: told, and nothing is reckoned with it.
    fireEvent.change(within(home).getByLabelText('Ashore'), { target: { value: '05:00' } });
    expect((await screen.findByRole('alert')).textContent).toMatch(/^Ashore before you left/);
  });

  test('taken away it can be begun again, under the same id on every phone', async () => {
    await begin();
    const { id } = debrief()!;
    await user.click(await screen.findByRole('button', { name: 'It was so: Left' }));
    await user.click(screen.getByRole('button', { name: 'Take the debrief away' }));
    await user.click(await screen.findByRole('button', { name: 'Begin' }));
    await waitFor(() => expect(debrief()).toMatchObject({ id, forgotten: [] }));
    await waitFor(() => expect(debrief()?.left).toBeUndefined());
    expect(await screen.findByRole('button', { name: 'Take the debrief away' })).toBeTruthy();
  });

  test('as it was: plan and forecast in one tap, one figure drawn, one taken back', async () => {
    await begin();
    await user.click(await screen.findByRole('button', { name: 'It was so: Left' }));
    await user.click(await screen.findByRole('button', { name: 'It was so: Ashore' }));
    await user.click(await row(/^As it was/));
    await screen.findByRole('button', { name: 'It was so: Wind at its most' });
    await user.click(screen.getByRole('button', { name: 'All of it as planned and forecast' }));
    await waitFor(() => expect(debrief()?.met).toMatchObject({ wind: 4, gust: 6, company: false }));
    expect(debrief()?.met?.metres).toBeGreaterThan(1000);
    const wind = await screen.findByRole('slider', { name: 'Wind at its most' });
    fireEvent.change(wind, { target: { value: '7' } });
    expect(debrief()?.met?.wind).toBe(4);
    fireEvent.pointerUp(wind);
    await waitFor(() => expect(debrief()?.met?.wind).toBe(7));
    await user.click(screen.getByRole('button', { name: 'Not said: Wind at its most' }));
    await waitFor(() => expect(debrief()?.met).not.toHaveProperty('wind'));
    const learn = within(screen.getByRole('group', { name: 'Learn from this trip' }));
    await user.click(learn.getByRole('radio', { name: 'No, it was not as usual' }));
    await waitFor(() => expect(debrief()?.learn).toBe(false));
    await user.click(learn.getByRole('radio', { name: 'Yes' }));
    await waitFor(() => expect(debrief()).not.toHaveProperty('learn'));
  });

  test('what was forgotten: again by a tap, new ones one a line, blank lines left out', async () => {
    await begin();
    await user.click(await row(/^Forgotten/));
    await user.click(await screen.findByRole('checkbox', { name: 'Hat' }));
    await waitFor(() => expect(debrief()?.forgotten).toEqual(['Hat']));
    const field = await screen.findByLabelText('Forgotten, one a line');
    await user.type(field, '{enter}Thermos{enter}{enter} Towel ');
    await user.tab();
    await waitFor(() => expect(debrief()?.forgotten).toEqual(['Hat', 'Thermos', 'Towel']));
  });

  test('a thing that broke goes back to the shed, and is taken back', async () => {
    await begin();
    await user.click(await row(/^Used up, broken, lost/));
    await user.click(await screen.findByRole('button', { name: /^What was it/ }));
    await user.click(await screen.findByRole('radio', { name: 'Whistle' }));
    const was = gear('Whistle').state;
    await user.click(await screen.findByRole('radio', { name: 'Broken' }));
    await waitFor(() => expect(gear('Whistle').state).toBe('failed'));
    await waitFor(() => expect(Object.values(debrief()?.things ?? {})).toMatchObject([{ became: 'broken' }]));
    await user.click(await screen.findByRole('button', { name: 'Take back: Whistle' }));
    await waitFor(() => expect(gear('Whistle').state).toBe(was));
    await waitFor(() => expect(debrief()?.things).toEqual({}));
  });

  test('without a boat and people it says what it lacks; nothing is lost', async () => {
    Object.assign(server.things.find(({ id }) => id === TRIP)!.doc, { boat: undefined, crew: [] });
    await begin();
    expect(await screen.findByText(/^Without a boat and people nothing is learnt/)).toBeTruthy();
    await user.click(await screen.findByRole('checkbox', { name: 'Maren Pike' }));
    await waitFor(() => expect(debrief()?.who).toHaveLength(1));
    await user.click(screen.getByRole('radio', { name: 'Plover' }));
    await waitFor(() => expect(debrief()?.boat).toBe('01890000-0000-7000-8000-000000000007'));
    // She has a motor: fuel is asked for now.
    expect(await row(/^Fuel used/)).toBeTruthy();
  });
});

describe('a catch', () => {
  const measure = async (length: string) => {
    await user.type(await screen.findByLabelText('Length, cm'), length);
    await user.click(await screen.findByRole('button', { name: 'Keep or release?' }));
  };
  test('is told to keep or release by the limit of its water, measured as that says, and kept', async () => {
    show(<CatchPage />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'Note a catch' }));
    await user.click(await screen.findByRole('radio', { name: 'Grey bass' }));
    expect(
      await screen.findByText(/^This limit is measured so: Nose to the tail’s tip, mouth shut/),
    ).toBeTruthy();
    await user.click(screen.getByRole('radio', { name: /tail pinched/ }));
    await user.click(screen.getByRole('radio', { name: 'Rowan Pike' }));
    await measure('41.9');
    expect(await screen.findByText('Release it')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Released' }));
    await waitFor(() => expect(Object.values(debrief()?.caught ?? {})).toMatchObject([{ kept: false }]));
    await measure('45');
    expect(await screen.findByText('May be kept')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Kept' }));
    expect(await screen.findByText('2 caught, 1 of them kept.')).toBeTruthy();
    // Who and in what boat is not taken for granted from the water.
    expect(debrief()).not.toHaveProperty('who');
  });
  test('of minus ten: told at its field, nothing lost; of a kind without a limit: look it up', async () => {
    show(<CatchPage />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'Note a catch' }));
    await user.type(await screen.findByLabelText('What it is'), 'Pollack');
    await measure('-10');
    expect((await screen.findAllByRole('alert')).map((a) => a.textContent).join(' ')).toMatch(
      /at least 0\.5 cm/,
    );
    expect(screen.getByLabelText<HTMLInputElement>('What it is').value).toBe('Pollack');
    await user.clear(screen.getByLabelText('Length, cm'));
    await measure('40');
    expect(await screen.findByText('Look it up first')).toBeTruthy();
    expect(screen.getByText(/^No limit for this kind is entered for Sallow Water/)).toBeTruthy();
  });
});
