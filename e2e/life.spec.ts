import type { AddressInfo } from 'node:net';
import { simpleParser, type ParsedMail } from 'mailparser';
import { SMTPServer } from 'smtp-server';
import { expect, Server, test, TRIP, TRIP_ID } from './server';

const MIN = 60_000;
const ADA = '01890000-0000-7000-8000-000000000053';

/** A mail server of this journey, that keeps what it takes. */
async function catcher() {
  const caught: ParsedMail[] = [];
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS', 'AUTH'],
    onData(stream, _session, done) {
      simpleParser(stream).then(
        (mail) => {
          caught.push(mail);
          done();
        },
        (error: unknown) => done(error as Error),
      );
    },
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const { port } = server.server.address() as AddressInfo;
  return { caught, url: `smtp://127.0.0.1:${port}`, close: () => server.close(() => undefined) };
}

interface Plan {
  id: string;
  state: string;
  times: { leave: number; home: number; overdue: number };
  events: { kind: string }[];
}

test('a whole life with three browsers and real mail: filed, accepted, offline twice, overdue, acted on, home', async ({
  browser,
}) => {
  test.setTimeout(150_000);
  const post = await catcher();
  const server = await Server.with({ ESCALE_SMTP: post.url, ESCALE_MAIL_FROM: 'watch@escale.invalid' });
  const plan = async () => (await server.ask<{ plans: Plan[] }>(`/api/plans?trip=${TRIP_ID}`)).plans[0];
  const open = async () => {
    const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
    page.setDefaultTimeout(15_000);
    return page;
  };
  const [crew, leader, contact] = [await open(), await open(), await open()];
  try {
    await server.ask('/api/commands', {
      id: '01890000-0000-7000-8000-00000000e001',
      device: '01890000-0000-7000-8000-00000000e002',
      type: 'contact',
      thing: ADA,
      baseVersion: 1,
      deed: { kind: 'patch', patch: [{ op: 'set', pointer: '/mail', value: 'ada@example.org' }] },
    });
    await server.letIn(crew);
    await server.letIn(leader);
    // The crew files; the contact’s mail comes with a link of its own.
    await crew.goto(`${server.base}${TRIP}/pack/float-plan`);
    await crew.getByRole('button', { name: 'File', exact: true }).click();
    await expect(crew.getByText('Filed, version 1')).toBeVisible();
    await expect.poll(() => post.caught.length).toBe(1);
    expect(post.caught[0].subject).toContain('Float plan');
    const link = /http:\S+\/c\/[\w-]+/.exec(post.caught[0].text ?? '')?.[0] ?? '';
    // The leader looks on, and sees the contact accept without loading anything anew.
    await leader.goto(`${server.base}/watch`);
    await expect(leader.getByText('Ada Tolley: not accepted yet').first()).toBeVisible();
    await contact.goto(link);
    await contact.getByRole('button', { name: 'I accept' }).click();
    await expect(contact.getByText('You have accepted.')).toBeVisible();
    await expect(leader.getByText('Ada Tolley: accepted')).toBeVisible();

    // On the water the signal is gone: what is said waits, twice, and goes out once each.
    const { id, times } = await plan();
    await server.setClock(times.leave + 30 * MIN);
    await crew.goto(`${server.base}${TRIP}/go/under-way`);
    await crew.getByRole('button', { name: 'We have left' }).click();
    await expect.poll(async () => (await plan()).state).toBe('under-way');
    await expect(crew.getByRole('button', { name: 'I’m fine' }).first()).toBeVisible({ timeout: 40_000 });
    for (const n of [1, 2]) {
      await server.stop('SIGKILL');
      await crew.getByRole('button', { name: 'I’m fine' }).first().click();
      await crew.getByRole('button', { name: /^Home stays/ }).click();
      await expect(crew.getByText(/^Not sent: your contacts are told/)).toBeVisible();
      await server.start();
      await server.setClock(times.leave + (30 + n) * MIN);
      await expect
        .poll(async () => (await plan()).events.filter((e) => e.kind === 'check-in').length, {
          timeout: 30_000,
        })
        .toBe(n);
    }
    // Nobody comes home.
    await server.setClock(times.overdue + MIN);
    await expect.poll(() => post.caught.some((m) => m.subject?.startsWith('ACT NOW'))).toBe(true);
    await expect(leader.getByRole('link', { name: /overdue/ }).first()).toBeVisible({ timeout: 40_000 });
    await contact.reload();
    await expect(contact.getByRole('heading', { name: 'Do this now' })).toBeVisible();
    await contact.getByRole('button', { name: 'I have read this: I act now' }).click();
    await contact.getByText('They are home', { exact: true }).click();
    await contact.getByLabel('Everybody is ashore').check();
    await contact.getByLabel('I heard so from them myself').check();
    await contact.getByRole('button', { name: 'End the watch' }).click();
    await expect(contact.getByRole('status')).toHaveText('They are home. Nothing more to do.');
    await expect(contact.getByText(/ring the same number again now/)).toBeVisible();
    await expect.poll(async () => (await plan()).state).toBe('closed');
    expect((await plan()).id).toBe(id);
  } finally {
    for (const page of [crew, leader, contact]) await page.context().close();
    await server.end();
    post.close();
  }
});

test('a phone joins by a code, writes, and is thrown out while it holds a write: it is told, and nothing of it is lost', async ({
  browser,
  server,
  go,
}) => {
  const before = (await server.doc(TRIP_ID))?.parked;
  const page = await go('/shed/devices');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = (await page.getByText(/\/enter\//).textContent()) ?? '';
  const phone = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await phone.goto(address);
  await phone.goto(`${server.base}/shed/devices`);
  await phone.getByLabel('What this device is called').fill('The lost phone');
  await phone.getByRole('button', { name: 'Save the name' }).click();
  await expect(phone.getByText('The lost phone: this one')).toBeVisible();
  await phone.goto(`${server.base}${TRIP}/pack/float-plan`);
  await expect(phone.getByLabel('Car and trailer, and where they stand')).toBeVisible();
  await phone.context().setOffline(true);
  await phone.getByLabel('Car and trailer, and where they stand').fill('a blue van');
  await phone.getByLabel('Car and trailer, and where they stand').blur();
  await page.reload();
  await page.getByRole('button', { name: 'Throw The lost phone out' }).click();
  await page.getByRole('button', { name: 'Throw it out' }).click();
  await expect(page.getByText(/The lost phone/)).toHaveCount(0);
  await phone.context().setOffline(false);
  await expect(phone.getByText(/not let in any more/).first()).toBeVisible({ timeout: 20_000 });
  expect((await server.doc(TRIP_ID))?.parked).toBe(before);
  await phone.context().close();
});
