import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer, request as askOver, type Server } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import { httpApp } from './api/app';
import { makeDoor, type Door } from './door/door';
import { reachedBy, saidIn } from './reached';
import { healthOf } from './watch/health';
import { makeWorld, type World } from '../test/world';

let folder: string, certFile: string, keyFile: string;
let world: World;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'escale-tls-'));
  certFile = join(folder, 'cert');
  keyFile = join(folder, 'key');
  const made = ['-subj', '/CN=plans.example', '-keyout', keyFile, '-out', certFile];
  execFileSync('openssl', ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '3', ...made], {
    stdio: 'ignore',
  });
  world = await makeWorld();
});
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await world.close();
});
const tls = () => ({ ESCALE_TLS_CERT: certFile, ESCALE_TLS_KEY: keyFile });
const OPEN = { ESCALE_PUBLIC: 'https://plans.example' };

describe('how it is reached', () => {
  test('on this machine alone, unless it is asked for more', () =>
    expect(reachedBy({}, 4280)).toEqual({ host: '127.0.0.1', base: 'http://localhost:4280' }));
  test.each<[string, () => NodeJS.ProcessEnv, RegExp]>([
    ['without TLS or a proxy', () => ({ HOST: '0.0.0.0', ...OPEN }), /Without either anybody/],
    ['without a name', () => ({ HOST: '0.0.0.0', ...tls() }), /ESCALE_PUBLIC/],
    [
      'by a plain name',
      () => ({ HOST: '0.0.0.0', ...tls(), ESCALE_PUBLIC: 'http://plans.example' }),
      /https/,
    ],
    ['by half a certificate', () => ({ HOST: '0.0.0.0', ...OPEN, ESCALE_TLS_CERT: certFile }), /both/],
    ['below a path', () => ({ ESCALE_PUBLIC: 'https://plans.example/escale' }), /at its root/],
    ['by what is no address', () => ({ ESCALE_PUBLIC: 'plans' }), /is no address/],
  ])('from outside %s it refuses, and says why', (_name, env, words) =>
    expect(() => reachedBy(env(), 4280)).toThrow(words),
  );
  test('over TLS with its name in every link, and until when its certificate is good', () => {
    const reached = reachedBy({ HOST: '0.0.0.0', ...tls(), ...OPEN }, 443);
    expect(reached.base).toBe('https://plans.example');
    expect(reached.tls!.until - Date.now()).toBeGreaterThan(2 * 86_400_000);
    expect(reachedBy({ HOST: '::', ESCALE_PROXY: '10.0.0.2', ...OPEN }, 4280)).toMatchObject({
      proxy: '10.0.0.2',
    });
  });
  test('what was left empty was not set', () =>
    expect(reachedBy(saidIn({ HOST: '', ESCALE_PUBLIC: '', ESCALE_PROXY: '' }), 4280).host).toBe(
      '127.0.0.1',
    ));
  test('a certificate that ends within the week is red', () => {
    const looked = { watch: world.onCall, clock: world.clock };
    const red = (days: number) => healthOf({ ...looked, certificate: Date.now() + days * 86_400_000 }).red;
    expect([red(8), red(6), red(-1)]).toEqual([[], ['certificate'], ['certificate']]);
  });
});

describe('over TLS', () => {
  let server: Server, door: Door;
  const ask = (path: string, headers: Record<string, string>) =>
    new Promise<{ status: number; cookie: string; text: string }>((done, failed) => {
      const { port } = server.address() as AddressInfo;
      const options = {
        host: '127.0.0.1',
        port,
        path,
        headers,
        ca: readFileSync(certFile),
        servername: 'plans.example',
      };
      askOver(options, (answer) => {
        let text = '';
        answer.on('data', (part: Buffer) => (text += part.toString()));
        answer.on('end', () =>
          done({ status: answer.statusCode ?? 0, cookie: answer.headers['set-cookie']?.[0] ?? '', text }),
        );
      })
        .on('error', failed)
        .end();
    });
  beforeAll(async () => {
    const services = { ...world.services, base: 'https://plans.example' };
    door = makeDoor(world.db);
    const app = httpApp(services, { watch: world.onCall, door });
    server = createServer({ cert: readFileSync(certFile), key: readFileSync(keyFile) }, app);
    await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  });
  afterAll(() => void server.close());
  test('it answers to its own name, lets in by a secure cookie, and links carry the name', async () => {
    const { status, cookie } = await ask(`/enter/${await door.code()}`, { Host: 'plans.example' });
    expect(status).toBe(303);
    expect(cookie).toMatch(/; HttpOnly; Secure; SameSite=Strict$/);
    expect((await ask('/api/things', { Host: 'plans.example', Cookie: cookie.split(';')[0] })).status).toBe(
      200,
    );
  });
  test.each(['elsewhere.example', 'plans.example.elsewhere.example', 'plans.example:444'])(
    'another name (%s) is refused: a page elsewhere that points here is not let through',
    async (name) => expect((await ask('/api/health', { Host: name })).status).not.toBe(200),
  );
});

describe('behind a proxy', () => {
  test('a cookie is secure where the proxy says that it was asked over TLS', async () => {
    const door = makeDoor(world.db);
    const app = httpApp(
      { ...world.services, base: 'https://plans.example' },
      { watch: world.onCall, door, proxy: 'loopback' },
    );
    const answer = await request(app)
      .get(`/enter/${await door.code()}`)
      .set({ Host: 'plans.example', 'X-Forwarded-Proto': 'https', 'X-Forwarded-For': '203.0.113.9' });
    expect(answer.get('Set-Cookie')![0]).toContain('Secure');
  });
  test('who only says that they come through it is not believed', async () => {
    // The proxy is another machine: what this one says of where it comes from is left aside, and one address is slowed as one.
    const services = { ...world.services, base: 'https://plans.example' };
    const server = httpApp(services, { watch: world.onCall, door: makeDoor(world.db), proxy: '10.9.9.9' });
    const guess = (i: number) =>
      request(server)
        .get('/c/AAAA')
        .set({ Host: 'plans.example', 'X-Forwarded-For': `203.0.113.${i}` });
    const answers = await Promise.all(Array.from({ length: 130 }, (_, i) => guess(i)));
    expect(answers.filter((a) => a.status === 429).length).toBeGreaterThanOrEqual(10);
  });
});
