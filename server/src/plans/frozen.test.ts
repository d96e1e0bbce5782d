import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { demoBundle } from '@escale/core/formats';
import { CATALOGUE } from '@escale/core/kit';
import { packsOn } from '@escale/core/rules';
import { assess } from '@escale/core/trip';
import { planVersion } from '../db/schema';
import { makeWorld, NOW, uuid, type World } from '../../test/world';
import { frozenShed } from './frozen';

let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(() => world.reset());
afterAll(() => world.close());

describe('what a filing freezes', () => {
  test('is nobody’s illness, and of who is not aboard nothing but that they are there', async () => {
    const stranger = uuid();
    const secret = 'Has an injector against wasp stings';
    await world.command(stranger, 'person', 0, {
      kind: 'create',
      doc: { id: stranger, name: 'Zebedee Quill', phone: '555 0666', medical: secret },
    });
    const { trips } = demoBundle(NOW);
    const skipper = trips[0].crew[0].person;
    await world.command(skipper, 'person', 1, {
      kind: 'patch',
      patch: [{ op: 'set', pointer: '/medical', value: secret }],
    });
    await world.file();
    const bytes = JSON.stringify(await world.db.select().from(planVersion));
    for (const word of [secret, 'Zebedee', '555 0666']) expect(bytes).not.toContain(word);
    expect(bytes).toContain(stranger);
    expect(bytes).toContain('Rowan Pike');
  });
  test('of drills those of who is aboard, by them alone, without what went wrong', () => {
    const { trips, shed } = demoBundle(NOW);
    const skipper = trips[0].crew[0].person;
    const { drills } = frozenShed(trips[0], shed);
    const theirs = shed.drills.filter(({ who }) => who.includes(skipper));
    expect(drills.map(({ id }) => id)).toEqual(theirs.map(({ id }) => id));
    expect(theirs.some(({ who, wrong }) => who.length > 1 && wrong !== undefined)).toBe(true);
    for (const drill of drills) expect([drill.who, drill.wrong]).toEqual([[skipper], undefined]);
  });
  test('of debriefs what later plans go by, and nobody’s words, catch, praise or track', () => {
    const { trips, shed } = demoBundle(NOW);
    const skipper = trips[0].crew[0].person;
    const stranger = shed.people.find(({ id }) => id !== skipper)!.id;
    const debriefs = shed.debriefs.map((debrief) => ({
      ...debrief,
      who: [skipper, stranger],
      well: [stranger],
      note: 'secret',
      miss: { incident: 'capsized' as const, at: '2026-05-01T08:00:00Z', deeds: [] },
      caught: { [skipper]: { species: 'secret', kept: true } },
      things: { [skipper]: { became: 'lost' as const, of: 1, was: { count: 1, state: 'ready' } } },
      parts: ['secret'],
      track: {
        from: '2026-05-01T08:00:00Z',
        until: '2026-05-01T09:00:00Z',
        metres: 1,
        moving: 1,
        line: 'secret',
      },
    }));
    const frozen = frozenShed(trips[0], { ...shed, debriefs }).debriefs;
    expect(JSON.stringify(frozen)).not.toMatch(/secret|capsized|lost/);
    for (const { who, well } of frozen) expect([who, well]).toEqual([[skipper], undefined]);
    expect(frozen.map(({ met }) => met)).toEqual(shed.debriefs.map(({ met }) => met));
  });
  test.each(demoBundle(NOW).trips.map((trip) => [trip.title, trip] as const))(
    '%s: reckoned again from it, the same is found',
    (_, trip) => {
      const { shed } = demoBundle(NOW);
      const on = (of: typeof shed) => {
        const packs = packsOn(
          of.waters.find((w) => w.id === trip.water),
          of,
        );
        const { findings, schedule } = assess({
          trip,
          shed: of,
          conditions: {},
          packs,
          catalogue: CATALOGUE,
          now: NOW,
        });
        return { findings: findings.map((f) => `${f.level} ${f.id}`), schedule };
      };
      expect(on(frozenShed(trip, shed))).toEqual(on(shed));
    },
  );
});
