// How quickly a trip's page answers, at full speed and at four times slowdown. Prints one line a figure; part of `npm run prove`.
import { openBrowser, openDemo } from './look.mjs';

const TRIP = '/trips/01890000-0000-7000-8000-000000000056';
const browser = await openBrowser();
const { base, letIn, end } = await openDemo(4288);

/** Median of three visits, each with nothing in the browser's memory. */
const VISITS = 3;
const median = (all) => all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)];

async function visit(slow) {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
  });
  await letIn(context);
  const page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: slow });
  await page.addInitScript(() => {
    globalThis.tasks = [];
    new PerformanceObserver((list) =>
      globalThis.tasks.push(...list.getEntries().map((entry) => entry.duration)),
    ).observe({ type: 'longtask', buffered: true });
  });
  const began = Date.now();
  await page.goto(base + TRIP, { waitUntil: 'commit' });
  await page.getByRole('heading', { level: 2, name: /^Not / }).first().waitFor();
  const verdict = Date.now() - began;
  await page.waitForLoadState('networkidle');
  const longest = Math.max(0, ...(await page.evaluate(() => globalThis.tasks)));
  // A tap: from the press to the next frame in which what it opens is there.
  const why = page.getByRole('button', { name: /^Why: / }).first();
  await why.scrollIntoViewIfNeeded();
  const tap = await why.evaluate(async (button) => {
    const from = performance.now();
    button.click();
    await new Promise((frame) => requestAnimationFrame(() => setTimeout(frame, 0)));
    return performance.now() - from;
  });
  await context.close();
  return { verdict, longest, tap };
}

try {
  for (const slow of [1, 4]) {
    const all = [];
    for (let i = 0; i < VISITS; i += 1) all.push(await visit(slow));
    const of = (what) => Math.round(median(all.map((one) => one[what])));
    const how = slow === 1 ? 'at full speed' : `${slow} times slower`;
    console.log(
      `${how}: verdict after ${of('verdict')} ms, longest task ${of('longest')} ms, a tap answered in ${of('tap')} ms`,
    );
  }
} finally {
  await browser.close();
  end();
}
