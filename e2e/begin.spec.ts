import { expect, type Locator, type Page } from '@playwright/test';
import { Server, test, TRIP } from './server';

/** Taps and typed characters of a person who has nothing yet. */
class Hand {
  taps = 0;
  typed = 0;
  constructor(readonly page: Page) {}
  async tap(what: Locator): Promise<void> {
    await what.click();
    this.taps += 1;
  }
  press = (name: string | RegExp) => this.tap(this.page.getByRole('button', { name, exact: true }));
  pick = (name: string | RegExp, n = 0) =>
    this.tap(this.page.getByRole('radio', { name, exact: true }).nth(n));
  async write(label: string, text: string): Promise<void> {
    await this.page.getByLabel(label, { exact: true }).fill(text);
    this.taps += 1;
    this.typed += text.length;
  }
}

/** From nothing to a verdict and a filed plan, counted. */
const CREWS = [
  { who: 'a kayak, alone', kind: 'Sit-on-top kayak', like: /^Long fishing kayak/, children: [] },
  {
    who: 'a trailer boat with two children',
    kind: 'Trailer boat',
    like: /^Open boat, 16 ft/,
    children: ['Lena', 'Ole'],
  },
] as const;
/** What a stranger may be asked for. */
const VERDICT = 40,
  FILED = 60;

/** Of the 844 px of a phone, standing bars may take so many once one reads on. */
const BARS = 200;

test.use({ viewport: { width: 390, height: 844 } });

for (const { who, kind, like, children } of CREWS)
  test(`from an empty household to a verdict and a filed plan: ${who}`, async ({ page }) => {
    const server = await Server.bare();
    await server.letIn(page);
    try {
      const hand = new Hand(page);
      await page.goto(`${server.base}/`);
      await hand.press('Begin with four questions');
      await hand.pick(kind);
      await hand.tap(page.getByRole('radio', { name: like }));
      await hand.press('Next');
      await hand.write('Name of person 1', 'Ada');
      for (const [i, name] of children.entries()) {
        await hand.press('One more');
        await hand.write(`Name of person ${i + 2}`, name);
        await hand.pick('Under 18', i + 1);
        await hand.write(`How old is person ${i + 2}`, '9');
      }
      await hand.press('Next');
      await hand.write('What is it called', 'North slip');
      await hand.write('Its position', '50.1234, -4.5678');
      await hand.pick('Coastal');
      await hand.press('Next');
      await hand.pick('Tomorrow');
      await hand.pick('3 h');
      await hand.press('See the answer');
      await expect(page.getByRole('heading', { level: 2 }).first()).toHaveText(/^Not (yet|like this)\. /);
      expect(hand.taps).toBeLessThanOrEqual(VERDICT);
      const verdict = { taps: hand.taps, typed: hand.typed };

      await hand.tap(page.getByRole('link', { name: /^Float plan/ }));
      await hand.tap(page.getByRole('link', { name: 'A new contact' }));
      await hand.write('Name', 'Maren');
      await hand.write('Phone', '0123456');
      await hand.press('Add');
      // The new contact is on the trip, and the way leads back to it.
      await expect(page.getByRole('checkbox', { name: 'Maren' })).toBeChecked();
      await hand.press('File');
      await expect(page.getByText('Filed, version 1')).toBeVisible();
      await expect(
        page.getByText('No message leaves this machine: tell your contacts yourself.'),
      ).toBeVisible();
      expect(hand.taps).toBeLessThanOrEqual(FILED);
      console.warn(
        `${who}: verdict after ${verdict.taps} taps and ${verdict.typed} characters, filed after ${hand.taps} and ${hand.typed}`,
      );
    } finally {
      await server.end();
    }
  });

test('the content has its room: all standing bars together', async ({ page, server }) => {
  await page.goto(`${server.base}${TRIP}`);
  const main = page.getByRole('main');
  await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
  await main.evaluate((element) => element.scrollTo(0, 400));
  const { height } = (await main.boundingBox())!;
  expect(844 - height).toBeLessThanOrEqual(BARS);
});
