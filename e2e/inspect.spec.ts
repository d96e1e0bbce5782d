import { createHash } from 'node:crypto';
import { deflateSync } from 'node:zlib';
import { expect, test } from './server';

const PLOVER = '01890000-0000-7000-8000-000000000007',
  DAWN = '/trips/01890000-0000-7000-8000-000000000055',
  FOUR = '/trips/01890000-0000-7000-8000-000000000056';

/** A picture of stripes as PNG, so many pixels wide: what a camera would give, without a camera. */
function stripes(side: number): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const out = Buffer.alloc(data.length + 12);
    out.writeUInt32BE(data.length);
    body.copy(out, 4);
    out.writeUInt32BE(crc(body), data.length + 8);
    return out;
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(side, 0);
  head.writeUInt32BE(side, 4);
  head.set([8, 2, 0, 0, 0], 8);
  const row = Buffer.from([0, ...Array.from({ length: side * 3 }, (_, i) => (i * 37) % 256)]);
  const rows = Buffer.concat(Array.from({ length: side }, () => row));
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(rows)),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}
function crc(bytes: Buffer): number {
  let c = ~0;
  for (const byte of bytes) {
    c ^= byte;
    for (let k = 0; k < 8; k += 1) c = (c >>> 1) ^ (c & 1 ? 0xedb88320 : 0);
  }
  return ~c >>> 0;
}

test('a round over a boat by keyboard: what failed stands on her trip until it was mended and passed again', async ({
  go,
  page,
  server,
}) => {
  await go(`/shed/round?boat=${PLOVER}`);
  const heading = page.getByRole('heading', { level: 2 });
  const first = await heading.first().innerText();
  await page.getByLabel('Note').focus();
  await page.keyboard.type('cracked');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByText(`${first}: failed, and counts no more`)).toBeVisible();
  await page.goto(server.base + FOUR);
  const fix = page.getByRole('group', { name: `Fix: Plover: ${first} failed` });
  await expect(fix).toContainText('Noted then: cracked');
  await fix
    .getByRole('link', { name: 'What was mended' })
    .or(fix.getByRole('button', { name: 'What was mended' }))
    .click();
  await page.getByLabel('What was done').fill('New one');
  await page.getByRole('button', { name: 'Mended: to be tested again' }).click();
  await page.getByRole('button', { name: `Passed today: ${first}` }).click();
  await expect(page.getByRole('button', { name: new RegExp(`^${first}: tested `) })).toBeVisible();
  await page.goto(server.base + FOUR);
  await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
  await expect(fix).toHaveCount(0);
});

test('a photo of a plug, small and bare, is there without a signal and gone when it is taken away; what is no picture is told', async ({
  go,
  page,
  server,
}) => {
  await go(`${DAWN}/pack/ready`);
  await page.getByRole('button', { name: /^Seen shut/ }).click();
  const add = async (file: { name: string; mimeType: string; buffer: Buffer }) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Take or choose a photo of Stern plug' }).click(),
    ]);
    await chooser.setFiles(file);
  };
  await add({
    name: '<img src=x onerror=alert(1)>.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('<script>'),
  });
  await expect(page.getByText(/can’t read it as a picture/)).toBeVisible();
  await add({ name: 'plug.png', mimeType: 'image/png', buffer: stripes(2400) });
  const photo = page.getByRole('button', { name: /^Photo of Stern plug/ });
  await expect(photo).toBeVisible({ timeout: 20_000 });
  const kept = async () =>
    Object.entries(
      (
        (await (await page.request.get(`${server.base}/api/export`)).json()) as {
          photos?: Record<string, string>;
        }
      ).photos ?? {},
    );
  await expect.poll(async () => (await kept()).length).toBe(1);
  const [[hash, data]] = await kept();
  const bytes = Buffer.from(data, 'base64');
  expect(bytes.length).toBeLessThanOrEqual(200_000);
  expect(createHash('sha256').update(bytes).digest('hex')).toBe(hash);
  expect(bytes.includes(Buffer.from('Exif'))).toBe(false);
  // Out there, without a signal: was it shut, and when was that seen.
  await page.goto(`${server.base}${DAWN}/go/under-way`);
  await expect(page.getByRole('button', { name: /^Seen shut: \w+ \d+ \w+ \d\d:\d\d/ })).toBeVisible();
  await page.context().setOffline(true);
  await page.getByRole('button', { name: /^Seen shut/ }).click();
  await page.getByRole('button', { name: /^Photo of Stern plug/ }).click();
  await expect(page.getByRole('img', { name: /^Photo of Stern plug/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take it away' }).click();
  await page.context().setOffline(false);
  await expect.poll(async () => (await kept()).length, { timeout: 20_000 }).toBe(0);
});
