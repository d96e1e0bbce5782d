import { execFileSync } from 'node:child_process';
import { createECDH, randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { Agent, createServer, type Server } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
// @ts-expect-error it has no types: the same cipher, the other way (RFC 8188)
import ece from 'http_ece';
import webpush from 'web-push';
import { pushSubscription } from '../db/schema';
import { HOME } from '../db/household';
import { makeWorld, type World } from '../../test/world';
import { Bounced } from './channel';
import { pushTo } from './push';

/** A push service of this test: TLS with a certificate of its own, and what it was given. */
interface Heard {
  path: string;
  headers: Record<string, unknown>;
  body: Buffer;
}

let world: World, server: Server, base: string, folder: string;
const heard: Heard[] = [];
const answers = new Map<string, number>();

beforeAll(async () => {
  world = await makeWorld();
  folder = mkdtempSync(join(tmpdir(), 'escale-push-'));
  const [key, cert] = [join(folder, 'key'), join(folder, 'cert')];
  execFileSync(
    'openssl',
    [
      'req',
      '-x509',
      '-newkey',
      'rsa:2048',
      '-nodes',
      '-days',
      '2',
      '-subj',
      '/CN=localhost',
      '-keyout',
      key,
      '-out',
      cert,
    ],
    { stdio: 'ignore' },
  );
  server = createServer({ key: readFileSync(key), cert: readFileSync(cert) }, (req, res) => {
    const parts: Buffer[] = [];
    req.on('data', (part: Buffer) => parts.push(part));
    req.on('end', () => {
      heard.push({ path: req.url ?? '', headers: req.headers, body: Buffer.concat(parts) });
      res.writeHead(answers.get(req.url ?? '') ?? 201).end();
    });
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  base = `https://localhost:${(server.address() as AddressInfo).port}`;
});
beforeEach(async () => {
  await world.reset();
  heard.length = 0;
  answers.clear();
});
afterAll(async () => {
  await new Promise((done) => server.close(done));
  rmSync(folder, { recursive: true });
  await world.close();
});

/** A browser's own pair of keys, as its Push API makes them. */
function browser(path: string) {
  const pair = createECDH('prime256v1');
  pair.generateKeys();
  const auth = randomBytes(16);
  return {
    pair,
    auth,
    subscription: {
      endpoint: `${base}${path}`,
      keys: { p256dh: pair.getPublicKey('base64url'), auth: auth.toString('base64url') },
    },
  };
}
const vapid = webpush.generateVAPIDKeys();
const channel = () =>
  pushTo(
    world.db,
    { ...vapid, subject: 'mailto:watch@escale.invalid' },
    world.clock.now,
    new Agent({ ca: readFileSync(join(folder, 'cert')) }),
  );
const going = {
  key: '01890000-0000-7000-8000-00000000c002',
  household: HOME,
  to: 'Rowan Pike',
  phone: null,
  mail: null,
  subject: 'Float plan: home is at 10:05',
  text: 'Home is near: ′é',
  at: 0,
  ashore: false,
};
const subscribe = (subscription: object) => world.post('/api/push', subscription);

describe('notices to the crew’s browsers', () => {
  test('are sealed to the browser alone, signed by this server, and read there as they were written', async () => {
    const { pair, auth, subscription } = browser('/one');
    expect((await subscribe(subscription)).status).toBe(201);
    await channel().send(going);
    expect(heard).toHaveLength(1);
    const [{ headers, body }] = heard;
    expect(headers).toMatchObject({ 'content-encoding': 'aes128gcm', urgency: 'high', ttl: '3600' });
    expect(String(headers.authorization)).toContain(`k=${vapid.publicKey}`);
    expect(body.toString()).not.toContain('Home is near');
    const open = ece.decrypt(body, { version: 'aes128gcm', privateKey: pair, authSecret: auth }) as Buffer;
    expect(JSON.parse(open.toString())).toEqual({
      title: going.subject,
      body: going.text,
      tag: going.key,
    });
  });
  test.each([404, 410])('a browser that is gone (%d) is asked no more', async (status) => {
    await subscribe(browser('/gone').subscription);
    answers.set('/gone', status);
    await expect(channel().send(going)).rejects.toBeInstanceOf(Bounced);
    const [row] = await world.db.select().from(pushSubscription);
    expect(row.endedAt).not.toBeNull();
    expect(await channel().reaches(going)).toBe(false);
  });
  test('one that is gone keeps no other from hearing; a service that fails is tried again', async () => {
    await subscribe(browser('/gone').subscription);
    await subscribe(browser('/there').subscription);
    answers.set('/gone', 410);
    await channel().send(going);
    answers.set('/there', 503);
    const failed = await channel()
      .send(going)
      .catch((error: unknown) => error);
    expect(failed).toBeInstanceOf(Error);
    expect(failed).not.toBeInstanceOf(Bounced);
    expect(await channel().reaches(going)).toBe(true);
  });
  test('are for this household’s crew alone, and end when the browser says so', async () => {
    const { subscription } = browser('/one');
    await subscribe(subscription);
    expect(await channel().reaches({ ...going, household: '01890000-0000-7000-8000-0000000000ee' })).toBe(
      false,
    );
    expect(await channel().reaches({ ...going, ashore: true })).toBe(false);
    await world.post('/api/push/end', { endpoint: subscription.endpoint });
    expect(await channel().reaches(going)).toBe(false);
  });
  test.each([
    [{ endpoint: 'http://localhost/x', keys: { p256dh: 'a'.repeat(87), auth: 'b'.repeat(22) } }],
    [{ endpoint: 'https://localhost/x' }],
    [{ endpoint: 'https://localhost/x', keys: { p256dh: '<>', auth: 'b'.repeat(22) } }],
  ])('what is no subscription is refused: %j', async (body) => {
    expect((await subscribe(body)).status).toBe(422);
  });
});
