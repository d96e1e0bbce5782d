import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { drawn, fakeFrames, frames } from '../../test/frames';
import { at } from '../../test/router';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { AnchorPage } from './anchor-page';
import { DrivePage } from './drive-page';
import { OrderPage } from './order-page';
import { ReadPage } from './read-page';
import { RightPage } from './right-page';
import { SpendPage } from './spend-page';
import { fetchProcedures } from '../../data/procedures';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  await fetchProcedures();
  fakeFrames();
  at({});
});
const user = userEvent.setup({ delay: null });
const slide = (name: string | RegExp, value: number) =>
  fireEvent.change(screen.getByRole('slider', { name }), { target: { value: String(value) } });
const wheel = () => screen.getByRole('slider', { name: 'Hand at the bottom of the wheel' });
const turn = (value: number) => fireEvent.input(wheel(), { target: { value: String(value) } });
const pick = (name: string) => user.click(screen.getByRole('radio', { name }));
const RAFT = '01890000-0000-7000-8000-0000000000ff';
const empty = () => server.things.splice(0);

describe('backing the trailer', () => {
  test('straight back into an empty lot has all points; run again it comes to the same', async () => {
    show(<DrivePage />);
    await screen.findByText('Back slowly.');
    await pick('Back');
    await frames(19);
    expect(screen.getByText(/^1[89] s · 0 corrections · 0 times forward/)).toBeTruthy();
    await pick('Stand');
    await frames(2);
    expect(await screen.findByText('100 of 100')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Run it again' }));
    expect(screen.queryByText('100 of 100')).toBeNull();
    await frames(25);
    expect(screen.getByText('100 of 100')).toBeTruthy();
    expect(await screen.findByText(/^Best here: 100, on /)).toBeTruthy();
    expect(drawn).toContain('stroke');
  });
  test('the hand goes right, the tail goes right; held, it jackknifes, and is told so', async () => {
    show(<DrivePage />);
    await screen.findByText('Back slowly.');
    turn(1);
    expect(wheel().getAttribute('aria-valuetext')).toBe('100% to the right');
    await pick('Back');
    await frames(4);
    expect(screen.getByText(/tail \d+° right$/)).toBeTruthy();
    await frames(20);
    expect(screen.getByRole('status').textContent).toMatch(/Jackknifed|Something is touched/);
  });
  test('by keys alone: down backs, up goes forward, space stands', async () => {
    show(<DrivePage />);
    await screen.findByText('Back slowly.');
    const checked = (name: string) => (screen.getByRole('radio', { name }) as HTMLInputElement).checked;
    for (const [key, name] of [
      ['ArrowDown', 'Back'],
      ['ArrowUp', 'Forward'],
      [' ', 'Stand'],
    ]) {
      fireEvent.keyDown(wheel(), { key });
      expect([key, checked(name)]).toEqual([key, true]);
    }
  });
  test('the mirrors are drawn; tilt that is refused, or not there, is said, and the slider stays', async () => {
    show(<DrivePage />);
    await screen.findByText('Back slowly.');
    await pick('Mirrors only');
    expect(screen.getByRole('img', { name: 'The two outer mirrors, Empty lot' })).toBeTruthy();
    expect(drawn).toContain('roundRect');
    const asks = window as { DeviceOrientationEvent?: unknown };
    asks.DeviceOrientationEvent = { requestPermission: async () => 'denied' };
    await user.click(screen.getByRole('button', { name: 'Steer by tilting the phone' }));
    expect(await screen.findByText(/^The tilt was refused/)).toBeTruthy();
    delete asks.DeviceOrientationEvent;
    await user.click(screen.getByRole('button', { name: 'Steer by tilting the phone' }));
    expect(await screen.findByText(/^This device tells no tilt/)).toBeTruthy();
    asks.DeviceOrientationEvent = {};
    await user.click(screen.getByRole('button', { name: 'Steer by tilting the phone' }));
    act(() => {
      window.dispatchEvent(Object.assign(new Event('deviceorientation'), { gamma: 15, beta: 15 }));
    });
    await waitFor(() => expect(wheel().getAttribute('aria-valuetext')).toBe('50% to the right'));
  });
  test('a trailer of which nobody measured the length: a usual one, and it says so; no boat at all: the same', async () => {
    for (const held of server.things)
      if (held.type === 'boat') delete (held.doc as { trailer?: { drawbar?: number } }).trailer?.drawbar;
    show(<DrivePage />);
    await user.click(await screen.findByRole('button', { name: /^Lengths/ }));
    expect(screen.getByText(/^Nobody measured from the hitch to the axle/)).toBeTruthy();
    slide('Of the car, from axle to axle', 4.5);
    slide('Turning circle of the car', 8);
    expect(await screen.findByText(/^With such a wheelbase no car turns/)).toBeTruthy();
  });
  test('from an empty household it drives as well', async () => {
    empty();
    show(<DrivePage />);
    expect(await screen.findByText('Back slowly.')).toBeTruthy();
    expect(screen.queryByRole('radio', { name: 'Plover' })).toBeNull();
  });
});

describe('righting her', () => {
  test('leaning too little nothing moves and what would help is said; enough, and she comes', async () => {
    show(<RightPage />);
    const lean = await screen.findByRole('slider', { name: 'Pull yourself across her' });
    fireEvent.change(lean, { target: { value: '0.2' } });
    await frames(8);
    expect(screen.getByRole('status').textContent).toBe('Nothing moves: it is not enough.');
    await user.click(screen.getByRole('checkbox', { name: 'With a strap from her far edge' }));
    fireEvent.change(await screen.findByRole('slider', { name: 'Lean out' }), { target: { value: '1' } });
    await frames(60);
    expect(screen.getByRole('status').textContent).toMatch(/^She is up, after \d+ s\./);
  });
  test('from an empty household a usual boat and somebody of 80 kg', async () => {
    empty();
    show(<RightPage />);
    expect(await screen.findByRole('slider', { name: /^(Lean out|Pull yourself)/ })).toBeTruthy();
  });
});

describe('anchoring', () => {
  test('until it reaches the ground she drifts; let out and held, it is told what it bears; haul in and she drifts again', async () => {
    show(<AnchorPage />);
    await screen.findByText('It does not reach the bottom yet: she drifts.');
    await pick('Ten times');
    await pick('Let out');
    await frames(4);
    await pick('Hold');
    await frames(6);
    expect(screen.getByText(/^The anchor bears \d+ N and holds \d+ N there/)).toBeTruthy();
    await pick('Haul in');
    await frames(8);
    expect(screen.getByRole('status').textContent).toBe('It does not reach the bottom yet: she drifts.');
  });
  test('from an empty household a usual boat and anchor', async () => {
    empty();
    show(<AnchorPage />);
    expect(await screen.findByText(/^It does not reach the bottom yet/)).toBeTruthy();
    expect(screen.getAllByRole('radio', { name: /^A usual (skiff|sit-on-top)/ })).toHaveLength(2);
  });
  test('one’s own boat of which nothing is known stands among them, and what lacks is told', async () => {
    empty();
    const doc = { id: RAFT, name: 'Bare raft', kind: 'raft', propulsion: [], openings: [] };
    server.things.push({ id: RAFT, type: 'boat', version: 1, deleted: false, doc } as never);
    show(<AnchorPage />);
    await screen.findByText(/^It does not reach the bottom yet/);
    await pick('Bare raft');
    expect(await screen.findByText(/enter her length, beam and weight/)).toBeTruthy();
  });
});

describe('in which order', () => {
  test('taken too soon it stays, its price is told, and what had to come first; in order it ends', async () => {
    show(<OrderPage />);
    await user.click(await screen.findByRole('button', { name: 'Begin' }));
    const steps = () =>
      screen
        .getAllByRole('button')
        .map((each) => each.getAttribute('aria-label') ?? '')
        .filter((label) => label.length > 30);
    const all = steps().length;
    for (let round = 0; round < 8 && !screen.queryByText(/^All in order/); round += 1)
      for (const label of steps()) {
        const button = screen.queryByRole('button', { name: label });
        if (button) await user.click(button);
      }
    expect(all).toBeGreaterThan(4);
    expect(screen.getByText(/^All in order, after \d+ s\.$/)).toBeTruthy();
    expect(screen.getByText(/^\d+ of 100$/)).toBeTruthy();
  });
  test('of a raft nobody is asked for the driver: without a word she has no engine', async () => {
    empty();
    const doc = { id: RAFT, name: 'Bare raft', kind: 'raft', propulsion: [], openings: [] };
    server.things.push({ id: RAFT, type: 'boat', version: 1, deleted: false, doc } as never);
    show(<OrderPage />);
    expect(await screen.findByRole('radio', { name: 'The raft is over' })).toBeTruthy();
    expect(screen.queryByRole('radio', { name: 'The driver is overboard' })).toBeNull();
  });
  test('an engine that runs beside a swimmer', async () => {
    show(<OrderPage />);
    await user.click(await screen.findByRole('button', { name: 'Begin' }));
    const late = screen
      .getAllByRole('button')
      .find((each) => /^(Kick hard|Roll face up)/.test(each.getAttribute('aria-label') ?? ''));
    await user.click(late!);
    expect(screen.getByText(/^Too soon: /)).toBeTruthy();
    expect(screen.getByText(/^First: /)).toBeTruthy();
  });
});

describe('when to light a flare', () => {
  test('each burns for a minute, none is lit meanwhile, and at the end the best moments are told', async () => {
    show(<SpendPage />);
    await user.click(await screen.findByRole('button', { name: 'Begin' }));
    await frames(0.5);
    await user.click(screen.getByRole('button', { name: 'Light one of 3' }));
    await frames(1);
    expect(screen.getByText(/^It burns for \d+ s more\.$/)).toBeTruthy();
    expect(screen.getByText(/2 flares left$/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Light one of 2' }));
    await frames(0.5);
    expect(screen.getByText(/2 flares left$/)).toBeTruthy();
    await pick('A minute a second');
    await frames(61);
    expect(screen.getByText(/^The time is over\./)).toBeTruthy();
    expect(screen.getByText(/^The best moments: /)).toBeTruthy();
    expect(screen.getByText(/^You lit at 0:/)).toBeTruthy();
  });
});

describe('reading the water', () => {
  test('nothing is told before one says go or not; then both stand side by side', async () => {
    at({ id: TRIP });
    show(<ReadPage />, { trip: TRIP });
    const see = await screen.findByRole('button', { name: 'Now Escale' });
    await user.click(see);
    expect(screen.queryByText(/^You agree|^You would/)).toBeNull();
    await pick('Go');
    await user.click(screen.getByRole('checkbox', { name: 'Wind and gusts' }));
    await user.click(screen.getByRole('button', { name: 'Now Escale' }));
    expect(screen.getByText(/^You agree|^You would/)).toBeTruthy();
    expect(screen.getByText(/^(You named, and Escale does not mind|Both of you name)$/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Another hour' }));
    expect(screen.getByRole('button', { name: 'Now Escale' })).toBeTruthy();
  });
});
