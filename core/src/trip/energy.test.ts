import { describe, expect, test } from '@jest/globals';
import { anItem, inputOf, steady } from '../../test/demo';
import { check } from '../../test/check';
import type { Boat, GearItem, Trip } from '../model';
import { render } from '../say';
import { HOUR, MS } from '../units';
import { contextOf } from './context';
import { energyLedger } from './energy';
import { assess, prepare, type AssessInput } from '.';

const input = (gear: GearItem[], trip: Partial<Trip> = {}, boat: Partial<Boat> = {}): AssessInput => {
  const base = inputOf();
  return {
    ...base,
    trip: { ...base.trip, stow: [], ...trip },
    shed: { ...base.shed, gear, boats: base.shed.boats.map((b) => ({ ...b, ...boat })) },
    conditions: { forecast: steady() },
  };
};
const radio = (more: Partial<GearItem> = {}) =>
  anItem('vhf', { name: 'Radio', stowage: 'on-body', charge: 1, lasts: 10 * HOUR, ...more });
const ledger = (of: AssessInput) => {
  const { schedule, leave } = assess(of);
  return energyLedger(contextOf(of), schedule, prepare(of).match(leave).kit.pieces);
};
const found = (of: AssessInput) => assess(of).findings.find(({ id }) => id.startsWith('energy/runs-out/'));
const unsaid = (of: AssessInput) => assess(of).findings.find(({ id }) => id.startsWith('energy/unsaid/'));
/** Seconds that the trip takes by its plan. */
const planned = (of: AssessInput) => {
  const { schedule } = assess(of);
  return (schedule!.home! - schedule!.leave) / MS.second;
};

describe('what runs out first', () => {
  check('closed form', { title: 'charge × hours when full' }, 'half of ten hours last five', () => {
    const of = input([radio({ charge: 0.5 })]);
    const [row] = ledger(of);
    expect(row).toMatchObject({ name: 'Radio', by: 'thing', holds: 5 * HOUR });
    expect(row.needs).toBeCloseTo(planned(of), 6);
    expect(row.over).toBe(3 * HOUR);
  });
  test('it runs out so long after leaving as it holds; what lasts has no such hour', () => {
    const of = input([radio({ charge: 0.1 })]);
    const { schedule } = assess(of);
    expect(ledger(of)[0].until).toBe(schedule!.leave + HOUR * MS.second);
    expect(ledger(input([radio({ lasts: 100 * HOUR })]))[0].until).toBeUndefined();
  });
  test('lamps run in the dark alone', () => {
    const lamp = anItem('hand-light', { name: 'Lamp', stowage: 'in-reach', charge: 1, lasts: 2 * HOUR });
    const noon = input([lamp], { leave: { date: '2026-05-12', time: '09:00' } });
    expect(ledger(noon)).toEqual([]);
    const night = input([lamp], { leave: { date: '2026-05-12', time: '22:30' } });
    const [row] = ledger(night);
    expect(row.needs).toBeCloseTo(planned(night), 0);
    expect(row.until).toBe(assess(night).schedule!.leave + 2 * HOUR * MS.second);
  });
  test('first what runs out first, last what nobody told', () => {
    const names = ledger(
      input([
        radio({ id: radio().id, name: 'C', lasts: undefined }),
        radio({ name: 'B', charge: 0.2 }),
        radio({ name: 'A', charge: 0.1 }),
        radio({ name: 'D', lasts: 200 * HOUR }),
        radio({ name: 'home', stowage: 'home', charge: 0.1 }),
      ]),
    ).map(({ name }) => name);
    expect(names).toEqual(['A', 'B', 'D', 'C']);
  });
  test('without an hour home nothing is told', () => {
    const of = input([radio()]);
    expect(energyLedger(contextOf(of), undefined, prepare(of).match(undefined).kit.pieces)).toEqual([]);
  });
});

describe('what is found', () => {
  const hours = (of: AssessInput) => planned(of) / HOUR;
  const at = (share: (planned: number) => number) => {
    const out = hours(input([radio()]));
    return found(input([radio({ charge: 1, lasts: share(out) * HOUR })]));
  };
  test('short of the plan is a Fix, short of what days run over by is told, enough is not', () => {
    expect(at((out) => out - 0.1)?.level).toBe('fix');
    expect(at((out) => out + 0.1)?.level).toBe('know');
    expect(at((out) => out + 2.9)?.level).toBe('know');
    expect(at((out) => out + 3.1)).toBeUndefined();
  });
  test('it says when, and leads to the charge', () => {
    const of = found(input([radio({ charge: 0.1 })]))!;
    expect(render(of.title, { units: 'metric', zone: 'UTC', locale: 'en-GB' })).toMatch(
      /^Radio runs out at \d\d:\d\d$/,
    );
    expect(of.mend).toMatchObject({ go: { type: 'gear', pointer: '/charge' } });
  });
  test('of what nobody told they are named together, open, with a way to say it', () => {
    const of = unsaid(input([radio(), radio({ name: 'Phone', lasts: undefined })]))!;
    expect([of.level, of.open]).toEqual(['know', true]);
    expect(render(of.because[0], { units: 'metric', zone: 'UTC', locale: 'en-GB' })).toMatch(
      /full: Phone\.$/,
    );
    expect(of.mend).toMatchObject({ go: { pointer: '/lasts' } });
    expect(unsaid(input([radio()]))).toBeUndefined();
    expect(unsaid(input([radio({ lasts: undefined, stowage: 'home' })]))).toBeUndefined();
  });
  test('a guessed charge or run tells nothing', () => {
    expect(found(input([radio({ charge: 0.1, basis: { '/charge': 'guessed' } })]))).toBeUndefined();
    expect(found(input([radio({ lasts: HOUR, basis: { '/lasts': 'guessed' } })]))).toBeUndefined();
  });
});
