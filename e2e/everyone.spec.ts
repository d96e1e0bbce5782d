import type { Page } from '@playwright/test';
import { BOAT, ROUTES, WALKED } from './routes';
import { expect, test, TRIP } from './server';

test.beforeAll(async ({ server }) => server.renew());

const WHOLE = process.env.ESCALE_WHOLE === '1';
/** Widths of screens, px; half of a width is that screen with its text at 200 %. */
const WIDTHS = WHOLE ? [320, 384, 390, 640, 768, 1280] : [320, 390];
const THEMES = WHOLE ? ['Day', 'Night', 'Sun'] : ['Day'];
/** What can be pressed is no smaller, px. */
const LEAST = 44;

/** What is wrong with a page as it lies: too small to press, beyond the edge, or covered. */
const faultsOf = (page: Page, least: number) =>
  page.evaluate((smallest) => {
    const faults: string[] = [];
    const name = (e: Element) =>
      (e.getAttribute('aria-label') ?? e.textContent ?? e.tagName).trim().slice(0, 40);
    const seen = (e: Element) => {
      const box = e.getBoundingClientRect();
      return (
        box.width > 0 &&
        box.height > 0 &&
        getComputedStyle(e).visibility !== 'hidden' &&
        !e.closest('[aria-hidden="true"]')
      );
    };
    if (document.documentElement.scrollWidth > innerWidth + 1)
      faults.push(`the page is ${document.documentElement.scrollWidth} px wide on ${innerWidth}`);
    for (const e of document.querySelectorAll('a[href], button, [role="button"], input, select, textarea')) {
      if (!seen(e)) continue;
      // A mark is pressed by all of its label, a field by all of its frame; a handle on a drawing is dragged by what lies round it.
      const mark = e.matches('input[type="radio"], input[type="checkbox"]');
      const pressed = mark ? (e.closest('label') ?? e) : e;
      if (getComputedStyle(e).pointerEvents === 'none') continue;
      const box = pressed.getBoundingClientRect();
      if (Math.round(box.height) < smallest || Math.round(box.width) < (mark ? smallest : 24))
        faults.push(`"${name(e)}" is ${Math.round(box.width)} × ${Math.round(box.height)}`);
      if (box.right > innerWidth + 1)
        faults.push(`"${name(e)}" ends at ${Math.round(box.right)} of ${innerWidth}`);
    }
    for (const e of document.querySelectorAll('body *')) {
      const own = [...e.childNodes].some(
        (n) => n.nodeType === Node.TEXT_NODE && (n.textContent ?? '').trim() !== '',
      );
      if (!own || !seen(e) || e.closest('svg')) continue;
      const box = e.getBoundingClientRect();
      if (box.right > innerWidth + 1 || box.left < -1) faults.push(`text beyond the edge: ${name(e)}`);
      const [x, y] = [box.left + box.width / 2, box.top + box.height / 2];
      if (y < 0 || y > innerHeight || x < 0 || x > innerWidth) continue;
      const top = document.elementFromPoint(x, y);
      // Standing bars cover what is scrolled under them: only what lies in the same scroller counts.
      const scroller = e.closest('[role="main"]');
      if (top && scroller?.contains(top) && !top.contains(e) && !e.contains(top))
        faults.push(`text covered: ${name(e)} by ${name(top)}`);
    }
    return faults;
  }, least);

test('nothing is too small to press, beyond the edge or covered, on any screen', async ({
  go,
  page,
  server,
}) => {
  test.setTimeout(WHOLE ? 3_600_000 : 240_000);
  const wrong: string[] = [];
  for (const theme of THEMES) {
    await go('/shed');
    await page.getByRole('radio', { name: theme, exact: true }).click();
    for (const width of WIDTHS) {
      await page.setViewportSize({ width, height: 844 });
      for (const route of WALKED) {
        await opened(page, server.base + route);
        for (const fault of await faultsOf(page, LEAST))
          wrong.push(`${route} at ${width} by ${theme}: ${fault}`);
      }
    }
  }
  expect([...new Set(wrong)]).toEqual([]);
});

/** Opened, and all that it waits for has come. */
async function opened(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await expect(page.getByRole('main').first()).toBeVisible();
  await expect(page.getByText('One moment')).toHaveCount(0);
  await page.waitForLoadState('networkidle');
}

/** Where Tab leads, in order, by a number that each element is given; and all that must be reached. */
async function walk(page: Page): Promise<{ reached: Set<string>; all: Map<string, string> }> {
  const all = new Map(
    await page.evaluate(() => {
      const found = [
        ...document.querySelectorAll(
          'a[href], button, [role="button"], [role="slider"], input, select, textarea',
        ),
      ].filter(
        (e) =>
          e.getClientRects().length > 0 &&
          !(e as HTMLInputElement).disabled &&
          e.getAttribute('aria-disabled') !== 'true' &&
          (e as HTMLElement).tabIndex >= 0,
      );
      const groups = new Set<string>();
      return found.flatMap((e, i): [string, string][] => {
        e.setAttribute('data-walk', String(i));
        // Tab comes to one of a group of marks; arrows go on from there.
        if (e instanceof HTMLInputElement && e.type === 'radio') {
          const checked = document.querySelector(`input[name="${CSS.escape(e.name)}"]:checked`);
          if (checked ? checked !== e : groups.has(e.name)) return [];
          groups.add(e.name);
        }
        return [[String(i), e.getAttribute('aria-label') ?? (e.textContent ?? '').trim().slice(0, 40)]];
      });
    }),
  );
  const reached = new Set<string>();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  for (let i = 0; i < all.size * 2 + 10 && reached.size < all.size; i += 1) {
    await page.keyboard.press('Tab');
    const at = await page.evaluate(() => document.activeElement?.getAttribute('data-walk'));
    if (at && all.has(at)) reached.add(at);
  }
  return { reached, all };
}

test('every page is walked by Tab; what opens is opened by Enter, choices are set by arrows and Space', async ({
  go,
  page,
  server,
}) => {
  test.setTimeout(WHOLE ? 1_800_000 : 300_000);
  await go('/trips');
  const wrong: string[] = [];
  for (const route of WHOLE ? ROUTES : WALKED) {
    await opened(page, server.base + route);
    const { reached, all } = await walk(page);
    for (const [id, name] of all)
      if (!reached.has(id)) wrong.push(`${route}: Tab does not come to "${name}"`);
    const shut = page.locator('[role="button"][aria-expanded="false"]:visible');
    for (let n = await shut.count(), i = 0; i < Math.min(n, 3); i += 1) {
      const one = shut.first();
      const name = await one.getAttribute('aria-label');
      await one.focus();
      await page.keyboard.press('Enter');
      if ((await page.locator('dialog[open]').count()) > 0) await page.keyboard.press('Escape');
      else if (
        (await page.getByRole('button', { name: name ?? '', exact: true, expanded: true }).count()) === 0
      )
        wrong.push(`${route}: Enter does not open "${name}"`);
    }
    const group = page
      .getByRole('radiogroup')
      .filter({ has: page.locator('input:checked') })
      .first();
    if ((await group.count()) > 0) {
      const before = await group.locator('input:checked').getAttribute('aria-label');
      await group.locator('input:checked').focus();
      await page.keyboard.press('ArrowRight');
      await expect(group.locator('input:checked'), `${route}: arrows choose`).not.toHaveAttribute(
        'aria-label',
        before ?? '',
      );
    }
    const box = page.getByRole('checkbox').first();
    if ((await box.count()) > 0) {
      const was = await box.isChecked();
      await box.focus();
      await page.keyboard.press('Space');
      await expect(box, `${route}: Space ticks`).toBeChecked({ checked: !was });
    }
  }
  expect(wrong).toEqual([]);
});

test('a field that was changed is left by Tab to the next, also inside a list, and what was typed is kept', async ({
  go,
  page,
  server,
}) => {
  await go(BOAT);
  const speed = page.getByLabel('Usual speed, kn');
  await speed.fill('3.3');
  await speed.press('Tab');
  await expect(page.getByLabel('Speed when tired or against wind, kn')).toBeFocused();
  await expect
    .poll(async () => ((await server.doc(BOAT.slice(-36)))?.propulsion as { cruise: number }[])[0].cruise)
    .toBeCloseTo((3.3 * 1852) / 3600, 6);
  await page.waitForLoadState('networkidle');
  await expect(page.getByLabel('Speed when tired or against wind, kn')).toBeFocused();
  await expect(speed).toHaveValue('3.3');
});

test('a look at the demo from an empty household, and out of it again', async ({ browser }) => {
  const { Server } = await import('./server');
  const server = await Server.bare();
  const page = await browser.newPage();
  await server.letIn(page);
  try {
    await page.goto(`${server.base}/`);
    await page.getByRole('button', { name: 'Look at the demo' }).click();
    await expect(page.getByRole('region', { name: 'Tern Holm, at dawn' })).toBeVisible({ timeout: 60_000 });
    await page.reload();
    await expect(page.getByText(/^Demo: an invented coast/)).toBeVisible();
    await page.getByRole('button', { name: 'Leave it' }).click();
    await expect(page.getByText('Plan a day on the water')).toBeVisible();
    expect((await server.ask<{ things: unknown[] }>('/api/things')).things).toEqual([]);
  } finally {
    await page.close();
    await server.end();
  }
});

test('a trip is read aloud in the order of docs/reading-order.md', async ({ page, server }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${server.base}${TRIP}`);
  await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
  await expect(page.locator('body')).toMatchAriaSnapshot(`
    - banner:
      - heading "Tern Holm, at dawn" [level=1]
    - navigation "Phases"
    - main:
      - heading /^Not/ [level=2]
      - slider /^Departure/
      - button "Why this hour?"
      - button "Read as a table"
      - group "Another hour does better"
      - group /^Stop/
      - group /^Fix/
      - button /^Know this/
      - button /^Ready/
      - link /^Boat and crew/
      - link /^Debrief/
      - button "Remove this trip"
    - region "Verdict"
    - navigation "Places"
  `);
});
