import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import type { ProcedureRow, StepRow } from '../model';
import { render, type Reader } from '../say';
import { LOOK_AGAIN, procedureOf, proceduresFor, stepStates, type StepFigures, type StepTick } from '.';
import { PROCEDURES } from './library';

const reader: Reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' };
const world = (facts: Record<string, boolean | string>) => ({ facts, crew: [] });
const launch = PROCEDURES.find((p) => p.id === 'hand-launch')!;
const ids = (facts: Record<string, boolean | string>) =>
  procedureOf(launch, world(facts)).steps.map((s) => s.id);

describe('steps made for the facts', () => {
  test('the light in the dark, not by day; what can’t be told stays in', () => {
    expect(ids({ 'day.dark': true })).toContain('light');
    expect(ids({ 'day.dark': false })).not.toContain('light');
    expect(ids({})).toContain('light');
  });
  test('without a boat only what all craft share is offered', () => {
    const found = proceduresFor(PROCEDURES, world({})).map((p) => p.id);
    expect(found).toEqual(expect.arrayContaining(['fog', 'cold', 'drowning', 'halt-arrive']));
    for (const none of ['capsize-raft', 'capsize-sit-on-top', 'fire', 'ramp-launch', 'swamped'])
      expect(found).not.toContain(none);
  });
  test('what was forgotten before is asked first', () =>
    expect(procedureOf(launch, world({}), ['Hat']).steps[0].what).toMatchObject({ with: { what: 'Hat' } }));
  test('a procedure is offered only to boats it was written for', () => {
    expect(proceduresFor(PROCEDURES, world({ 'boat.kind': 'sit-on-top' })).map((p) => p.id)).toContain(
      'hand-launch',
    );
    expect(proceduresFor(PROCEDURES, world({ 'boat.kind': 'trailer-boat' })).map((p) => p.id)).not.toContain(
      'hand-launch',
    );
  });
  test('only what is done before leaving asks for what was forgotten; the words are told and make its name', () => {
    const asked = procedureOf(launch, world({}), ['Crème solaire (SPF 30)']).steps[0];
    expect(asked.id).toMatch(/^forgotten:cre.*me-solaire-spf-30-$/u);
    expect(render(asked.what, reader)).toContain('Crème solaire (SPF 30)');
    expect(render(asked.why, reader)).not.toBe('');
    const trouble = PROCEDURES.find((p) => p.group === 'trouble')!;
    expect(procedureOf(trouble, world({}), ['Hat']).steps[0].id).not.toMatch(/^forgotten/);
  });
  describe('a made-up procedure', () => {
    const anchor: ProcedureRow = {
      ...launch,
      id: 'made-up',
      group: 'go',
      stopIf: 'the wind passes {most:speed}',
      figures: {
        rode: { quantity: 'length', unknown: 'five times the depth' },
        most: { quantity: 'speed', unknown: 'what you can hold' },
      },
      steps: [
        {
          id: 'pay',
          what: 'Pay out {rode:length}',
          why: 'It holds by its angle.',
          danger: 'Keep {rode:length} clear of feet.',
          minutes: 2,
        },
        { id: 'snub', what: 'Snub it', unsettled: 'Where it is dark: snub it', why: '', minutes: 3 },
      ],
    };
    const told = (figures: StepFigures, steps = anchor.steps) =>
      procedureOf({ ...anchor, steps }, world({}), [], figures);
    test('its sentences are filled with the figures, and with plain words for one that is not known', () => {
      const known = told({ rode: 30, most: 8 }),
        not = told({});
      expect([known, not].map((made) => render(made.steps[0].what, reader))).toEqual([
        'Pay out 30.00 m',
        'Pay out five times the depth',
      ]);
      expect(render(known.steps[0].danger!, reader)).toBe('Keep 30.00 m clear of feet.');
      expect(render(known.stopIf!, reader)).toMatch(/^the wind passes 15\.\d kn|16 kn/);
      expect(render(not.stopIf!, reader)).toBe('the wind passes what you can hold');
    });
    test('a step without a condition is told plainly; minutes are added up where somebody wrote them', () => {
      expect(render(told({}).steps[1].what, reader)).toBe('Snub it');
      expect(told({}).minutes).toBe(5);
      expect(told({}, [{ id: 'snub', what: 'Snub it', why: '' }])).not.toHaveProperty('minutes');
      expect(told({}, [{ id: 'snub', what: 'Snub it', why: '' }]).steps[0]).not.toHaveProperty('danger');
    });
    test('a step that locks another stands before it as one that is named by it', () => {
      const [pay, snub] = told({}).steps;
      expect(stepStates([{ ...pay, locks: ['snub'] }, snub], []).get('snub')?.blockedBy).toEqual(['pay']);
      expect(stepStates([pay, { ...snub, after: ['pay'] }], []).get('snub')?.blockedBy).toEqual(['pay']);
    });
  });
  test('steps are numbered without gaps', () => {
    const made = procedureOf(launch, world({ 'day.dark': false }));
    expect(made.steps.map((s) => s.n)).toEqual(made.steps.map((_, i) => i + 1));
    expect(new Set(made.steps.map((s) => s.of))).toEqual(new Set([made.steps.length]));
  });
});

describe('where a step stands', () => {
  const steps: StepRow[] = [
    { id: 'plug', what: '', why: '', second: true },
    { id: 'jacket', what: '', why: '', second: true },
    { id: 'float', what: '', why: '', after: ['plug', 'jacket'] },
    { id: 'wave', what: '', why: '', after: ['not-there'] },
  ];
  const NINE = Date.UTC(2026, 4, 12, 9);
  const tick = (step: string, seconds: number, more: Partial<StepTick> = {}): StepTick => ({
    step,
    at: new Date(NINE + seconds * 1000).toISOString(),
    ...more,
  });
  const state = (id: string, ...ticks: StepTick[]) => stepStates(steps, ticks).get(id)!;
  test('a second look is asked for, counts two minutes later or by another, and makes it done', () => {
    expect(state('plug')).toEqual({ done: false, wantsSecond: false, blockedBy: [] });
    expect(state('plug', tick('plug', 0))).toMatchObject({
      done: false,
      wantsSecond: true,
      againFrom: NINE + LOOK_AGAIN,
    });
    // A double press, and the same eye too soon, are one look.
    for (const soon of [0, 1, 30, 119])
      expect(state('plug', tick('plug', 0), tick('plug', soon, { second: true })).done).toBe(false);
    expect(state('plug', tick('plug', 0), tick('plug', 120, { second: true }))).toMatchObject({
      done: true,
      wantsSecond: false,
    });
    expect(state('plug', tick('plug', 0), tick('plug', 30, { second: true, by: 'Maren' })).done).toBe(true);
    expect(
      state('plug', tick('plug', 0, { by: 'Maren' }), tick('plug', 30, { second: true, by: 'Maren' })).done,
    ).toBe(false);
    expect(state('plug', tick('plug', 0), tick('plug', 0, { second: true, by: 'Maren' })).done).toBe(false);
  });
  test('what can’t be undone stays locked while a second look is open', () => {
    expect(state('float', tick('plug', 0), tick('jacket', 5)).blockedBy).toEqual(['plug', 'jacket']);
    expect(
      state(
        'float',
        tick('plug', 0),
        tick('jacket', 5),
        tick('float', 10),
        tick('plug', 130),
        tick('jacket', 140),
      ).done,
    ).toBe(false);
    expect(
      state(
        'float',
        tick('plug', 0),
        tick('jacket', 5),
        tick('plug', 130),
        tick('jacket', 140),
        tick('float', 150),
      ).done,
    ).toBe(true);
  });
  test('no order of taps, devices or reloads passes the gate', () => {
    const taps = fc.array(
      fc.record({
        step: fc.constantFrom('plug', 'jacket', 'float'),
        seconds: fc.integer({ min: 0, max: 400 }),
        by: fc.constantFrom(undefined, 'a', 'b'),
        skipped: fc.boolean(),
        second: fc.boolean(),
      }),
      { maxLength: 14 },
    );
    fc.assert(
      fc.property(taps, fc.integer({ min: 0, max: 13 }), (list, turn) => {
        const ticks = list.map(({ step, seconds, by, skipped, second }) =>
          tick(step, seconds, {
            ...(by ? { by } : {}),
            ...(skipped ? { skipped } : {}),
            ...(second ? { second } : {}),
          }),
        );
        const states = stepStates(steps, ticks);
        // The devices' lists may arrive in any order.
        expect(
          stepStates(
            steps,
            [...ticks.slice(turn), ...ticks.slice(0, turn)].sort((a, b) => (a.at < b.at ? -1 : 1)),
          ).get('float')!.blockedBy.length,
        ).toBe(states.get('float')!.blockedBy.length);
        if (!states.get('float')!.done) return;
        const float = Math.max(
          ...ticks.filter((t) => t.step === 'float' && !t.skipped).map((t) => Date.parse(t.at)),
        );
        for (const id of ['plug', 'jacket']) {
          const looks = ticks
            .filter((t) => t.step === id && !t.skipped && Date.parse(t.at) <= float)
            .map((t) => ({ ms: Date.parse(t.at), by: t.by }));
          const two = looks.some((a) =>
            looks.some(
              (b) =>
                b.ms - a.ms >= LOOK_AGAIN || (b.by !== undefined && b.by !== a.by && b.ms - a.ms >= 2000),
            ),
          );
          expect({ id, two }).toEqual({ id, two: true });
        }
      }),
      { numRuns: runs(400) },
    );
  });
  test('"not now" keeps a step open and blocks what leans on it; a step that was left out blocks nothing', () => {
    const states = stepStates(steps, [tick('plug', 0, { skipped: true })]);
    expect(states.get('plug')?.done).toBe(false);
    expect(states.get('float')?.blockedBy).toEqual(['plug', 'jacket']);
    expect(states.get('wave')?.blockedBy).toEqual([]);
  });
  test('every step that is afloat comes after looks that were taken twice', () => {
    for (const row of PROCEDURES.filter((p) => p.group === 'go'))
      for (const step of row.steps.filter((s) => s.id.startsWith('afloat')))
        expect(row.steps.filter((s) => s.second).every((s) => step.after?.includes(s.id))).toBe(true);
  });
});

describe('read aloud over the crossing of facts', () => {
  const facts = ['crew.alone', 'day.dark', 'boat.motor', 'boat.combustion'] as const;
  const crossings = Array.from({ length: 16 }, (_, n) =>
    Object.fromEntries(facts.map((f, i) => [f, Boolean(n & (1 << i))])),
  ).filter((f) => f['boat.motor'] || !f['boat.combustion']);
  const froms = ['ramp', 'beach', 'bank', 'jetty'];
  test.each(['sit-on-top', 'sit-inside', 'canoe', 'paddleboard', 'inflatable', 'skiff'])(
    '%s: one way of carrying, one way afloat, motors only with a motor',
    (kind) => {
      for (const [crossing, from] of crossings.flatMap((c) => froms.map((f) => [c, f] as const))) {
        const got = ids({
          ...crossing,
          'boat.kind': kind,
          'water.class': 'coastal',
          'launch.from': from,
        });
        expect(got.filter((id) => id.startsWith('carry'))).toHaveLength(1);
        expect(got.filter((id) => id.startsWith('afloat'))).toHaveLength(1);
        expect(got.filter((id) => id === 'regroup' || id === 'settle')).toHaveLength(1);
        expect(got.includes('start')).toBe(crossing['boat.motor']);
        expect(got.includes('cord') && got.includes('fuel')).toBe(crossing['boat.combustion']);
        expect(got.includes('battery')).toBe(crossing['boat.motor'] && !crossing['boat.combustion']);
      }
    },
  );
  test('what nobody said says for whom it is, so that both sides are never told to one', () => {
    const said = procedureOf(launch, world({}))
      .steps.filter((s) => /^carry/.test(s.id))
      .map((s) => render(s.what, reader));
    expect(said).toEqual([expect.stringMatching(/^With others: /), expect.stringMatching(/^Alone: /)]);
    for (const row of PROCEDURES)
      for (const step of row.steps)
        if (step.when && !JSON.stringify(step.when).includes('boat.kind'))
          expect({ id: step.id, said: step.unsettled }).toEqual({ id: step.id, said: expect.any(String) });
  });
  test('what was forgotten keeps its own name when the list changes', () => {
    const forgotten = (...what: string[]) =>
      procedureOf(launch, world({}), what)
        .steps.filter((s) => s.id.startsWith('forgotten'))
        .map((s) => s.id);
    expect(forgotten('Hat', 'Licence')[1]).toBe(forgotten('Licence')[0]);
  });
});
