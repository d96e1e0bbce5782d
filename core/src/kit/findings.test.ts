import { describe, expect, test } from '@jest/globals';
import { aBoat, anItem, aPerson, aPlace, aWater, inputOf } from '../../test/demo';
import { applyPatch } from '../formats';
import type { Finding, GearItem, GearKind, Mend, NearMiss, Person, ReasonCode, Requirement, Trip } from '../model';
import { phrase, render } from '../say';
import { assess } from '../trip';
import { reason } from './count';
import { kitFindings } from './findings';
import { mendFact, type KitFindingContext } from './mends';
import { CATALOGUE } from '.';
import { packsFor } from '../rules';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const say = (f: Finding | undefined) => (f ? f.because.map((b) => render(b, reader)) : []);

/** One person in a skiff of 14 ft on a coast at noon, with this kit and nothing else. */
function world(gear: GearItem[], more: { people?: Person[]; trip?: Partial<Trip>; feet?: number } = {}) {
  const boat = aBoat({ length: (more.feet ?? 14) * 0.3048 }), launch = aPlace({ works: 0 }), halt = aPlace({ kind: 'ground', position: { lat: 41.21, lon: -29.5 } }), water = aWater();
  const people = more.people ?? [aPerson()];
  const trip: Trip = { ...inputOf().trip, boat: boat.id, crew: people.map((p) => ({ person: p.id, role: 'crew' })), water: water.id, launch: launch.id, halts: [{ place: halt.id, minutes: 10 }], leave: { date: '2026-05-12', time: '12:00' }, stow: [], ...more.trip };
  const shed = { ...inputOf().shed, boats: [boat], people, gear, places: [launch, halt], waters: [water], debriefs: [] };
  const input = { ...inputOf(0, { shed }), trip, packs: packsFor(['US']) };
  const find = (rule: string, trip2 = trip, gear2 = gear) => assess({ ...input, trip: trip2, shed: { ...shed, gear: gear2 } }).findings.find((f) => f.id.startsWith(`kit/${rule}/`));
  return { trip, boat, find, people };
}
const label = (mend: Mend | undefined) => (mend ? render(mend.label, reader) : undefined);

describe('levels', () => {
  test('law unmet is a Stop, law that can’t be told a Fix, advice by its weight, advice that can’t be told a Know', () => {
    expect(world([]).find('NAV-33')?.level).toBe('stop');
    expect(world([anItem('horn', { state: 'unknown' })]).find('NAV-33')?.level).toBe('fix');
    expect(world([]).find('P-CALL')?.level).toBe('fix');
    expect(world([]).find('P-KNIFE')?.level).toBe('know');
    expect(world([anItem('phone', { stowage: 'on-body', charge: undefined })]).find('P-CALL')?.level).toBe('know');
    expect(world([anItem('horn')]).find('NAV-33')?.level).toBe('ready');
  });
  test('a child who said nothing about wearing leaves the law open; one who will not is a Stop; one who will is Ready', () => {
    const child = aPerson({ born: '2018-01-01', mass: 25 });
    const jacket = anItem('child-jacket', { minMass: 15, maxMass: 30, stowage: 'on-body' });
    const wears = (wearsJacket: boolean | undefined) => world([jacket], { people: [child], trip: { crew: [{ person: child.id, role: 'crew', ...(wearsJacket === undefined ? {} : { wearsJacket }) }] } }).find('US-PFD-05');
    expect([wears(undefined)?.level, wears(false)?.level, wears(true)?.level]).toEqual(['fix', 'stop', 'ready']);
    expect(say(wears(undefined))[0]).toBe('Not said yet: Ash.');
  });
});

describe('what is said', () => {
  test('what nearly counts stands first, cheapest to mend first, then what was asked', () => {
    const lines = say(world([anItem('horn', { name: 'Old horn', state: 'failed' }), anItem('horn', { name: 'Horn', stowage: 'buried' })]).find('NAV-33'));
    expect(lines[0]).toBe('Horn doesn’t count: it travels buried; it counts only in reach of the seat.');
    expect(lines[1]).toBe('Old horn doesn’t count: it failed its test.');
    expect(lines[2]).toBe('Asked for: 1 × whistle or horn. Counted: 0.');
  });
  test('nothing in the shed is said as such', () => expect(say(world([]).find('NAV-33'))[0]).toBe('Nothing in the shed supplies it.'));
  test('alternatives are all named', () => {
    const [, asked] = say(world([], { trip: { leave: { date: '2026-05-12', time: '03:00' } } }).find('US-VDS-03'));
    expect(asked).toBe('Asked for: 1 × electric distress light or 3 × flare good by night. Counted: 0.');
  });
  test('who has no jacket is named, and each who has', () => {
    const [a, b] = [aPerson({ name: 'Ann', mass: 60 }), aPerson({ name: 'Ben', mass: 110 })];
    const one = anItem('foam-jacket', { name: 'Red', minMass: 50, maxMass: 90, stowage: 'on-body' });
    expect(say(world([one], { people: [a, b] }).find('US-PFD-03'))).toEqual(expect.arrayContaining(['Nothing counts for Ben.']));
    const two = anItem('foam-jacket', { name: 'Big', minMass: 90, maxMass: 140, stowage: 'on-body' });
    expect(say(world([one, two], { people: [a, b] }).find('US-PFD-03'))[0]).toBe('Red for Ann and Big for Ben.');
  });
});

describe('the one tap', () => {
  test.each<[string, Partial<GearItem>, string]>([
    ['it stays at home', { stowage: 'home' }, 'Take Horn'], ['too deep', { stowage: 'hatch' }, 'Put Horn in reach of the seat'], ['state unknown', { state: 'unknown' }, 'Look at Horn'], ['failed', { state: 'failed' }, 'Replace Horn'],
  ])('%s', (_name, more, words) => expect(label(world([anItem('horn', { name: 'Horn', ...more })]).find('NAV-33')?.mend)).toBe(words));
  test('a failed thing that would not fit either is not replaced by its like', () => {
    const child = aPerson({ name: 'Child', mass: 30, born: '2017-01-01' });
    expect(world([anItem('foam-jacket', { minMass: 70, maxMass: 120, state: 'failed', stowage: 'on-body' })], { people: [child] }).find('US-PFD-03')?.mend).toMatchObject({ add: { type: 'gear' } });
  });
  test('every way, the cheapest first: move, test, replace, borrow, buy', () => {
    const buried = anItem('horn', { name: 'Fresh', stowage: 'buried' }), broken = anItem('horn', { name: 'Broken', state: 'failed' });
    const all = (gear: GearItem[]) => { const f = world(gear).find('NAV-33')!; return [f.mend, ...(f.others ?? [])].map(label); };
    expect(all([broken, buried])).toEqual(['Put Fresh in reach of the seat', 'Replace Broken', 'Borrow: whistle or horn', 'Buy or find: whistle or horn']);
    expect(all([anItem('horn', { name: 'Untried', state: 'due' }), buried, broken])).toEqual(['Put Fresh in reach of the seat', 'Test Untried']);
  });
  test('what may count already asks for a look, not for money', () => {
    const f = world([anItem('horn', { state: 'unknown' })]).find('NAV-33')!;
    expect([f.mend, ...(f.others ?? [])].map(label)).toEqual(['Look at horn']);
  });
  test('what is met has no other ways', () => expect(world([anItem('horn')]).find('NAV-33')).not.toHaveProperty('others'));
  test('nothing there: add one, of a kind that supplies it', () => expect(world([]).find('NAV-33')?.mend).toMatchObject({ add: { type: 'gear', kind: expect.any(String) } }));
  test('moving it does what it says: done, the finding is Ready', () => {
    const horn = anItem('horn', { stowage: 'buried' });
    const { find, trip } = world([horn]);
    const { mend } = find('NAV-33')!;
    if (!mend || !('do' in mend)) throw new Error('no tap');
    expect(find('NAV-33', applyPatch(trip, mend.do.patch))?.level).toBe('ready');
  });
  test('moving a thing again changes its one entry instead of adding a second', () => {
    const horn = anItem('horn');
    const { find, trip } = world([horn], { trip: { stow: [{ item: horn.id, place: 'home' }] } });
    const { mend } = find('NAV-33')!;
    if (!mend || !('do' in mend)) throw new Error('no tap');
    expect(applyPatch(trip, mend.do.patch).stow).toEqual([{ item: horn.id, place: 'in-reach' }]);
  });
  test('a missing weight is asked of the person, not of the jacket', () => {
    const person = aPerson({ name: 'Ash', mass: undefined });
    expect(world([anItem('foam-jacket', { minMass: 50, maxMass: 90, stowage: 'on-body' })], { people: [person] }).find('US-PFD-03')?.mend).toMatchObject({ go: { type: 'person', id: person.id, pointer: '/mass' } });
  });
  test('jackets on: said for everyone at once', () => {
    const [a, b] = [aPerson(), aPerson()];
    const { find, trip } = world([], { people: [a, b] });
    const { mend } = find('P-WEAR')!;
    if (!mend || !('do' in mend)) throw new Error('no tap');
    expect(applyPatch(trip, mend.do.patch).crew.every((c) => c.wearsJacket)).toBe(true);
  });
});

describe('the throwable', () => {
  const cushion = (more: Partial<GearItem> = {}) => anItem('throw-cushion', more);
  test('at sixteen feet it is asked for, must be in reach and approved; a jacket is none', () => {
    expect(world([], { feet: 15.9 }).find('US-PFD-04')).toBeUndefined();
    expect(world([cushion()], { feet: 16 }).find('US-PFD-04')?.level).toBe('ready');
    expect(world([cushion({ stowage: 'hatch' })], { feet: 16 }).find('US-PFD-04')?.level).toBe('stop');
    expect(world([cushion({ approval: 'none' })], { feet: 16 }).find('US-PFD-04')?.level).toBe('stop');
    expect(world([cushion({ approval: undefined })], { feet: 16 }).find('US-PFD-04')?.level).toBe('fix');
    expect(world([anItem('foam-jacket', { minMass: 40, maxMass: 120 })], { feet: 16 }).find('US-PFD-04')?.level).toBe('stop');
  });
});

describe('a requirement as it stands', () => {
  const kindOf = (id: string) => CATALOGUE.kinds.find((k) => k.id === id);
  const base: Requirement = { rule: 'R-1', pack: 'p', layer: 'law', title: 'A horn', text: '', applies: 'yes', because: [], anyOf: [[{ capability: 'sound', within: 'on-body' }]], source: { id: 'practice' } as Requirement['source'], met: 'no', metBy: [], missing: [], nearMisses: [] };
  const { trip } = inputOf();
  const one = (more: Partial<Requirement>, context: Partial<KitFindingContext> = {}): Finding => kitFindings([{ ...base, ...more }], { trip: { ...trip, crew: [], stow: [] }, people: [], gear: [], on: '2026-05-12', weights: new Map(), unsettled: new Map(), kindFor: () => undefined, ...context })[0];
  const near = (item: GearItem, ...codes: [ReasonCode, boolean?][]): NearMiss => ({ item: item.id, reasons: codes.map(([code, unknown]) => reason(code, { on: '2026-01-01', host: 'Vest', item: item.name, limit: 1, person: 'Ash', mass: 1, least: 1, where: phrase('where.buried'), within: phrase('where.on-body') }, unknown)) });
  const horn = anItem('horn', { name: 'Horn' }), old = anItem('horn', { name: 'Old' });
  const all = (f: Finding) => [f.mend, ...(f.others ?? [])].map(label);

  test('its title; one’s own is a Know, advice its weight, a Know without one; open advice is no more', () => {
    expect(render(one({}).title, reader)).toBe('A horn');
    expect([one({ layer: 'own' }), one({ layer: 'advice' }), one({ layer: 'advice' }, { weights: new Map([['R-1', 'fix']]) }), one({ layer: 'advice', met: 'unknown' }, { weights: new Map([['R-1', 'fix']]) })].map((f) => f.level)).toEqual(['know', 'know', 'fix', 'know']);
  });
  test('whether it applies is told while it is open and not met', () => {
    const open = one({ applies: 'unknown' });
    expect([open.level, say(open)]).toEqual(['fix', ['Whether this applies is not settled.']]);
    // Met all the same it asks for nothing, and settles nothing.
    expect(one({ applies: 'unknown', met: 'yes', metBy: [{ item: horn.id, count: 1 }] }, { gear: [horn] })).toBeUndefined();
  });
  test('what meets it, with how many; a thing that is gone is told by its id', () => {
    expect(say(one({ met: 'yes', metBy: [{ item: horn.id, count: 3 }, { item: 'gone', count: 1 }] }, { gear: [horn] }))).toEqual(['3 × Horn and gone.']);
    expect(say(one({ met: 'yes' }))).toEqual([]);
  });
  test('at most six that nearly count, those that lack least first; unsure is not the same as no', () => {
    const many = Array.from({ length: 8 }, (_, i) => anItem('horn', { name: `H${i}` }));
    expect(say(one({ nearMisses: many.map((m) => near(m, ['failed'])) }, { gear: many }))).toHaveLength(6);
    const lines = say(one({ nearMisses: [near(old, ['failed'], ['stays-home']), near(horn, ['state-unknown', true])], missing: [{ capability: 'sound', need: 1, have: 0 }] }, { gear: [horn, old] }));
    expect(lines).toEqual([expect.stringMatching(/^Horn may not count/), expect.stringMatching(/^Old doesn’t count: .* and .*\.$/), 'Asked for: 1 × whistle or horn. Counted: 0.']);
    expect(say(one({ nearMisses: [near(horn, ['state-unknown', true], ['stays-home'])] }, { gear: [horn] }))[0]).toMatch(/^Horn doesn’t count/);
  });
  test('where something only may count, only what is open about it is told', () => {
    expect(say(one({ met: 'unknown', metBy: [{ item: horn.id, count: 1 }], nearMisses: [near(horn, ['state-unknown', true]), near(old, ['failed'])] }, { gear: [horn, old] }))).toEqual([expect.stringMatching(/^Horn can’t be counted on/)]);
  });
  test('who lacks a jacket is told before what else is short', () => expect(say(one({ missing: [{ capability: 'sound', need: 1, have: 0 }, { capability: 'wearable', need: 2, have: 1, persons: ['gone'] }] }))).toEqual(['Nothing in the shed supplies it.', 'Nothing counts for gone.']));
  test('deeds: who does, who will not, who has not said; whom it does not concern is not named', () => {
    const [ann, ben, cy, dee] = ['Ann', 'Ben', 'Cy', 'Dee'].map((name) => aPerson({ name }));
    const crew = [ann, ben, cy, dee].map((p, i) => ({ person: p.id, role: 'crew' as const, ...(i === 2 ? {} : { wearsJacket: i !== 1 }) }));
    const found = (met: Requirement['met'], ...who: Person[]) =>
      one({ anyOf: [], met, deeds: ['worn'], concerns: who.map((p) => p.id) }, { trip: { ...trip, crew }, people: [ann, ben, cy, dee] });
    const deed = (...args: Parameters<typeof found>) => say(found(...args));
    expect(deed('no', ann, ben, cy)).toEqual(['Said not to wear it: Ben.', 'Not said yet: Cy.']);
    expect(deed('yes', ann, dee)).toEqual(['Ann and Dee: jacket on from launch to landing.']);
    expect(deed('yes')).toEqual([]);
    // The tap says it for who said nothing, and for nobody else; who said no is asked.
    const { mend, others } = found('no', ann, ben, cy);
    expect([label(mend), ...(others ?? []).map(label)]).toEqual(['Jacket on: Cy', 'Ask Ben']);
    expect(mend).toMatchObject({ do: { patch: [{ op: 'set', pointer: '/crew/2/wearsJacket', value: true }] } });
    expect(mend && 'do' in mend && mend.do.patch).toHaveLength(1);
  });

  test.each<[ReasonCode, string, object]>([
    ['not-tested', 'Test Horn', { pointer: '/inspected' }], ['uncharged', 'Charge Horn', { pointer: '/charge' }], ['charge-unknown', 'Charge Horn', { pointer: '/charge' }], ['approval-unknown', 'Look at Horn', { pointer: '/approval' }],
    ['expiry-unknown', 'Look at Horn', { pointer: '/expires' }], ['registration-unknown', 'Look at Horn', { pointer: '/registered' }], ['size-unknown', 'Look at Horn', { pointer: '/maxMass' }], ['length-unknown', 'Look at Horn', { pointer: '/line' }],
    ['cylinder-unknown', 'Look at Horn', { pointer: '/cylinder' }], ['companion', 'Look at Horn', { pointer: '' }],
  ])('%s: %s', (code, words, go) => {
    const { mend } = one({ nearMisses: [near(horn, [code])] }, { gear: [horn] });
    expect([label(mend), mend]).toEqual([words, expect.objectContaining({ go: { type: 'gear', id: horn.id, ...go } })]);
  });
  test('what is fixed to a jacket that stays is moved to one that goes, or stowed', () => {
    const vest = anItem('foam-jacket', { name: 'Vest' }), miss = { nearMisses: [near(horn, ['host-stays'])] };
    const moved = one(miss, { gear: [horn, vest], wornJacket: vest.id }).mend;
    expect([label(moved), moved]).toEqual(['Move Horn to Vest', expect.objectContaining({ do: { type: 'gear', id: horn.id, patch: [{ op: 'set', pointer: '/on', value: vest.id }] } })]);
    const stowed = one(miss, { gear: [horn] }).mend;
    expect([label(stowed), stowed]).toEqual(['Put Horn on the body', expect.objectContaining({ do: { type: 'trip', id: trip.id, patch: [{ op: 'append', pointer: '/stow', value: { item: horn.id, place: 'on-body' } }] } })]);
    expect(label(one({ ...miss, anyOf: [[{ capability: 'sound' }]] }, { gear: [horn] }).mend)).toBe('Put Horn in reach of the seat');
  });
  test('a weight, an age, the rapids are asked where they are entered', () => {
    const [known, unknown] = [aPerson({ name: 'Known' }), aPerson({ name: 'New', mass: undefined, born: undefined })], people = [known, unknown];
    const asked = (code: ReasonCode, more: Partial<KitFindingContext> = {}) => one({ nearMisses: [near(horn, [code, true])] }, { gear: [horn], people, ...more }).mend;
    expect([asked('mass-unknown'), asked('age-unknown')]).toEqual([expect.objectContaining({ go: { type: 'person', id: unknown.id, pointer: '/mass' } }), expect.objectContaining({ go: { type: 'person', id: unknown.id, pointer: '/born' } })]);
    expect(label(asked('age-unknown'))).toBe('Look at New');
    expect([label(asked('rapids-unknown', { waterId: 'w' })), asked('rapids-unknown', { waterId: 'w' })]).toEqual(['Settle it: rapids on this water', expect.objectContaining({ go: { type: 'water', id: 'w', pointer: '/rapids' } })]);
  });
  test('at most three things are offered, the cheapest to mend first, counting the dearest thing about each', () => {
    const [a, b, c, d] = ['A', 'B', 'C', 'D'].map((name) => anItem('horn', { name }));
    expect(all(one({ met: 'unknown', nearMisses: [near(a, ['state-unknown', true]), near(b, ['stays-home']), near(c, ['not-tested', true]), near(d, ['failed'])] }, { gear: [a, b, c, d] }))).toEqual(['Take B', 'Test C', 'Look at A']);
    expect(all(one({ met: 'unknown', nearMisses: [near(a, ['stays-home'], ['state-unknown', true]), near(b, ['out-of-reach'], ['not-tested', true])] }, { gear: [a, b] }))).toEqual(['Put B on the body', 'Take A']);
  });
  test('a new one: replaced by its like, borrowed, bought; papers are one’s own; without a kind there is no way', () => {
    const short = { missing: [{ capability: 'sound' as const, need: 1, have: 0 }] }, kinds = (id: string) => ({ kindFor: (): GearKind | undefined => kindOf(id) });
    const ended = one({ ...short, nearMisses: [near(old, ['expired'])] }, { gear: [old], ...kinds('horn') });
    expect(all(ended)).toEqual(['Replace Old', 'Borrow: whistle or horn', 'Buy or find: whistle or horn']);
    expect(ended.mend).toMatchObject({ go: { type: 'gear', id: old.id, pointer: '/expires' } });
    const paper = CATALOGUE.kinds.find((k) => k.group === 'paper')!;
    const licence = one(short, kinds(paper.id));
    expect([all(licence), licence.mend]).toEqual([['Get it, and take it along: whistle or horn'], expect.objectContaining({ add: { type: 'gear', kind: paper.id } })]);
    expect(licence).not.toHaveProperty('others');
    expect(one(short)).not.toHaveProperty('mend');
    expect(label(one({}, kinds('horn')).mend)).toBe('Borrow: whistle or horn');
  });
  test('a fact that settles it stands behind what is at hand, before what costs money', () => {
    const unsettled = { unsettled: new Map([['R-1', ['boat.length']]]), boatId: 'b', kindFor: () => kindOf('horn'), gear: [horn] };
    expect(all(one({ applies: 'unknown', nearMisses: [near(horn, ['stays-home'])] }, unsettled))).toEqual(['Take Horn', 'Settle it: Length', 'Borrow: whistle or horn', 'Buy or find: whistle or horn']);
    expect(all(one({ nearMisses: [near(horn, ['stays-home'])] }, unsettled))).not.toContain('Settle it: Length');
  });
  test('where a fact is settled', () => {
    const at = (fact: string, more: { boatId?: string; waterId?: string } = {}) => mendFact(fact, { trip, ...more });
    expect(at('boat.length', { boatId: 'b' })).toMatchObject({ go: { type: 'boat', id: 'b', pointer: '/length' } });
    expect(at('boat.length')).toMatchObject({ go: { type: 'boat', pointer: '/length' } });
    expect((at('boat.length') as { go: object }).go).not.toHaveProperty('id');
    expect(at('crew.count')).toMatchObject({ go: { type: 'trip', id: trip.id, pointer: '/crew' } });
    expect(at('person.age@someone')).toMatchObject({ go: { type: 'person', id: 'someone', pointer: '/born' } });
    expect(at('question.us-signal-waters', { waterId: 'w' })).toMatchObject({ go: { type: 'water', id: 'w', pointer: '/answers/us-signal-waters' } });
    expect(label(at('question.us-signal-waters', { waterId: 'w' }))).toBe('Settle it: the question about this water');
    expect([at('question.us-signal-waters'), at('boat.smell')]).toEqual([undefined, undefined]);
  });
});
