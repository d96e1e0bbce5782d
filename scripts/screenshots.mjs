// `npm run screenshots`: one current picture of each main view, from the demo on a fixed day. Look at each before committing it.
import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildApp, buildServer, chromium as browserHere, install, ROOT, say } from './setup.mjs';

await install();
await browserHere();
await buildApp();
await buildServer();
const { chromium } = createRequire(new URL('../e2e/package.json', import.meta.url))('@playwright/test');

const PORT = 4287,
  base = `http://localhost:${PORT}`;
const folder = mkdtempSync(join(tmpdir(), 'escale-pictures-'));
const server = spawn(process.execPath, ['server/dist/main.js'], {
  cwd: ROOT,
  stdio: ['ignore', 'pipe', 'inherit'],
  env: {
    ...process.env,
    NODE_ENV: 'production',
    PORT: String(PORT),
    ESCALE_DEMO: '1',
    ESCALE_DATA: join(folder, 'memory'),
    ESCALE_CLOCK: '2026-05-11T15:00:00Z',
  },
});
await new Promise((ready) =>
  server.stdout.on('data', (chunk) => String(chunk).includes('Escale is ready') && ready()),
);
const ask = async (path, body) =>
  (
    await fetch(
      base + path,
      body
        ? { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }
        : {},
    )
  ).json();

const TRIP = '/trips/01890000-0000-7000-8000-000000000055',
  FOUR = '/trips/01890000-0000-7000-8000-000000000056';
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const phone = await (
  await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' })
).newPage();
const wide = await (
  await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
).newPage();

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
await shoot(phone, 'boat', '/shed/boat/01890000-0000-7000-8000-000000000005');
await shoot(phone, 'begin', '/begin', async (page) => {
  await page.getByRole('radio', { name: 'Another boat' }).click();
  await page.getByRole('radio', { name: 'Inflatable', exact: true }).click();
  await page.getByRole('radio', { name: /3.4 m/ }).click();
});
await shoot(phone, 'practice', '/practice');
await shoot(wide, 'wide-water', `${TRIP}/plan/water`);
await shoot(wide, 'wide-load', `${FOUR}/pack/load`, toPlan);
await shoot(wide, 'wide-trips', '/trips');
await shoot(phone, 'float-plan', `${TRIP}/pack/float-plan`);
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
await shoot(phone, 'fine', `${TRIP}/go/under-way`, (page) =>
  page.getByRole('button', { name: 'I’m fine' }).click(),
);
await shoot(phone, 'trouble', `${TRIP}/go/trouble`);
await ask('/api/clock', { at: new Date(plan.times.overdue + 60_000).toISOString() });
await shoot(phone, 'watch', '/watch');
const { calls } = await ask('/api/standins/telephone');
await shoot(
  phone,
  'contact',
  /http:\S+\/c\/\S+/.exec(calls.find((c) => c.text.includes('is overdue')).text)[0],
);

await browser.close();
server.kill();
rmSync(folder, { recursive: true, force: true });
