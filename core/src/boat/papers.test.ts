import { describe, expect, test } from '@jest/globals';
import { anItem, inputOf } from '../../test/demo';
import { officersCheck, OFFICER } from '../kit/officer';
import type { Boat, GearItem } from '../model';
import { render } from '../say';
import { assess } from '../trip';

const input = inputOf();
const boatId = input.trip.boat!;
const found = (papers: Boat['papers'], gear: GearItem[] = [], trip: Partial<typeof input.trip> = {}) =>
  assess({
    ...input,
    trip: { ...input.trip, ...trip },
    shed: {
      ...input.shed,
      boats: input.shed.boats.map((b) => (b.id === boatId ? { ...b, ...(papers ? { papers } : {}) } : b)),
      gear: [...input.shed.gear, ...gear],
    },
  });
const of = (all: ReturnType<typeof found>, begins: string) => {
  const one = all.findings.find((f) => f.id.startsWith(begins));
  return one && [one.level, one.open === true];
};
const levels = (papers: Boat['papers']) => {
  const all = found(papers);
  return ['insurance', 'notes', 'number'].map((what) => of(all, `papers/${what}/`));
};

describe('papers of a boat', () => {
  test('of one’s own boat nothing is asked that was not entered', () => {
    expect(levels(undefined)).toEqual([undefined, undefined, undefined]);
    expect(levels({ hired: false })).toEqual([undefined, undefined, undefined]);
  });
  test('hired: who insures her, until when, and what her owner asks', () => {
    expect(levels({ hired: true })).toEqual([['know', true], ['know', true], undefined]);
    expect(levels({ hired: true, insuredUntil: '2026-05-12', notes: 'Not beyond the point.' })).toEqual([
      ['ready', false],
      ['know', false],
      undefined,
    ]);
    expect(levels({ hired: true, insuredUntil: '2026-05-11' })[0]).toEqual(['fix', false]);
    expect(levels({ hired: true, notes: '   ' })[1]).toEqual(['know', true]);
  });
  test('over midnight the day on which she is home counts', () => {
    const all = (until: string) =>
      of(
        found({ hired: true, insuredUntil: until }, [], { leave: { date: '2026-05-12', time: '22:30' } }),
        'papers/insurance/',
      );
    expect([all('2026-05-12'), all('2026-05-13')]).toEqual([
      ['fix', false],
      ['ready', false],
    ]);
  });
  test('her number: ended, or read from one side, is a Fix; what was not said is open', () => {
    const number = (papers: Boat['papers']) => levels({ number: 'X 12', ...papers })[2];
    expect(number({ numberUntil: '2027-01-01', bothSides: true })).toEqual(['ready', false]);
    expect(number({ numberUntil: '2026-05-01', bothSides: true })).toEqual(['fix', false]);
    expect(number({ numberUntil: '2027-01-01', bothSides: false })).toEqual(['fix', false]);
    expect([number({ bothSides: true }), number({ numberUntil: '2027-01-01' }), number({})]).toEqual([
      ['know', true],
      ['know', true],
      ['know', true],
    ]);
  });
});

describe('marks on what is left in the water', () => {
  const trap = (marks?: GearItem['marks'], more: Partial<GearItem> = {}) =>
    anItem('trap', { ...(marks ? { marks } : {}), stowage: 'hatch', ...more });
  test('from both sides, or a Fix; not said is open; one that stays at home is not asked', () => {
    const marks = (...gear: GearItem[]) => of(found(undefined, gear), 'kit/marks/');
    expect([marks(trap('both')), marks(trap('one')), marks(trap('none')), marks(trap())]).toEqual([
      ['ready', false],
      ['fix', false],
      ['fix', false],
      ['know', true],
    ]);
    expect(marks(trap('one', { stowage: 'home' }))).toBeUndefined();
    expect(marks()).toBeUndefined();
  });
  test('one for many: of three traps each is looked at', () => {
    const all = found(undefined, [trap('both'), trap('both'), trap('one')]);
    expect(
      all.findings
        .filter((f) => f.id.startsWith('kit/marks/'))
        .map((f) => f.level)
        .sort(),
    ).toEqual(['fix', 'ready', 'ready']);
  });
  test('the officer asks for them among the papers', () => {
    const all = found({ hired: true }, [trap('one')], { fishing: true });
    const papers = officersCheck(OFFICER, all.requirements, all.findings).find((s) => s.id === 'papers')!;
    expect(papers.found.map((f) => f.id.split('/').slice(0, 2).join('/')).sort()).toEqual([
      'kit/P-LICENCE',
      'kit/marks',
      'papers/insurance',
      'papers/notes',
    ]);
    expect(papers.passes).toBe('no');
    expect(render(papers.found[0].title, { units: 'metric', zone: 'UTC', locale: 'en-GB' })).toMatch(/\w/);
  });
});
