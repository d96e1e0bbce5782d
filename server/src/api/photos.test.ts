import { createHash } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { MOST_PHOTOS } from '@escale/core/model/lists';
import { BOAT, makeWorld, uuid, WHISTLE, type World } from '../../test/world';

let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(() => world.reset());
afterAll(() => world.close());

const JPEG = [0xff, 0xd8, 0xff, 0xe0, 0, 4, 1, 1];
const SCAN = [0xff, 0xda, 0, 4, 1, 2];
/** A picture that is none to look at, and a JPEG in its parts. */
function photo(n: number, { size = 100, beside = [] as number[] } = {}) {
  const bytes = Buffer.from([
    ...JPEG,
    ...beside,
    ...SCAN,
    ...Array.from({ length: size }, (_, i) => (i + n) % 251),
    n >> 8,
    n & 255,
  ]);
  return { hash: createHash('sha256').update(bytes).digest('hex'), data: bytes.toString('base64') };
}
const send = (body: object) => world.post('/api/photos', body);
const read = async (hash: string) => (await world.page(`/api/photos/${hash}`)).status;
const note = (hash: string) => ({
  kind: 'patch',
  patch: [{ op: 'set', pointer: `/photos/${hash}`, value: { at: '2026-05-11T15:00:00Z' } }],
});
const drop = (hash: string) => ({ kind: 'patch', patch: [{ op: 'unset', pointer: `/photos/${hash}` }] });

describe('photos', () => {
  test('sent twice, kept once; read by its hash, and by nobody else’s', async () => {
    const one = photo(1);
    expect((await send(one)).status).toBe(200);
    expect((await send(one)).status).toBe(200);
    expect(await world.get(`/api/photos/${one.hash}`)).toEqual(one);
    expect(await read(photo(2).hash)).toBe(404);
    expect(await read('not-a-hash')).toBe(422);
  });
  test.each<[string, () => object]>([
    ['with the place in it', () => photo(3, { beside: [0xff, 0xe1, 0, 6, 0x47, 0x50, 0x53, 0] })],
    ['larger than two hundred thousand bytes', () => photo(4, { size: 200_001 })],
    ['of another hash', () => ({ ...photo(5), hash: photo(6).hash })],
    [
      'no picture but a script',
      () => {
        const bytes = Buffer.from('<script>alert(1)</script>');
        return { hash: createHash('sha256').update(bytes).digest('hex'), data: bytes.toString('base64') };
      },
    ],
    ['no base64', () => ({ ...photo(7), data: '%%%' })],
  ])('%s: refused in words, and nothing is kept', async (_name, body) => {
    const refused = await send(body());
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body)).toMatch(/[a-z] [a-z]/);
  });
  test('named by two things it stays until the last lets it go; put back, it is there with a thing that was removed', async () => {
    const { hash, ...rest } = photo(8);
    await send({ hash, ...rest });
    expect((await world.command(BOAT, 'boat', 1, note(hash))).status).toBe(200);
    expect((await world.command(WHISTLE, 'gear', 1, note(hash))).status).toBe(200);
    await world.command(BOAT, 'boat', 2, drop(hash));
    expect(await read(hash)).toBe(200);
    await world.command(WHISTLE, 'gear', 2, { kind: 'remove' });
    expect(await read(hash)).toBe(200);
    await world.command(WHISTLE, 'gear', 3, { kind: 'restore' });
    await world.command(WHISTLE, 'gear', 4, drop(hash));
    expect(await read(hash)).toBe(404);
  });
  test('two phones may each add one to the same thing', async () => {
    const [a, b] = [photo(9), photo(10)];
    expect((await world.command(BOAT, 'boat', 1, note(a.hash))).status).toBe(200);
    expect((await world.command(BOAT, 'boat', 1, note(b.hash), { device: uuid() })).status).toBe(200);
  });
  test('out in a bundle and in again; a bundle with one that can’t be kept is refused whole', async () => {
    const one = photo(11);
    await send(one);
    await world.command(BOAT, 'boat', 1, note(one.hash));
    const bundle = await world.get<{ photos: Record<string, string> }>('/api/export');
    expect(bundle.photos).toEqual({ [one.hash]: one.data });
    await world.reset();
    expect(await read(one.hash)).toBe(404);
    expect((await world.post('/api/import', bundle)).status).toBe(200);
    expect(await read(one.hash)).toBe(200);
    await world.reset();
    const wrong = { ...bundle, photos: { [one.hash]: photo(12).data } };
    expect((await world.post('/api/import', wrong)).status).toBe(422);
    expect(await read(one.hash)).toBe(404);
  });
  test('three hundred at most: the next is refused in words, until some go; what nothing names is cleared first', async () => {
    for (let n = 0; n < MOST_PHOTOS; n += 1) await send(photo(1000 + n));
    const refused = await send(photo(2000));
    expect([refused.status, JSON.stringify(refused.body)]).toEqual([
      422,
      expect.stringContaining('Remove some first'),
    ]);
    world.set(world.clock.now() + 25 * 3_600_000);
    expect((await send(photo(2000))).status).toBe(200);
  }, 60_000);
});
