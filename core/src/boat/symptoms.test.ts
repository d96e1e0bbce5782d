import { describe, expect, test } from '@jest/globals';
import { aBoat } from '../../test/demo';
import { causesOf, SYMPTOMS } from './symptoms';

const row = (id: string) => SYMPTOMS.find((s) => s.id === id)!;
const skiff = aBoat({
  kind: 'skiff',
  length: 4.5,
  beam: 1.7,
  depth: 0.7,
  propulsion: [{ kind: 'outboard' }],
  openings: [
    { name: 'Bow hatch', kind: 'hatch', where: 'bow', diameter: 0.3 },
    { name: 'Drain', kind: 'plug', where: 'stern', diameter: 0.025 },
    { name: 'Bung', kind: 'bung', where: 'stern', diameter: 0.04, worked: 'underneath' },
    { name: 'Well drain', kind: 'plug' },
  ],
});
const names = (id: string, boat = skiff, motor: boolean | undefined = true) =>
  causesOf(row(id), boat, motor).flatMap((c) => c.opening?.name ?? []);

describe('from symptom to cause', () => {
  test('stern heavy: her openings at the stern, the wider first; the bow hatch is not among them', () => {
    expect(names('stern-heavy')).toEqual(['Bung', 'Drain', 'Well drain']);
    const [bung, , well] = causesOf(row('stern-heavy'), skiff, true);
    expect(bung.opening).toMatchObject({ below: true, guessed: false });
    expect(well.opening).toMatchObject({ guessed: true });
  });
  test('each opening once, though two rows fit it; every symptom has something to look at', () => {
    for (const each of SYMPTOMS) {
      const found = names(each.id);
      expect(new Set(found).size).toBe(found.length);
      expect(causesOf(each, aBoat({ openings: [] }), undefined).length).toBeGreaterThan(0);
    }
  });
  test('what only a motor has is told where there may be one', () => {
    const says = (motor: boolean | undefined) => causesOf(row('sluggish'), skiff, motor).map((c) => c.says);
    expect(says(false)).toEqual(says(true));
    const plane = (motor: boolean | undefined) => causesOf(row('wont-plane'), skiff, motor).length;
    expect([plane(true), plane(undefined)]).toEqual([plane(true), plane(true)]);
    expect(plane(false)).toBeLessThan(plane(true));
  });
  test('a soft tube is an inflatable’s, a hull that fills a catamaran’s', () => {
    const says = (kind: 'inflatable' | 'catamaran' | 'skiff') =>
      causesOf(row('lists'), aBoat({ kind, openings: [] }), false).map((c) => c.says);
    expect(says('inflatable')).toContain('A tube is soft');
    expect(says('skiff')).not.toContain('A tube is soft');
  });
  test('how one looks never sends anybody to the low end; each says when the catch is no longer saved', () => {
    for (const { look, stop, sign } of SYMPTOMS) {
      expect(look).not.toMatch(/go (aft|to the stern|to the low)/i);
      for (const said of [look, stop, sign]) expect(said).toMatch(/^[A-Z].*[.?]$/);
    }
  });
});
