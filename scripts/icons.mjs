// `npm run icons`: the icon in all its sizes, from `app/public/icon.svg`, drawn by the browser that the tests use. Its results are
// committed; run it again when the icon changes.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openBrowser } from './look.mjs';
import { ROOT, say } from './setup.mjs';

const folder = join(ROOT, 'app/public');
const svg = readFileSync(join(folder, 'icon.svg'), 'utf8');
/** A launcher may cut a maskable icon to a circle: what matters stands within four fifths. */
const SAFE = 0.8;
const ICONS = [
  ...[32, 180, 192, 512].map((size) => ({ name: `icon-${size}`, size, share: 1 })),
  { name: 'icon-512-mask', size: 512, share: SAFE },
];
const browser = await openBrowser();
const PAGE = 'margin:0;background:#F7F4EC;display:grid;place-items:center;height:100vh';
for (const { name, size, share } of ICONS) {
  const page = await browser.newPage({ viewport: { width: size, height: size } });
  const side = Math.round(size * share);
  const drawn = svg.replace('<svg ', `<svg width="${side}" height="${side}" `);
  await page.setContent(`<body style="${PAGE}">${drawn}</body>`);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  await page.close();
  say(`${name}.png`);
}
await browser.close();
