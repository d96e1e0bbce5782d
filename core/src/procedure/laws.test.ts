import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { CRAFT, JETTIES, LAUNCHES, LETS_GO, RESTS, SURFACES, WATERS, WINCHES } from '../model/lists';
import type { ProcedureRow, StepRow } from '../model';
import { ASKED_ABOARD, evaluate, type Facts } from '../rules';
import { procedureOf, stepStates } from '.';
import { lawsOf } from './order';
import { PROCEDURES } from './library';

const world = (facts: Facts) => ({ facts, crew: [] });
const row = (id: string) => PROCEDURES.find((p) => p.id === id)!;
const steps = PROCEDURES.flatMap((p) => p.steps.map((step) => [p.id, step.id, step] as const));

describe('every procedure as it is written', () => {
  test.each(steps)('%s %s: it says what and why, in sentences; what goes wrong too', (_row, _id, step) => {
    for (const said of [step.what, step.why, step.unsettled, step.danger])
      if (said !== undefined) expect(said).toMatch(/^[A-Z].*[.?!]$/);
  });
  test.each(PROCEDURES.map((p) => [p.id, p] as const))(
    '%s: no step twice, none waits for itself',
    (_id, p) => {
      const ids = p.steps.map((s) => s.id);
      expect(new Set(ids).size).toBe(ids.length);
      const before = new Map(p.steps.map((s) => [s.id, [...(s.after ?? []), ...locked(p, s)]]));
      const behind = (id: string, seen: string[]): string[] =>
        (before.get(id) ?? []).flatMap((other) =>
          seen.includes(other) ? [other] : behind(other, [...seen, other]),
        );
      expect(ids.flatMap((id) => behind(id, [id]))).toEqual([]);
      // What a step waits for stands above it, so that it is never read before it can be done.
      for (const [id, all] of before)
        for (const other of all) expect([id, ids.indexOf(other) < ids.indexOf(id)]).toEqual([id, true]);
    },
  );
});
const locked = (p: ProcedureRow, s: StepRow) =>
  p.steps.filter((other) => other.locks?.includes(s.id)).map((other) => other.id);

const YES_NO = [undefined, true, false];
/** Facts that conditions name, and every value of each; not known is one of them. */
const VALUES: [name: string, values: (string | boolean | undefined)[]][] = [
  ['boat.kind', Object.keys(CRAFT)],
  ['launch.from', [undefined, ...Object.keys(LAUNCHES)]],
  ['launch.jetty', [undefined, ...Object.keys(JETTIES)]],
  ['launch.surface', [undefined, ...Object.keys(SURFACES)]],
  ['trailer.rests', [undefined, ...Object.keys(RESTS)]],
  ['trailer.braked', YES_NO],
  ['trailer.letsGo', [undefined, ...Object.keys(LETS_GO)]],
  ['trailer.winch', [undefined, ...Object.keys(WINCHES)]],
  ['water.class', [undefined, ...Object.keys(WATERS)]],
  ...[
    'boat.trailed',
    'water.tidal',
    'crew.alone',
    'day.dark',
    'boat.motor',
    'boat.combustion',
    'boat.inboard',
    'boat.sail',
    'boat.manual',
    'boat.appliance',
    'boat.endFlotation',
    ...ASKED_ABOARD.map((kind) => `kit.${kind}`),
  ].map((name): [string, typeof YES_NO] => [name, YES_NO]),
];
const crossing = fc.record(
  Object.fromEntries(VALUES.map(([name, values]) => [name, fc.constantFrom(...values)])),
) as fc.Arbitrary<Facts>;
function notePairs(facts: Facts, into: Set<string>): void {
  const said = VALUES.map(([name]) => `${name}=${String(facts[name])}`);
  said.forEach((a, i) => said.slice(i + 1).forEach((b) => into.add(`${a} ${b}`)));
}
const offered = (facts: Facts, group: string) =>
  PROCEDURES.filter((p) => p.group === group && evaluate(p.for, world(facts)).truth !== 'no');

describe('over the crossings of facts', () => {
  const reached = new Set<string>();
  /** Pairs of facts with their values that a run has held. */
  const paired = new Set<string>();
  test('no list is empty or doubled; orders that matter hold in each', () => {
    fc.assert(
      fc.property(crossing, (facts) => {
        notePairs(facts, paired);
        for (const p of PROCEDURES.filter((each) => evaluate(each.for, world(facts)).truth !== 'no')) {
          const made = procedureOf(p, world(facts)).steps.map((s) => s.id);
          for (const id of made) reached.add(`${p.id} ${id}`);
          expect(made.length).toBeGreaterThan(2);
          expect(new Set(made).size).toBe(made.length);
          inOrder(p.id, made);
          callsInTime(p, facts);
        }
      }),
      { numRuns: runs(1000), seed: 11 },
    );
  });
  test('who is alone has everything to do that does not take another', () => {
    fc.assert(
      fc.property(crossing, (facts) => {
        for (const p of PROCEDURES) {
          const made = (alone: boolean) =>
            procedureOf(p, world({ ...facts, 'crew.alone': alone })).steps.map((s) => s.id);
          const alone = new Set(made(true));
          const takesOthers = (id: string) =>
            JSON.stringify(p.steps.find((s) => s.id === id)?.when ?? '').includes('crew.alone');
          expect([p.id, made(false).filter((id) => !alone.has(id) && !takesOthers(id))]).toEqual([p.id, []]);
        }
      }),
      { numRuns: runs(200), seed: 12 },
    );
  });
  test('every pair of values of two facts was among them', () => {
    const values = VALUES.map(([name, all]) => all.map((value) => `${name}=${String(value)}`));
    const missing = values.flatMap((one, i) =>
      values
        .slice(i + 1)
        .flatMap((two) =>
          one.flatMap((a) => two.map((b) => `${a} ${b}`)).filter((pair) => !paired.has(pair)),
        ),
    );
    expect(missing).toEqual([]);
  });
  test('every step is reached by some facts', () =>
    expect(steps.map(([id, step]) => `${id} ${step}`).filter((each) => !reached.has(each))).toEqual([]));
});

/** What must not be turned round, whatever the facts (`practice/orders.json`). */
function inOrder(id: string, made: string[]): void {
  for (const { first, then } of lawsOf(id))
    if (made.includes(first) && made.includes(then))
      expect([id, first, then, made.indexOf(first) < made.indexOf(then)]).toEqual([id, first, then, true]);
  // A line is fast before anything is unhooked.
  if (id === 'ramp-launch' || id === 'beach-launch')
    expect([id, made.includes('line-held') || made.includes('line-fast')]).toEqual([id, true]);
}
/** What stands above a step takes no longer than hands work in cold water, minutes. */
const HANDS = 10;

/** Whoever is in the water calls while fingers still work. */
function callsInTime(p: ProcedureRow, facts: Facts): void {
  if (p.card?.call !== 'mayday') return;
  const made = procedureOf(p, world(facts)).steps;
  const call = made.findIndex((s) => s.id === 'call');
  const before = made.slice(0, call).reduce((sum, s) => sum + (s.minutes ?? 0), 0);
  expect([p.id, before <= HANDS]).toEqual([p.id, true]);
}

describe('cards of trouble', () => {
  const cards = PROCEDURES.filter((p) => p.group === 'trouble');
  test.each(cards.map((p) => [p.id, p] as const))(
    '%s: ten seconds first, what is called, and for which radio',
    (_id, p) => {
      expect(p.card?.first).toMatch(/^[A-Z].*[.?!]$/);
      // Ten seconds are read aloud in about thirty words.
      expect(p.card!.first.split(' ').length).toBeLessThanOrEqual(20);
      expect(p.card!.call === 'none' || p.card!.nature !== undefined).toBe(true);
      if (p.card!.call === 'mayday') expect(p.card!.nature).toMatch(/^[A-Z].*\.$/);
    },
  );
  test.each(Object.keys(CRAFT))('%s: a way back for her, and what all craft share', (kind) => {
    const found = offered({ 'boat.kind': kind }, 'trouble').map((p) => p.id);
    expect(found.filter((id) => /^capsize|^swamped/.test(id))).toHaveLength(1);
    for (const all of ['fog', 'lightning', 'cold', 'lost', 'drowning', 'somebody-else', 'hook-in-hand'])
      expect(found).toContain(all);
  });
  test('what she can’t have is not offered: fire for a kayak, a lost mast for a skiff, a weir at sea', () => {
    const at = (facts: Facts) => offered(facts, 'trouble').map((p) => p.id);
    const kayak = at({
      'boat.kind': 'sit-on-top',
      'boat.motor': false,
      'boat.sail': false,
      'water.class': 'coastal',
    });
    for (const none of ['fire', 'carbon-monoxide', 'engine-dead', 'mast-down', 'weir', 'driver-gone'])
      expect(kayak).not.toContain(none);
    expect(at({ 'boat.kind': 'skiff', 'boat.sail': false })).not.toContain('mast-down');
    expect(at({ 'boat.kind': 'raft', 'water.class': 'river' })).toEqual(
      expect.arrayContaining(['weir', 'strainer', 'capsize-raft', 'swimmer-raft']),
    );
  });
  test('no loop over a head, no line round a body: no step ties one', () => {
    for (const [, , step] of steps)
      expect(step.what).not.toMatch(
        /\b(tie|tied|wrap|loop) (it |the line |a line )?(round|around|to) (your|their|a|the) (waist|body|chest|neck|wrist)/i,
      );
  });
});

describe('each boat at each launch', () => {
  const TRAILED = ['trailer-boat', 'skiff', 'inflatable', 'personal-watercraft'];
  const froms = ['ramp', 'beach', 'bank', 'jetty'] as const;
  const all = Object.keys(CRAFT).flatMap((kind) =>
    froms.map((from) => [kind, from, TRAILED.includes(kind)] as const),
  );
  test.each(all)('%s from %s: one way in and one way out', (kind, from, trailed) => {
    const facts = { 'boat.kind': kind, 'launch.from': from, 'boat.trailed': trailed };
    expect(offered(facts, 'go')).toHaveLength(1);
    expect(offered(facts, 'home')).toHaveLength(1);
  });
  test('an inflatable that lies at a jetty leaves it, whether or not it came on a trailer', () => {
    for (const trailed of [true, false])
      for (const group of ['go', 'home'])
        expect(
          offered({ 'boat.kind': 'inflatable', 'launch.from': 'jetty', 'boat.trailed': trailed }, group),
        ).toHaveLength(1);
  });
  test('an inflatable by hand is carried, on a trailer it is backed in; while nobody said, both are offered', () => {
    const of = (trailed: boolean | undefined) =>
      offered({ 'boat.kind': 'inflatable', 'launch.from': 'ramp', 'boat.trailed': trailed }, 'go').map(
        (p) => p.id,
      );
    expect([of(false), of(true), of(undefined)]).toEqual([
      ['hand-launch'],
      ['ramp-launch'],
      ['hand-launch', 'ramp-launch'],
    ]);
  });
});

describe('made for who is there', () => {
  const ramp = (facts: Facts) =>
    procedureOf(row('ramp-launch'), world({ 'boat.kind': 'trailer-boat', ...facts })).steps.map((s) => s.id);
  test('alone: chocks, the lane on the driver’s side, a line made fast; together: a hand on the line', () => {
    const alone = ramp({ 'crew.alone': true, 'launch.jetty': 'left' });
    expect(alone).toEqual(expect.arrayContaining(['chocks', 'lane', 'line-fast', 'bow-line']));
    expect(alone).not.toContain('line-held');
    const two = ramp({ 'crew.alone': false, 'launch.jetty': 'left' });
    expect(two).toEqual(expect.arrayContaining(['line-held', 'alongside']));
    expect(two).not.toEqual(expect.arrayContaining(['chocks']));
    // Whoever is alone has no fewer things to do.
    expect(alone.length).toBeGreaterThanOrEqual(two.length);
  });
  test('without a jetty she is led clear on a line; fenders are for a jetty', () => {
    const bare = ramp({ 'launch.jetty': 'none', 'crew.alone': false });
    expect(bare).toEqual(expect.arrayContaining(['bow-line', 'off-ramp']));
    expect(bare).not.toEqual(expect.arrayContaining(['lines']));
  });
  test('nobody comes afloat with a second look open, whatever else was ticked', () => {
    for (const id of ['ramp-launch', 'beach-launch', 'jetty-leave', 'catamaran-launch', 'raft-launch']) {
      const made = procedureOf(row(id), world({ 'boat.combustion': true, 'boat.motor': true })).steps;
      const ticks = made.map((s, i) => ({ step: s.id, at: new Date(1e12 + i * 60_000).toISOString() }));
      expect(stepStates(made, ticks).get('afloat')?.done).toBe(false);
      const twice = made
        .filter((s) => s.second)
        .map((s, i) => ({
          step: s.id,
          at: new Date(1e12 + (100 + i) * 60_000).toISOString(),
        }));
      const later = made.map((s, i) => ({
        step: s.id,
        at: new Date(1e12 + (200 + i) * 60_000).toISOString(),
      }));
      expect(stepStates(made, [...ticks, ...twice, ...later]).get('afloat')?.done).toBe(true);
    }
  });
});
