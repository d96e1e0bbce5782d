import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { visited } from '../../test/router';
import { TripsPage } from './trips-page';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
});
const user = userEvent.setup({ delay: null });
const docOf = (id: string) => server.things.find((h) => h.id === id)?.doc as Record<string, unknown>;

describe('trips', () => {
  test('the next trip stands first: its answer, up, leave and home, how long until, and that nobody watches', async () => {
    show(<TripsPage />);
    const next = await screen.findByRole('region', { name: 'Tern Holm, at dawn' });
    expect(await within(next).findByText('06:20')).toBeTruthy();
    for (const words of ['in 15 h 20', '03:50', '10:12', /^Not like this\./, /No float plan is filed/])
      expect(within(next).getByText(words)).toBeTruthy();
    expect(within(next).getByRole('img', { name: /Day strip: leave 06:20, home 10:12/ })).toBeTruthy();
    await user.click(within(next).getByRole('button', { name: 'Open the trip' }));
    expect(visited.at(-1)).toBe(`/trips/${TRIP}`);
  });
  test('a trip that is on comes before one that is planned, and leads to what is under way', async () => {
    docOf(TRIP).status = 'on';
    show(<TripsPage />);
    const next = await screen.findByRole('region', { name: 'Tern Holm, at dawn' });
    await user.click(await within(next).findByRole('button', { name: 'Under way' }));
    expect(visited.at(-1)).toBe(`/trips/${TRIP}/go/under-way`);
  });
  test('those that are done are a row until it is opened, or one is searched for', async () => {
    show(<TripsPage />);
    expect(
      await screen.findByRole('link', { name: /^Lamp Rock, all four\. Sat 16 May, 10:00/ }),
    ).toBeTruthy();
    expect(screen.queryByRole('link', { name: /^Heron Reach/ })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Done, 9' }));
    await user.click(screen.getByRole('link', { name: /^Heron Reach, one evening/ }));
    expect(visited.at(-1)).toMatch(/\/home$/);
  });
  test('many trips can be searched: by place, boat and crew as well', async () => {
    const trip = docOf(TRIP);
    for (let i = 0; i < 5; i += 1)
      server.things.push({
        id: `01890000-0000-7000-8000-0000000001${i}0`,
        type: 'trip',
        version: 1,
        deleted: false,
        doc: {
          ...trip,
          id: `01890000-0000-7000-8000-0000000001${i}0`,
          title: `Other ${i}`,
          boat: undefined,
          crew: [],
        },
      } as never);
    show(<TripsPage />);
    await user.type(await screen.findByLabelText('Find a trip'), 'plover');
    await waitFor(() => expect(screen.queryByRole('link', { name: /^Other/ })).toBeNull());
    expect(screen.getByRole('link', { name: /^Lamp Rock/ })).toBeTruthy();
    await user.clear(screen.getByLabelText('Find a trip'));
    await user.type(screen.getByLabelText('Find a trip'), 'nowhere');
    expect(await screen.findByText(/No trip of that name/)).toBeTruthy();
  });
  test('repeated on another day, a trip brings its plan and leaves what was said of that day', async () => {
    show(<TripsPage />);
    await user.click(await screen.findByRole('button', { name: 'Repeat Tern Holm, at dawn' }));
    await user.click(await screen.findByRole('button', { name: 'Plan it' }));
    const made = await waitFor(() => {
      const found = server.things.filter((h) => h.type === 'trip').at(-1)!;
      expect(found.id).not.toBe(TRIP);
      expect(visited.at(-1)).toBe(`/trips/${found.id}`);
      return found.doc as unknown as { status: string; leave: object; crew: object[]; boat: string };
    });
    expect(made).toMatchObject({ status: 'planned', leave: { date: '2026-05-12', time: '06:20' } });
    expect(made.boat).toBe(docOf(TRIP).boat);
    expect(made.crew[0]).not.toHaveProperty('wearsJacket');
  });
  test('a new trip begins with its questions', async () => {
    show(<TripsPage />);
    await user.click(await screen.findByRole('button', { name: 'New trip' }));
    expect(visited.at(-1)).toBe('/begin');
  });
  test('an empty list says what this is for, and has the one button to begin', async () => {
    server.things.length = 0;
    show(<TripsPage />);
    expect(await screen.findByText(/what stands against going/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Begin with four questions' }));
    expect(visited.at(-1)).toBe('/begin');
    expect(screen.queryByRole('button', { name: 'New trip' })).toBeNull();
  });
});
