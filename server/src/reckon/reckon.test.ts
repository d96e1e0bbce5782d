import { afterAll, describe, expect, test } from '@jest/globals';
import { demoBundle } from '@escale/core/formats';
import { CATALOGUE } from '@escale/core/kit';
import { assess } from '@escale/core/trip';
import { Refusal } from '../refusal';
import { NOW, TRIP } from '../../test/world';
import { reckoner } from './thread';

const { shed, trips } = demoBundle(NOW);
const input = {
  trip: trips.find((t) => t.id === TRIP)!,
  shed,
  conditions: {},
  packs: [],
  catalogue: CATALOGUE,
  now: NOW,
};
const quick = reckoner(1500);
afterAll(() => quick.end());

describe('a thread that assesses', () => {
  test('says what is said in this one', async () =>
    expect(JSON.parse(JSON.stringify(await quick.reckon(input)))).toEqual(
      JSON.parse(JSON.stringify(assess(input))),
    ));
  test('what never ends is refused with a sentence, and costs no other its answer', async () => {
    // A condition doubled at each depth: what no schema lets in takes longer than anybody waits.
    let when: object = { any: [{ fact: 'trip.night', is: true }] };
    for (let i = 0; i < 40; i += 1) when = { all: [when, when] };
    const pack = { id: 'x', version: '1', schema: 2, rules: [{ id: 'r', when }] };
    const endless = quick.reckon({ ...input, packs: [pack as never] });
    const next = quick.reckon(input);
    await expect(endless).rejects.toThrow(Refusal);
    expect((await next).trip).toBe(TRIP);
  }, 30_000);
});
