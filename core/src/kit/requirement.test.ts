import { describe, expect, test } from '@jest/globals';
import { anItem, aPerson, inputOf } from '../../test/demo';
import type { Finding, GearItem, GearKind, Mend, NearMiss, Person, ReasonCode, Requirement } from '../model';
import { phrase, render } from '../say';
import { reason } from './count';
import { kitFindings } from './findings';
import { type KitFindingContext } from './mends';
import { CATALOGUE } from '.';
import { mendFact } from '../rules';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const say = (f: Finding | undefined) => (f ? f.because.map((b) => render(b, reader)) : []);

const label = (mend: Mend | undefined) => (mend ? render(mend.label, reader) : undefined);

describe('a requirement as it stands', () => {
  const kindOf = (id: string) => CATALOGUE.kinds.find((k) => k.id === id);
  const base: Requirement = {
    rule: 'R-1',
    pack: 'p',
    layer: 'law',
    title: 'A horn',
    text: '',
    applies: 'yes',
    because: [],
    anyOf: [[{ capability: 'sound', within: 'on-body' }]],
    source: { id: 'practice' } as Requirement['source'],
    met: 'no',
    metBy: [],
    missing: [],
    nearMisses: [],
  };
  const { trip } = inputOf();
  const one = (more: Partial<Requirement>, context: Partial<KitFindingContext> = {}): Finding =>
    kitFindings([{ ...base, ...more }], {
      trip: { ...trip, crew: [], stow: [] },
      people: [],
      gear: [],
      on: '2026-05-12',
      weights: new Map(),
      unsettled: new Map(),
      kindFor: () => undefined,
      ...context,
    })[0];
  const near = (item: GearItem, ...codes: [ReasonCode, boolean?][]): NearMiss => ({
    item: item.id,
    reasons: codes.map(([code, unknown]) =>
      reason(
        code,
        {
          on: '2026-01-01',
          host: 'Vest',
          item: item.name,
          limit: 1,
          person: 'Ash',
          mass: 1,
          least: 1,
          where: phrase('where.buried'),
          within: phrase('where.on-body'),
        },
        unknown,
      ),
    ),
  });
  const horn = anItem('horn', { name: 'Horn' }),
    old = anItem('horn', { name: 'Old' });
  const all = (f: Finding) => [f.mend, ...(f.others ?? [])].map(label);

  test('its title; one’s own is a Know, advice its weight, a Know without one; open advice is no more', () => {
    expect(render(one({}).title, reader)).toBe('A horn');
    expect(
      [
        one({ layer: 'own' }),
        one({ layer: 'advice' }),
        one({ layer: 'advice' }, { weights: new Map([['R-1', 'fix']]) }),
        one({ layer: 'advice', met: 'unknown' }, { weights: new Map([['R-1', 'fix']]) }),
      ].map((f) => f.level),
    ).toEqual(['know', 'know', 'fix', 'know']);
  });
  test('whether it applies is told while it is open and not met', () => {
    const open = one({ applies: 'unknown' });
    expect([open.level, say(open)]).toEqual(['fix', ['Whether this applies is not settled.']]);
    // Met all the same it asks for nothing, and settles nothing.
    expect(
      one({ applies: 'unknown', met: 'yes', metBy: [{ item: horn.id, count: 1 }] }, { gear: [horn] }),
    ).toBeUndefined();
  });
  test('what meets it, with how many; a thing that is gone is told by its id', () => {
    expect(
      say(
        one(
          {
            met: 'yes',
            metBy: [
              { item: horn.id, count: 3 },
              { item: 'gone', count: 1 },
            ],
          },
          { gear: [horn] },
        ),
      ),
    ).toEqual(['3 × Horn and gone.']);
    expect(say(one({ met: 'yes' }))).toEqual([]);
  });
  test('at most six that nearly count, those that lack least first; unsure is not the same as no', () => {
    const many = Array.from({ length: 8 }, (_, i) => anItem('horn', { name: `H${i}` }));
    expect(say(one({ nearMisses: many.map((m) => near(m, ['failed'])) }, { gear: many }))).toHaveLength(6);
    const lines = say(
      one(
        {
          nearMisses: [near(old, ['failed'], ['stays-home']), near(horn, ['state-unknown', true])],
          missing: [{ capability: 'sound', need: 1, have: 0 }],
        },
        { gear: [horn, old] },
      ),
    );
    expect(lines).toEqual([
      expect.stringMatching(/^Horn may not count/),
      expect.stringMatching(/^Old doesn’t count: .* and .*\.$/),
      'Asked for: 1 × whistle or horn. Counted: 0.',
    ]);
    expect(
      say(one({ nearMisses: [near(horn, ['state-unknown', true], ['stays-home'])] }, { gear: [horn] }))[0],
    ).toMatch(/^Horn doesn’t count/);
  });
  test('where something only may count, only what is open about it is told', () => {
    expect(
      say(
        one(
          {
            met: 'unknown',
            metBy: [{ item: horn.id, count: 1 }],
            nearMisses: [near(horn, ['state-unknown', true]), near(old, ['failed'])],
          },
          { gear: [horn, old] },
        ),
      ),
    ).toEqual([expect.stringMatching(/^Horn can’t be counted on/)]);
  });
  test('who lacks a jacket is told before what else is short', () =>
    expect(
      say(
        one({
          missing: [
            { capability: 'sound', need: 1, have: 0 },
            { capability: 'wearable', need: 2, have: 1, persons: ['gone'] },
          ],
        }),
      ),
    ).toEqual(['Nothing in the shed supplies it.', 'Nothing counts for gone.']));
  test('deeds: who does, who will not, who has not said; whom it does not concern is not named', () => {
    const [ann, ben, cy, dee] = ['Ann', 'Ben', 'Cy', 'Dee'].map((name) => aPerson({ name }));
    const crew = [ann, ben, cy, dee].map((p, i) => ({
      person: p.id,
      role: 'crew' as const,
      ...(i === 2 ? {} : { wearsJacket: i !== 1 }),
    }));
    const found = (met: Requirement['met'], ...who: Person[]) =>
      one(
        { anyOf: [], met, deeds: ['worn'], concerns: who.map((p) => p.id) },
        { trip: { ...trip, crew }, people: [ann, ben, cy, dee] },
      );
    const deed = (...args: Parameters<typeof found>) => say(found(...args));
    expect(deed('no', ann, ben, cy)).toEqual(['Said not to wear it: Ben.', 'Not said yet: Cy.']);
    expect(deed('yes', ann, dee)).toEqual(['Ann and Dee: jacket on from launch to landing.']);
    expect(deed('yes')).toEqual([]);
    // The tap says it for who said nothing, and for nobody else; who said no is asked.
    const { mend, others } = found('no', ann, ben, cy);
    expect([label(mend), ...(others ?? []).map(label)]).toEqual(['Jacket on: Cy', 'Ask Ben']);
    expect(mend).toMatchObject({
      do: { patch: [{ op: 'set', pointer: '/crew/2/wearsJacket', value: true }] },
    });
    expect(mend && 'do' in mend && mend.do.patch).toHaveLength(1);
  });

  test.each<[ReasonCode, string, object]>([
    ['not-tested', 'Test Horn', { pointer: '/inspected' }],
    ['uncharged', 'Charge Horn', { pointer: '/charge' }],
    ['charge-unknown', 'Charge Horn', { pointer: '/charge' }],
    ['approval-unknown', 'Look at Horn', { pointer: '/approval' }],
    ['expiry-unknown', 'Look at Horn', { pointer: '/expires' }],
    ['registration-unknown', 'Look at Horn', { pointer: '/registered' }],
    ['size-unknown', 'Look at Horn', { pointer: '/maxMass' }],
    ['length-unknown', 'Look at Horn', { pointer: '/line' }],
    ['cylinder-unknown', 'Look at Horn', { pointer: '/cylinder' }],
    ['companion', 'Look at Horn', { pointer: '' }],
  ])('%s: %s', (code, words, go) => {
    const { mend } = one({ nearMisses: [near(horn, [code])] }, { gear: [horn] });
    expect([label(mend), mend]).toEqual([
      words,
      expect.objectContaining({ go: { type: 'gear', id: horn.id, ...go } }),
    ]);
  });
  test('what is fixed to a jacket that stays is moved to one that goes, or stowed', () => {
    const vest = anItem('foam-jacket', { name: 'Vest' }),
      miss = { nearMisses: [near(horn, ['host-stays'])] };
    const moved = one(miss, { gear: [horn, vest], wornJacket: vest.id }).mend;
    expect([label(moved), moved]).toEqual([
      'Move Horn to Vest',
      expect.objectContaining({
        do: { type: 'gear', id: horn.id, patch: [{ op: 'set', pointer: '/on', value: vest.id }] },
      }),
    ]);
    const stowed = one(miss, { gear: [horn] }).mend;
    expect([label(stowed), stowed]).toEqual([
      'Put Horn on the body',
      expect.objectContaining({
        do: {
          type: 'trip',
          id: trip.id,
          patch: [{ op: 'append', pointer: '/stow', value: { item: horn.id, place: 'on-body' } }],
        },
      }),
    ]);
    expect(label(one({ ...miss, anyOf: [[{ capability: 'sound' }]] }, { gear: [horn] }).mend)).toBe(
      'Put Horn in reach of the seat',
    );
  });
  test('a weight, an age, the rapids are asked where they are entered', () => {
    const [known, unknown] = [
        aPerson({ name: 'Known' }),
        aPerson({ name: 'New', mass: undefined, born: undefined }),
      ],
      people = [known, unknown];
    const asked = (code: ReasonCode, more: Partial<KitFindingContext> = {}) =>
      one({ nearMisses: [near(horn, [code, true])] }, { gear: [horn], people, ...more }).mend;
    expect([asked('mass-unknown'), asked('age-unknown')]).toEqual([
      expect.objectContaining({ go: { type: 'person', id: unknown.id, pointer: '/mass' } }),
      expect.objectContaining({ go: { type: 'person', id: unknown.id, pointer: '/born' } }),
    ]);
    expect(label(asked('age-unknown'))).toBe('Look at New');
    expect([
      label(asked('rapids-unknown', { waterId: 'w' })),
      asked('rapids-unknown', { waterId: 'w' }),
    ]).toEqual([
      'Settle it: rapids on this water',
      expect.objectContaining({ go: { type: 'water', id: 'w', pointer: '/rapids' } }),
    ]);
  });
  test('at most three things are offered, the cheapest to mend first, counting the dearest thing about each', () => {
    const [a, b, c, d] = ['A', 'B', 'C', 'D'].map((name) => anItem('horn', { name }));
    expect(
      all(
        one(
          {
            met: 'unknown',
            nearMisses: [
              near(a, ['state-unknown', true]),
              near(b, ['stays-home']),
              near(c, ['not-tested', true]),
              near(d, ['failed']),
            ],
          },
          { gear: [a, b, c, d] },
        ),
      ),
    ).toEqual(['Take B', 'Test C', 'Look at A']);
    expect(
      all(
        one(
          {
            met: 'unknown',
            nearMisses: [
              near(a, ['stays-home'], ['state-unknown', true]),
              near(b, ['out-of-reach'], ['not-tested', true]),
            ],
          },
          { gear: [a, b] },
        ),
      ),
    ).toEqual(['Put B on the body', 'Take A']);
  });
  test('a new one: replaced, bought, borrowed; what is dear borrowed first; papers are one’s own; no kind, no way', () => {
    const short = { missing: [{ capability: 'sound' as const, need: 1, have: 0 }] },
      kinds = (id: string) => ({ kindFor: (): GearKind | undefined => kindOf(id) });
    const ended = one({ ...short, nearMisses: [near(old, ['expired'])] }, { gear: [old], ...kinds('horn') });
    expect(all(ended)).toEqual(['Replace Old', 'Buy or find: whistle or horn', 'Borrow: whistle or horn']);
    expect(ended.mend).toMatchObject({ go: { type: 'gear', id: old.id, pointer: '/expires' } });
    const paper = CATALOGUE.kinds.find((k) => k.group === 'paper')!;
    const licence = one(short, kinds(paper.id));
    expect([all(licence), licence.mend]).toEqual([
      ['Get it, and take it along: whistle or horn'],
      expect.objectContaining({ add: { type: 'gear', kind: paper.id } }),
    ]);
    expect(licence).not.toHaveProperty('others');
    expect(one(short)).not.toHaveProperty('mend');
    expect(label(one({}, kinds('horn')).mend)).toBe('Buy or find: whistle or horn');
    expect(all(one({}, kinds('beacon')))).toEqual([
      'Borrow: whistle or horn',
      'Buy or find: whistle or horn',
    ]);
  });
  test('a fact that settles it stands behind what is at hand, before what costs money', () => {
    const unsettled = {
      unsettled: new Map([['R-1', ['boat.length']]]),
      boatId: 'b',
      kindFor: () => kindOf('horn'),
      gear: [horn],
    };
    expect(all(one({ applies: 'unknown', nearMisses: [near(horn, ['stays-home'])] }, unsettled))).toEqual([
      'Take Horn',
      'Settle it: Length',
      'Buy or find: whistle or horn',
      'Borrow: whistle or horn',
    ]);
    expect(all(one({ nearMisses: [near(horn, ['stays-home'])] }, unsettled))).not.toContain(
      'Settle it: Length',
    );
  });
  test('where a fact is settled', () => {
    const at = (fact: string, more: { boatId?: string; waterId?: string } = {}) =>
      mendFact(fact, { trip, ...more });
    expect(at('boat.length', { boatId: 'b' })).toMatchObject({
      go: { type: 'boat', id: 'b', pointer: '/length' },
    });
    expect(at('boat.length')).toMatchObject({ go: { type: 'boat', pointer: '/length' } });
    expect((at('boat.length') as { go: object }).go).not.toHaveProperty('id');
    expect(at('crew.count')).toMatchObject({ go: { type: 'trip', id: trip.id, pointer: '/crew' } });
    expect(at('person.age@someone')).toMatchObject({
      go: { type: 'person', id: 'someone', pointer: '/born' },
    });
    expect(at('question.us-signal-waters', { waterId: 'w' })).toMatchObject({
      go: { type: 'water', id: 'w', pointer: '/answers/us-signal-waters' },
    });
    expect(label(at('question.us-signal-waters', { waterId: 'w' }))).toBe(
      'Settle it: the question about this water',
    );
    expect([at('question.us-signal-waters'), at('boat.smell')]).toEqual([undefined, undefined]);
  });
});
