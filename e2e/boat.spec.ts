import { expect, test } from './server';

test.describe.configure({ mode: 'serial' });
test.beforeAll(async ({ server }) => server.renew());

const FOUR = '/trips/01890000-0000-7000-8000-000000000056',
  FOUR_ID = FOUR.slice(7);
type Crew = { seat?: { x: number; y: number } }[];

test('a boat from a starting point: guessed until said, drawn, with a card for the second driver', async ({
  go,
  server,
}) => {
  const page = await go('/shed/boat/new');
  await page.getByRole('radio', { name: 'Skiff', exact: true }).click();
  await page.getByRole('radio', { name: /^Flat-bottomed/ }).click();
  await page.getByLabel('Her name').fill('Teal');
  await page.getByRole('button', { name: 'Add her' }).click();
  await expect(page.getByRole('heading', { name: 'Teal', level: 1 })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Where to measure/ })).toBeVisible();
  const id = page.url().split('/').at(-1)!;
  const length = page.getByLabel('Length over all, m');
  await expect(page.getByText('Length over all, m · a guess')).toBeVisible();
  await length.fill('4.4');
  await length.blur();
  await expect(page.getByText('Length over all, m · a guess')).toHaveCount(0);
  await page
    .getByRole('radiogroup', { name: 'How beam is known' })
    .getByRole('radio', { name: 'Measured' })
    .click();
  await expect
    .poll(async () => ((await server.doc(id))?.basis as Record<string, string>)?.['/beam'])
    .toBe('measured');
  await page.getByRole('link', { name: 'Second driver’s card' }).click();
  await expect(page.getByRole('list', { name: 'Steps' })).toContainText('Not entered for this boat yet');
  await page.goto(`${server.base}/shed/handover?boat=${id}`);
  await page
    .getByRole('radiogroup', { name: 'Started by' })
    .getByRole('radio', { name: 'Pulling a cord' })
    .click();
  await expect.poll(async () => (await server.doc(id))?.controls).toEqual({ start: 'pull' });
  await page.getByRole('link', { name: 'Her second driver’s card' }).click();
  await expect(page.getByRole('list', { name: 'Steps' })).toContainText('Pull slowly until it bites');
});

test('the load is dragged, moved by keys and by list; she lies as it says, quickly', async ({
  go,
  server,
  page,
}) => {
  await go(`${FOUR}/pack/load`);
  const plan = page.getByRole('group', { name: /^Plan of the boat/ }),
    live = page.getByRole('group', { name: 'How she lies' });
  const seat = async (n: number) => ((await server.doc(FOUR_ID))?.crew as Crew)[n].seat;
  await plan.scrollIntoViewIfNeeded();
  const before = await live.innerText();
  const bram = plan.getByRole('button', { name: /^Bram/ });
  const box = (await bram.boundingBox())!,
    whole = (await plan.boundingBox())!;
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const script = async () =>
    (await session.send('Performance.getMetrics')).metrics.find((m) => m.name === 'ScriptDuration')!.value *
    1000;
  await page.evaluate(() => {
    const long: number[] = ((window as unknown as { long: number[] }).long = []);
    new PerformanceObserver((list) => long.push(...list.getEntries().map((e) => e.duration))).observe({
      type: 'longtask',
    });
    const seen = window as unknown as { frames: number };
    seen.frames = 0;
    const count = () => {
      seen.frames += 1;
      requestAnimationFrame(count);
    };
    requestAnimationFrame(count);
  });
  const from = { x: box.x + 12, y: box.y + 12 },
    to = { x: whole.x + whole.width * 0.75, y: whole.y + whole.height * 0.62 },
    MOVES = 60;
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  const began = await script(),
    clock = Date.now(),
    frames = () => page.evaluate(() => (window as unknown as { frames: number }).frames),
    firstFrame = await frames();
  for (let i = 1; i <= MOVES; i += 1)
    await page.mouse.move(from.x + ((to.x - from.x) * i) / MOVES, from.y + ((to.y - from.y) * i) / MOVES);
  const each = ((await script()) - began) / MOVES;
  const long = await page.evaluate(() => (window as unknown as { long: number[] }).long);
  await page.mouse.up();
  process.stdout.write(
    `  a move of the drag takes ${each.toFixed(1)} ms of script; ${long.length} tasks over 50 ms; ` +
      `${(((await frames()) - firstFrame) / ((Date.now() - clock) / 1000)).toFixed(0)} frames a second\n`,
  );
  await expect.poll(async () => (await seat(3))?.x).toBeGreaterThan(0.6);
  expect(await live.innerText()).not.toBe(before);
  const at = (await seat(3))!;
  await plan.getByRole('button', { name: /^Bram/ }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect.poll(async () => (await seat(3))?.x).toBeCloseTo(at.x - 0.02, 3);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await seat(3))?.x).toBeCloseTo(at.x, 3);
  await page.getByRole('button', { name: 'Place them by list' }).click();
  await page.getByRole('button', { name: /^Place of Bram Tolley/ }).click();
  await page.getByRole('dialog').getByRole('radio', { name: 'Stern, starboard' }).click();
  await expect.poll(async () => (await seat(3))?.x).toBeCloseTo(0.2, 3);
});

test('what if: somebody leans over, she is swamped, she leaks; coming home the catch is aboard', async ({
  go,
  page,
}) => {
  await go(`${FOUR}/pack/load`);
  await page.getByRole('radio', { name: 'Someone leans over the side' }).click();
  await expect(page.getByRole('list', { name: 'Someone leans over the side' })).toContainText(
    /of heel|goes over/,
  );
  await page.getByRole('radio', { name: 'She is swamped' }).click();
  await expect(page.getByRole('list', { name: 'She is swamped' })).toContainText(
    'With bags of 50 L fore and aft',
  );
  await page.getByRole('radio', { name: 'She leaks' }).click();
  await expect(page.getByRole('list', { name: 'She leaks' })).toContainText(/Drain plug open/);
  await expect(page.getByRole('list', { name: 'She leaks' })).toContainText(/to swamped|to capsize/);
  await page.getByRole('radio', { name: 'Pump and one bails' }).click();
  await expect(page.getByRole('list', { name: 'She leaks' })).toContainText(/L a minute/);
  await page.getByLabel('Catch, kg').fill('40');
  await page.getByLabel('Catch, kg').blur();
  await page.getByRole('radio', { name: 'Coming home' }).click();
  await expect(page.getByRole('img', { name: /^Trim/ })).toBeVisible();
});
