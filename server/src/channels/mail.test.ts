import { createServer, type AddressInfo, type Server } from 'node:net';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { simpleParser, type ParsedMail } from 'mailparser';
import { SMTPServer } from 'smtp-server';
import { eq } from 'drizzle-orm';
import type { Channel as ChannelView } from '@escale/core/model';
import { message } from '../db/schema';
import { makeWorld, ADA, type World } from '../../test/world';
import { Bounced, type Channel } from './channel';
import { mailBy } from './mail';
import { channelsFrom } from './settings';

const MIN = 60_000;

/** A mail server of this test: it keeps what it takes, and refuses whom it is told to. */
async function catcher() {
  const caught: ParsedMail[] = [];
  const refused = new Map<string, number>();
  let waiting: (() => void) | undefined;
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS', 'AUTH'],
    onRcptTo({ address }, _session, done) {
      const code = refused.get(address);
      done(code === undefined ? null : Object.assign(new Error('refused'), { responseCode: code }));
    },
    onData(stream, _session, done) {
      simpleParser(stream).then(
        (mail) => {
          caught.push(mail);
          done();
          waiting?.();
        },
        (error: unknown) => done(error as Error),
      );
    },
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const { port } = server.server.address() as AddressInfo;
  return {
    url: `smtp://127.0.0.1:${port}`,
    caught,
    refused,
    close: () => new Promise<void>((done) => server.close(done)),
  };
}
type Catcher = Awaited<ReturnType<typeof catcher>>;

const FROM = 'watch@escale.invalid';
const going = {
  key: '01890000-0000-7000-8000-00000000c001',
  household: 'h',
  to: 'Ada Tolley',
  phone: null,
  mail: 'ada@example.org',
  subject: 'Float plan: Tern Holm',
  text: 'They are overdue. Sheet: http://localhost/c/x',
  at: 0,
  ashore: true,
};

describe('mail', () => {
  let post: Catcher;
  beforeEach(async () => {
    post = await catcher();
  });
  afterEach(() => post.close());
  test('arrives as it was written, to one person, under the message’s own id', async () => {
    const channel = mailBy(post.url, FROM);
    await channel.send({
      ...going,
      to: 'Ada "T" <x@y.org>',
      text: 'They’re overdue: ′ → é\n.\nRing 555 0100',
    });
    expect(post.caught).toHaveLength(1);
    const [mail] = post.caught;
    expect(mail.to).toMatchObject({ value: [{ address: 'ada@example.org' }] });
    expect(mail.from?.text).toBe(FROM);
    expect(mail.messageId).toBe(`<${going.key}@escale.invalid>`);
    expect(mail.text?.trim()).toBe('They’re overdue: ′ → é\n.\nRing 555 0100');
    channel.close?.();
  });
  test('what people wrote makes no header', async () => {
    const channel = mailBy(post.url, FROM);
    await channel.send({
      ...going,
      subject: 'A\r\nBcc: thief@example.org',
      to: 'A\r\nCc: thief@example.org',
    });
    expect(JSON.stringify([...post.caught[0].headers.keys()])).not.toMatch(/bcc|"cc"/);
    expect(await channel.reaches({ ...going, mail: 'a@b.org\nBcc: c@d.org' })).toBe(false);
    channel.close?.();
  });
  test('an address that takes nothing has bounced; one that is busy is tried again', async () => {
    const channel = mailBy(post.url, FROM);
    post.refused.set('ada@example.org', 550);
    await expect(channel.send(going)).rejects.toBeInstanceOf(Bounced);
    post.refused.set('ada@example.org', 450);
    const busy = await channel.send(going).catch((error: unknown) => error);
    expect(busy).toBeInstanceOf(Error);
    expect(busy).not.toBeInstanceOf(Bounced);
    channel.close?.();
  });
  test('asked at the start, it says whether it is there', async () => {
    await expect(mailBy(post.url, FROM).probe?.()).resolves.toBeUndefined();
    const nobody = await new Promise<Server>((ready) => {
      const s = createServer().listen(0, '127.0.0.1', () => ready(s));
    });
    const { port } = nobody.address() as AddressInfo;
    await new Promise((done) => nobody.close(done));
    await expect(mailBy(`smtp://127.0.0.1:${port}`, FROM).probe?.()).rejects.toThrow();
  });
});

describe('settings', () => {
  const from = (env: NodeJS.ProcessEnv) => channelsFrom(env, {} as never, () => 0, false).map((c) => c.name);
  test('each way by what is set for it, the real before the simulated', () => {
    expect(from({})).toEqual([]);
    expect(from({ ESCALE_SMTP: 'smtp://localhost:25', ESCALE_MAIL_FROM: FROM })).toEqual(['mail']);
    expect(
      channelsFrom(
        { ESCALE_SMTP: 'smtp://localhost:25', ESCALE_MAIL_FROM: FROM },
        {} as never,
        () => 0,
        true,
      ).map((c) => c.name),
    ).toEqual(['mail', 'telephone']);
  });
  test.each([
    [{ ESCALE_SMTP: 'localhost:25', ESCALE_MAIL_FROM: FROM }, /ESCALE_SMTP is an address/],
    [{ ESCALE_SMTP: 'smtp://localhost:25' }, /ESCALE_MAIL_FROM/],
    [{ ESCALE_PUSH_PUBLIC: 'x' }, /together/],
  ])('%j is refused in words', (env, words) => expect(() => from(env)).toThrow(words));
});

describe('the watch, by mail', () => {
  let world: World;
  let post: Catcher;
  let telephone: Channel;
  beforeAll(async () => {
    world = await makeWorld();
    [telephone] = world.services.channels;
  });
  beforeEach(async () => {
    await world.reset();
    post = await catcher();
  });
  afterEach(() => post.close());
  afterAll(() => world.close());
  /** The world's own watch, with these ways out. */
  const ways = (...names: ('mail' | 'telephone')[]) => {
    const all = { mail: mailBy(post.url, FROM), telephone };
    world.services.channels = names.map((name) => all[name]);
  };
  const withMail = (mail: string) =>
    world.command(ADA, 'contact', 1, {
      kind: 'patch',
      patch: [{ op: 'set', pointer: '/mail', value: mail }],
    });
  const rows = () => world.db.select().from(message);

  test('a whole life: filed, overdue, alarm, home; each once, the links in them open', async () => {
    await withMail('ada@example.org');
    ways('mail');
    const plan = await world.file();
    for (const at of [plan.times.home, plan.times.overdue, plan.times.overdue + 60 * MIN])
      await world.silentUntil(at);
    await world.watchOnce();
    const subjects = post.caught.map((m) => m.subject);
    expect(subjects.filter((s) => s?.startsWith('ACT NOW'))).toEqual([
      'ACT NOW. Float plan: Rowan Pike is overdue',
      'ACT NOW. Float plan: Rowan Pike is still not back',
    ]);
    const link = /http:\/\/localhost:4280(\/c\/[\w-]+)/.exec(post.caught.at(-1)?.text ?? '')?.[1];
    expect((await world.page(link ?? '')).text).toContain('Ring now');
    // What is for the crew stands on their own pages: there is no way to their phones.
    const crew = (await rows()).filter((r) => r.contact === null);
    expect(new Set(crew.map((r) => r.channel))).toEqual(new Set(['here']));
    await world.deed(plan.id, 'closed');
    await world.watchOnce();
    expect(post.caught.at(-1)?.text).toMatch(/ring again now and say that they are home/);
  });
  test('an address that bounces: it is set aside at once, the crew and the next contact hear, and the plan says so', async () => {
    await withMail('ada@example.org');
    post.refused.set('ada@example.org', 550);
    ways('mail');
    const plan = await world.file();
    await world.silentUntil(plan.times.overdue);
    const [row] = (await rows()).filter((r) => r.kind === 'overdue');
    expect(row).toMatchObject({ trouble: 'bounced', attempts: 1, setAsideAt: expect.any(Date) });
    const seen = await world.view(plan.id);
    expect(seen.events.map((e) => e.kind)).toContain('unreached');
    expect(seen.contacts[0].unreached).toBe(true);
  });
  test('where mail fails the telephone is tried at once, and which way went is on record', async () => {
    await withMail('ada@example.org');
    post.refused.set('ada@example.org', 450);
    ways('mail', 'telephone');
    const plan = await world.file();
    await world.silentUntil(plan.times.overdue);
    const [row] = await world.db.select().from(message).where(eq(message.kind, 'overdue'));
    expect(row).toMatchObject({ channel: 'telephone', deliveredAt: expect.any(Date) });
    const { channels: seen } = await world.get<{ channels: ChannelView[] }>('/api/plans');
    expect(seen).toMatchObject([
      { name: 'mail', failing: plan.times.overdue },
      { name: 'telephone', simulated: true, worked: plan.times.overdue },
    ]);
  });
  test('who does not answer is tried by the other way', async () => {
    await withMail('ada@example.org');
    ways('mail', 'telephone');
    const plan = await world.file();
    await world.silentUntil(plan.times.overdue);
    await world.silentUntil(plan.times.overdue + 10 * MIN);
    expect(post.caught.filter((m) => m.text?.includes('is overdue'))).toHaveLength(1);
    const calls = (await world.calls()).filter((c) => c.to === 'Ada Tolley').map((c) => c.text);
    expect(calls[0]).toContain('Nobody has answered about Tern Holm');
  });
});
