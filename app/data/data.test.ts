import { applyPatch } from '@escale/core/formats/pointer';
import frozenThings from '../../core/src/model/frozen/things-1.json';
import { demoBundle } from '@escale/core/formats';
import { THINGS, type Mend } from '@escale/core/model';
import { phrase } from '@escale/core/say';
import { assess } from '@escale/core/trip';
import { fresh, type fakeServer, NOW, TRIP, tripOf } from '../test/world';
import { SECTIONS } from '../features/trip/sections';
import { askAgain } from './api';
import { type Queued } from './store';
import { newId } from './outbox';
import { hereOf, inverseOf, overlay, readThings, withBasis, type Held, type ThingsAnswer } from './things';
import { fieldHref, mendHref } from './where';
import { CATALOGUE } from '@escale/core/kit';
import { packsFor } from '@escale/core/rules';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
});
const trip = () => tripOf(server);

const title = (value: string) => [{ op: 'set' as const, pointer: '/title', value }];

describe('undo and guesses', () => {
  test('the inverse of a patch takes it back to the letter', () => {
    const { doc } = trip();
    const patch = [
      { op: 'set' as const, pointer: '/limits/wind', value: 5 },
      { op: 'append' as const, pointer: '/stow', value: { item: newId(), place: 'hatch' } },
      { op: 'set' as const, pointer: '/notes', value: 'n' },
    ];
    expect(applyPatch(applyPatch(doc, patch), inverseOf(doc, patch))).toEqual(doc);
  });
  test('what is stated is no guess any more', () => {
    const patch = withBasis({ basis: { '/length': 'guessed', '/beam': 'guessed', '/mass': 'measured' } }, [
      { op: 'set', pointer: '/length', value: 4 },
    ]);
    expect(patch[1]).toEqual({
      op: 'set',
      pointer: '/basis',
      value: { '/beam': 'guessed', '/mass': 'measured' },
    });
    expect(withBasis({}, title('x'))).toEqual(title('x'));
  });
  test('a document that can’t be read is left out and counted, not thrown at the screen', () => {
    const things = server.things.map((h, i) =>
      i === 0 ? { ...h, doc: { id: h.id, name: 3 } } : i === 1 ? { ...h, type: 'spaceship' } : h,
    );
    expect(readThings({ now: NOW, simulated: false, done: [], things })).toMatchObject({ unreadable: 2 });
  });
});

describe('every mend leads somewhere', () => {
  const bundle = demoBundle(NOW);
  /** Every mend that core emits for the demo's trips, whole and with each thing and fact taken away in turn. */
  function mends(): Mend[] {
    const found: Mend[] = [];
    for (const whole of bundle.trips) {
      const variants = [
        whole,
        ...Object.keys(whole).map((key) => ({
          ...whole,
          ...(Array.isArray(whole[key as 'halts'])
            ? { [key]: [] }
            : ['boat', 'water', 'launch', 'driveMinutes', 'speed'].includes(key)
              ? { [key]: undefined }
              : {}),
        })),
      ];
      for (const t of variants) {
        for (const strip of [false, true]) {
          const bare = <D extends object>(doc: D): D =>
            Object.fromEntries(
              Object.entries(doc).filter(
                ([key]) =>
                  !strip ||
                  [
                    'id',
                    'name',
                    'kind',
                    'propulsion',
                    'openings',
                    'count',
                    'stowage',
                    'state',
                    'position',
                    'class',
                    'jurisdiction',
                    'zone',
                  ].includes(key),
              ),
            ) as D;
          const shed = {
            ...bundle.shed,
            boats: bundle.shed.boats.map(bare),
            people: bundle.shed.people.map(bare),
            gear: bundle.shed.gear.map(bare),
            waters: bundle.shed.waters.map(bare),
          };
          found.push(
            ...assess({
              trip: t,
              shed,
              conditions: {},
              packs: packsFor(['US']),
              catalogue: CATALOGUE,
              now: NOW,
            }).findings.flatMap((f) => [...(f.mend ? [f.mend] : []), ...(f.others ?? [])]),
          );
        }
      }
    }
    return found;
  }
  test('from the section itself to the place of its deed', () => {
    const file = { label: phrase('plan.none.mend'), open: 'pack/float-plan' as const };
    expect(mendHref(file, TRIP, 'pack/kit')).toBe(`/trips/${TRIP}/pack/float-plan`);
    expect(mendHref(file, TRIP, 'pack/float-plan')).toBe(`/trips/${TRIP}/pack/float-plan?at=%2Fdeed`);
  });
  test('to a route and a field that is there, or a deed', () => {
    const all = mends();
    expect(all.length).toBeGreaterThan(200);
    const sections = new Set<string>(SECTIONS.map((s) => s.id));
    for (const mend of all) {
      if ('do' in mend) continue;
      const href = mendHref(mend, TRIP, 'pack/kit');
      expect({ mend, href }).toMatchObject({ href: expect.stringMatching(/^\/(trips|shed|practice)/) });
      const section = /^\/trips\/[^/]+\/([a-z-]+\/[a-z-]+)/.exec(href!)?.[1];
      if (section) expect(sections).toContain(section);
      if ('go' in mend && mend.go.type !== 'trip') {
        const field = mend.go.pointer.split('/')[1];
        if (field && field !== 'answers')
          expect(Object.keys((THINGS[mend.go.type] as unknown as { shape: object }).shape)).toContain(field);
      }
    }
  });
  test('a type that no page edits leads nowhere', () =>
    expect(fieldHref({ type: 'run', id: 'x', pointer: '/a' })).toBeUndefined());
});

describe('what this device kept from before an update', () => {
  const old = frozenThings as unknown as ThingsAnswer;
  const weights = (held: Held) =>
    (held.doc as { pack: { rules: { weight?: string }[] } }).pack.rules.map((r) => r.weight);
  test('an old answer is grown while it is read', () => {
    const { things, unreadable } = readThings(old);
    expect([things.map((h) => h.type), unreadable]).toEqual([['pack', 'person'], 0]);
    expect(weights(things[0])).toEqual(['fix', 'know', undefined]);
  });
  test('a document of a newer program is left out and counted', () => {
    const things = old.things.map((held) => ({ ...held, schema: 99 }));
    expect(readThings({ ...old, things })).toMatchObject({ things: [], unreadable: 2 });
  });
  test('an old write that waits is seen as today’s', () => {
    const { id, doc } = old.things[0];
    const body = {
      id: newId(),
      device: newId(),
      type: 'pack',
      thing: id,
      baseVersion: 0,
      deed: { kind: 'create', doc },
    };
    const waiting = {
      key: 1,
      id: body.id,
      path: '/api/commands',
      body,
      said: 'a pack',
      madeAt: '2026-05-11T15:00:00Z',
    };
    const seen = overlay({ things: [], done: [] }, [waiting]);
    expect(seen.map(weights)).toEqual([['fix', 'know', undefined]]);
  });
});

describe('reading again', () => {
  test('an answer is parsed once for all who read it, and laid over with what waits once', () => {
    const body = { simulated: false, done: [], things: server.things };
    const base = readThings(body);
    expect(readThings(body)).toBe(base);
    const queue: Queued[] = [];
    expect(hereOf(base, queue)).toBe(hereOf(base, queue));
    expect(hereOf(base, []).things).toHaveLength(base.things.length);
    expect(readThings({ ...body })).not.toBe(base);
  });
  test('what has not changed is the very object of before: nothing is parsed or reckoned anew', async () => {
    const asked: (string | undefined)[] = [];
    let body = '{"a":1}',
      mark = 'W/"1"';
    globalThis.fetch = ((_path: string, init?: { headers?: Record<string, string> }) => {
      const known = init?.headers?.['If-None-Match'];
      asked.push(known);
      const same = known === mark;
      return Promise.resolve({
        ok: !same,
        status: same ? 304 : 200,
        headers: new Headers({ ETag: mark }),
        text: () => Promise.resolve(same ? '' : body),
      });
    }) as unknown as typeof fetch;
    const first = await askAgain('/api/x');
    expect(await askAgain('/api/x')).toBe(first);
    [body, mark] = ['{"a":2}', 'W/"2"'];
    expect(await askAgain('/api/x')).toEqual({ a: 2 });
    expect(asked).toEqual([undefined, 'W/"1"', 'W/"1"']);
  });
});
