// `npm run screenshots`: one current picture of each main view, from the demo on a fixed day. Look at each before committing it.
import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { openBrowser, openDemo } from './look.mjs';
import { buildApp, buildServer, install, ROOT, say } from './setup.mjs';

await install();
await buildApp();
await buildServer();
const { base, ask, letIn, end } = await openDemo(4287);

const TRIP = '/trips/01890000-0000-7000-8000-000000000055',
  FOUR = '/trips/01890000-0000-7000-8000-000000000056';
const browser = await openBrowser();
const pageOf = async (width, height) =>
  (await letIn(await browser.newContext({ viewport: { width, height }, serviceWorkers: 'block' }))).newPage();
const phone = await pageOf(390, 844);
const wide = await pageOf(1280, 800);

async function shoot(page, name, path, prepare = async () => undefined) {
  await page.goto(path.startsWith('http') ? path : base + path);
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
  await prepare(page);
  // The departures row is swept in a worker after the page has settled.
  await page.waitForTimeout(1500);
  await page.screenshot({ path: join(ROOT, 'docs/screenshots', `${name}.png`) });
  say(name);
}
for (const old of readdirSync(join(ROOT, 'docs/screenshots'))) rmSync(join(ROOT, 'docs/screenshots', old));

const toPlan = (page) =>
  page
    .getByRole('group', { name: /^Plan of the boat/ })
    .evaluate((plan) => plan.scrollIntoView({ block: 'start' }));

await shoot(phone, 'trips', '/trips');
await shoot(phone, 'answer', TRIP);
await shoot(phone, 'kit', `${TRIP}/pack/kit`);
await shoot(phone, 'load', `${FOUR}/pack/load`, toPlan);
await shoot(phone, 'ready', `${TRIP}/pack/ready`);
await shoot(phone, 'shed', '/shed');
await shoot(phone, 'practice', '/practice/reversing', async (page) => {
  await page.getByRole('radio', { name: 'Two lanes' }).click();
  await page.getByRole('radio', { name: 'Both' }).click();
  await page.getByRole('slider', { name: 'Hand at the bottom of the wheel' }).fill('0.1');
  await page.getByRole('radio', { name: 'Back' }).click();
  await page.waitForTimeout(7000);
  await page.getByRole('heading', { level: 1 }).evaluate((title) => title.scrollIntoView());
});
await shoot(phone, 'hold', `${FOUR}/go/hold`, async (page) => {
  await page.getByRole('radio', { name: /^Lamp Rock/ }).click();
  await page.getByRole('slider', { name: 'Stream' }).fill('0.4');
  await page
    .getByRole('img', { name: /^The circle over which she swings/ })
    .evaluate((picture) => picture.scrollIntoView({ block: 'start' }));
});
await shoot(wide, 'wide-water', `${TRIP}/plan/water`);
await shoot(phone, 'chart', `${TRIP}/chart`, (page) =>
  page.getByRole('button', { name: 'Heron Reach', exact: true }).click(),
);
await shoot(phone, 'logbook', '/practice/logbook', (page) =>
  page.getByRole('img', { name: /speed against wind/ }).waitFor(),
);
await shoot(phone, 'what-if', `${TRIP}/whatif`, async (page) => {
  await page
    .getByRole('button', { name: /^Do it: / })
    .first()
    .waitFor();
});
await shoot(phone, 'float-plan', `${TRIP}/pack/float-plan`);
await shoot(phone, 'debrief', `${FOUR}/home/debrief`, async (page) => {
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByRole('button', { name: 'It was so: Left' }).click();
  await page.getByRole('button', { name: 'It was so: Ashore' }).click();
  await page.getByRole('button', { name: /^Used up/ }).waitFor();
});
const plan = await ask('/api/plans', { id: '01990000-0000-7000-8000-000000000001', trip: TRIP.slice(7) });
await shoot(phone, 'launch', `${TRIP}/run/hand-launch`, async (page) => {
  await page.getByRole('button', { name: 'Begin' }).click();
  for (let i = 0; i < 2; i += 1) {
    await page.getByRole('button', { name: 'Done' }).click();
    await page.waitForTimeout(400);
  }
});
await ask('/api/clock', { at: new Date(plan.times.leave + 72 * 60_000).toISOString() });
await ask(`/api/plans/${plan.id}/deeds`, {
  id: '01990000-0000-7000-8000-000000000002',
  kind: 'under-way',
  madeAt: new Date(plan.times.leave).toISOString(),
});
await shoot(phone, 'under-way', `${TRIP}/go/under-way`);
await shoot(phone, 'trouble', `${TRIP}/trouble/capsize-sit-on-top`);
await ask('/api/clock', { at: new Date(plan.times.overdue + 60_000).toISOString() });
await shoot(phone, 'watch', '/watch');
const { calls } = await ask('/api/standins/telephone');
await shoot(
  phone,
  'contact',
  /http:\S+\/c\/\S+/.exec(calls.find((c) => c.text.includes('is overdue')).text)[0],
);

await browser.close();
end();
