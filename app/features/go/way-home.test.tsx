import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { at } from '../../test/router';
import { fakeServer, fresh, show, TRIP } from '../../test/world';
import { useHere } from '../../data/here';
import { runIn } from '../../data/jobs';
import { run } from '../../workers/run';
import { EVERY, WayHome } from './way-home';
import { HOMEWARD } from './words';

const user = userEvent.setup({ delay: null });
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
  runIn(run);
});
afterEach(() => Reflect.deleteProperty(navigator, 'geolocation'));
const trip = () => server.things.find(({ id }) => id === TRIP)!.doc as unknown as Record<string, unknown>;

const Shown = () => <WayHome where={useHere(EVERY)} />;

test('from where the plan has one: by when to start, what is worse later, and home if one starts now', async () => {
  Object.assign(trip(), { homeBy: '19:00', leave: { date: '2026-05-11', time: '12:00' } });
  show(<Shown />, { trip: TRIP });
  expect(await screen.findByText(/^\d\d:\d\d$/)).toBeTruthy();
  expect(screen.getByText(/^Later: /)).toBeTruthy();
  expect(screen.getByText(/^Started now, you are home at \d\d:\d\d\.$/)).toBeTruthy();
  expect(screen.getByText(HOMEWARD.plan)).toBeTruthy();
});
test('from where the device is, when it may be asked; read again as one comes back, and known no more when it can’t be', async () => {
  let allowed = true;
  const read = jest.fn((yes: (p: object) => void, no: (e: object) => void) =>
    allowed
      ? yes({
          coords: { latitude: 41.19, longitude: -29.47, accuracy: 8 },
          timestamp: Date.UTC(2026, 4, 11, 15),
        })
      : no({ code: 2, PERMISSION_DENIED: 1 }),
  );
  Object.defineProperty(navigator, 'geolocation', {
    configurable: true,
    value: { getCurrentPosition: read },
  });
  show(<Shown />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: HOMEWARD.ask }));
  await waitFor(() => expect(screen.getByText(/^From where this device was at/)).toBeTruthy());
  allowed = false;
  fireEvent(document, new Event('visibilitychange'));
  expect(read).toHaveBeenCalledTimes(2);
  expect(await screen.findByText(HOMEWARD.plan)).toBeTruthy();
  expect(screen.getByRole('button', { name: HOMEWARD.ask })).toBeTruthy();
});
test('where it can’t be reckoned that is said, with what to go by', async () => {
  runIn(() => Promise.reject(new Error('no memory')));
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  show(<Shown />, { trip: TRIP });
  expect((await screen.findByRole('alert')).textContent).toBe(HOMEWARD.failed);
  quiet.mockRestore();
});
