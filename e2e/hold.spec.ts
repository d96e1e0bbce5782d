import { expect, type Locator } from '@playwright/test';
import { Server, test } from './server';

const LAMP = '/trips/01890000-0000-7000-8000-000000000056';

test.use({ viewport: { width: 390, height: 844 } });

/** Newtons of the band that stands on the line. */
const most = async (line: Locator) => Number(/to ([\d,]+) N$/.exec(await line.innerText())?.[1]);

test('held at anchor by keyboard: what pulls follows, the side heels her, and it is let go in the runner', async ({
  go,
}) => {
  const page = await go(`${LAMP}/go/hold`);
  await page.getByRole('radio', { name: /^Lamp Rock/ }).click();
  await expect(page.getByText(/^Not known: stream/)).toBeVisible();
  const stream = page.getByRole('slider', { name: 'Stream', exact: true });
  await stream.focus();
  // The first step of it is still water: that is said, and is not “not known”.
  await page.keyboard.press('ArrowRight');
  await expect(stream).toHaveAttribute('aria-valuetext', '0.0 kn');
  await expect(page.getByText(/^Not known: stream/)).toBeHidden();
  const line = page.getByText(/^\d+ N to \d+ N$/).first();
  const still = await most(line);
  await page.keyboard.press('End');
  await expect(stream).toHaveAttribute('aria-valuetext', '4.0 kn');
  await expect.poll(() => most(line)).toBeGreaterThan(2 * still);
  await page.getByRole('button', { name: 'As it is then' }).press('Enter');
  await expect(stream).toHaveAttribute('aria-valuetext', 'not known');
  await stream.press('ArrowRight');
  await expect(page.getByText(/heels her by nothing/)).toBeVisible();
  const along = page.getByRole('slider', { name: 'Made fast', exact: true });
  await along.focus();
  for (let i = 0; i < 5; i += 1) await page.keyboard.press('PageDown');
  await expect(page.getByText(/^From the side come/)).toBeVisible();

  // Said of the halt and not only tried, it is refused.
  await page.getByRole('button', { name: 'What holds her there: At anchor' }).press('Enter');
  await page.getByRole('radio', { name: 'Amidships, or the side' }).click();
  await expect(page.getByText('Do not anchor at Lamp Rock')).toBeVisible();
  await page.getByRole('radio', { name: 'The bow' }).click();
  await expect(page.getByText('Do not anchor at Lamp Rock')).toBeHidden();

  await page.getByRole('button', { name: 'Letting go in a hurry' }).press('Enter');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page).toHaveURL(/\/run\/anchor-let-go$/);
  await page.getByRole('button', { name: 'Begin' }).click();
  const done = page.getByRole('button', { name: 'Done' });
  await done.click();
  await expect(page.getByText('1 of 5 done')).toBeVisible();
});

test('from an empty household: an anchor is found, and told what it holds, how much line, and when it drags', async ({
  page,
}) => {
  const server = await Server.bare();
  await server.letIn(page);
  try {
    await page.goto(`${server.base}/`);
    await page.getByRole('button', { name: 'Begin with four questions' }).click();
    await page.getByRole('radio', { name: 'Trailer boat', exact: true }).click();
    await page.getByRole('radio', { name: /^Open boat, 16 ft/ }).click();
    const next = page.getByRole('button', { name: 'Next', exact: true });
    await next.click();
    await page.getByLabel('Name of person 1', { exact: true }).fill('Ada');
    await next.click();
    await page.getByLabel('What is it called', { exact: true }).fill('North slip');
    await page.getByLabel('Its position', { exact: true }).fill('50.1234, -4.5678');
    await page.getByRole('radio', { name: 'Lake', exact: true }).click();
    await next.click();
    await page.getByRole('radio', { name: 'Tomorrow', exact: true }).click();
    await page.getByRole('radio', { name: '3 h', exact: true }).click();
    await page.getByRole('button', { name: 'See the answer' }).click();
    await expect(page.getByRole('heading', { level: 2 }).first()).toHaveText(/^Not/);
    const hold = `${new URL(page.url()).pathname}/go/hold`;
    await page.goto(server.base + hold);
    await page.getByRole('radio', { name: 'At anchor' }).click();
    await page.getByRole('button', { name: 'Buy or find: anchor' }).click();
    await page.getByLabel('What you call it', { exact: true }).fill('Plough');
    await page.getByRole('button', { name: /^Kind of anchor/ }).click();
    await page.getByRole('radio', { name: /plough/i }).click();
    await page.getByLabel(/^Weight of the anchor/).fill('5');
    await page.getByLabel(/^Length of its line/).fill('40');
    await page.getByLabel(/^Chain on it/).fill('2');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    // One comes back to where one was, and it is aboard.
    await expect(page).toHaveURL(new RegExp(`${hold}$`));
    await expect(page.getByText('Whether Plough holds at North slip')).toBeVisible();
    await expect(page.getByText('Not known: wind and depth.', { exact: false })).toBeVisible();
    await page.getByRole('slider', { name: 'Depth', exact: true }).fill('3');
    await page.getByRole('slider', { name: 'Wind, mean' }).fill('5');
    await expect(page.getByText(/it may drag from a wind of \d+\.\d kn/)).toBeVisible();
    await expect(page.getByRole('img', { name: /^The circle over which she swings/ })).toBeVisible();
    await page.getByRole('button', { name: 'Anchor line and rig: the cut list' }).click();
    await page.getByRole('link', { name: 'Open it, to cut and to print' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: /^Chain, 2\.0 m/ })).toBeVisible();
  } finally {
    await server.end();
  }
});
