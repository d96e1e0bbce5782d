import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { aBoat, anItem } from '../../test/demo';
import table from '../../data/recover/catamaran.json';
import {
  aboardToRight,
  changes,
  edgeNeed,
  holdsDown,
  lineAt,
  LEAN_END,
  leanMoment,
  leanOn,
  lifeRaft,
  restAngle,
  righting,
  touches,
  usualRig,
  windMoment,
  type Given,
} from '.';

const G = 9.80665;
const DEGREE = Math.PI / 180;
const rows = table.rows.map((row) => ({ ...row, float: false }));
const bare: Given = { side: 'bow', water: 0, bag: false, strap: false };
const cat = (more = {}) =>
  aBoat({ kind: 'catamaran', length: 4.27, beam: 2.2, mass: 105, propulsion: [{ kind: 'sail' }], ...more });
const who = (mass: number, height?: number) => ({
  id: `p${mass}`,
  name: `P${mass}`,
  mass,
  ...(height === undefined ? {} : { height }),
});

describe('what holds a catamaran down', () => {
  check(
    'closed form',
    { title: 'Moments about the lower hull, first principles; dimensions illustrative' },
    '14, 16 and 18 ft ask for 60.8, 102 and 140 kg·m',
    () => {
      const asked = rows.map((rig) => holdsDown(rig, restAngle(rig)) / G);
      expect(asked.map((kgm) => Number(kgm.toPrecision(3)))).toEqual([60.8, 102, 140]);
    },
  );
  check(
    'closed form',
    { title: 'Levers of a straight body, middle at 0.55 of its height, 1.75 m tall' },
    '45, 60 and 75 degrees are 0.68, 0.83 and 0.93 m',
    () =>
      expect(
        [45, 60, 75].map((deg) => (leanMoment({ mass: 1, height: 1.75 }, deg * DEGREE, 0.2) / G).toFixed(2)),
      ).toEqual(['0.68', '0.83', '0.93']),
  );
  check(
    'closed form',
    { title: 'The same, as the crew that rights her' },
    '71, 120 and 165 kg at 0.85 m',
    () => {
      const crew = rows.map((rig) => holdsDown(rig, restAngle(rig)) / G / 0.85);
      expect(crew.map((kg, i) => Math.abs(kg - [71, 120, 165][i]) < 1)).toEqual([true, true, true]);
    },
  );
  test('twenty kilograms of water in the main of sixteen feet are about 56 kg·m more', () => {
    const rig = rows[1];
    const more = (holdsDown(rig, restAngle(rig), 20) - holdsDown(rig, restAngle(rig))) / G;
    expect(more).toBeGreaterThan(54);
    expect(more).toBeLessThan(62);
  });
  test('it is greatest while the tip lies on the water, and falls as she comes', () => {
    for (const rig of rows) {
      const steps = [1, 0.75, 0.5, 0.25, 0].map((share) => holdsDown(rig, share * restAngle(rig)));
      expect([...steps].sort((a, b) => b - a)).toEqual(steps);
    }
  });
  test('wind: four times as much at twice the speed; nothing in a calm', () => {
    const [rig] = rows;
    expect(windMoment(rig, 10) / windMoment(rig, 5)).toBeCloseTo(4);
    expect(windMoment(rig, 0)).toBe(0);
    // 10 m/s on 4.2 m² a metre up: about 190 N·m by hand, a third of what holds her down.
    expect(windMoment(rig, 10)).toBeGreaterThan(150);
    expect(windMoment(rig, 10)).toBeLessThan(220);
  });
  test('beyond the table she is made larger and smaller in all directions; between rows in between', () => {
    expect(usualRig(4.27).mast).toBeCloseTo(6.7);
    expect(usualRig(4.575).mast).toBeCloseTo(7.35);
    for (const length of [2, 3, 4, 5, 5.49, 6, 7]) {
      const { mastMass, sailMass, mass } = usualRig(length);
      expect(Math.min(mastMass, sailMass, mass - mastMass - sailMass)).toBeGreaterThan(0);
    }
    expect(usualRig(8.54).mass).toBeCloseTo(usualRig(4.27).mass * 0 + 180 * (8.54 / 5.49) ** 3);
  });
});

describe('a body that leans out', () => {
  const at = { across: 0.36, up: 2.17 };
  check(
    'closed form',
    { title: 'Free body: forces on the boat from a body in balance' },
    'line and feet turn the boat as much as the weight at its lever',
    () => {
      // The body hangs in balance between its weight, the pull of the line and the push under its feet; what it does to
      // the boat are the last two turned round, about the edge where the feet stand.
      fc.assert(
        fc.property(
          fc.double({ min: 0.2, max: 1.5, noNaN: true }),
          fc.double({ min: 40, max: 110, noNaN: true }),
          fc.double({ min: 1.5, max: 1.95, noNaN: true }),
          (lean, mass, height) => {
            const hands = { x: -0.7 * height * Math.sin(lean), y: 0.7 * height * Math.cos(lean) };
            const long = lineAt(at, height, lean);
            const along = { x: (at.across - hands.x) / long, y: (at.up - hands.y) / long };
            // Moments on the body about its feet: weight down at 0.55 of it, the pull at the hands.
            const weight = mass * G;
            const arm = hands.x * along.y - hands.y * along.x;
            const pull = (0.55 * height * Math.sin(lean) * weight) / -arm;
            // On the boat: the pull at the fastening, towards the hands.
            const turn = at.across * -along.y * pull - at.up * -along.x * pull;
            expect(pull).toBeGreaterThan(0);
            expect(turn / leanMoment({ mass, height }, lean, 0.3)).toBeCloseTo(1, 6);
          },
        ),
        { numRuns: runs(200), seed: 3 },
      );
    },
  );
  test('a longer line never lowers what they give until the body touches the water; from there it falls', () => {
    for (const feet of [0.05, 0.12, 0.2])
      for (const height of [1.5, 1.75, 1.95]) {
        const lengths = Array.from({ length: 120 }, (_, i) => 0.6 + i * 0.03);
        let before = { gives: -1, touched: false };
        for (const line of lengths) {
          const lean = leanOn(line, at, height);
          const gives = leanMoment({ mass: 80, height }, lean, feet);
          // Past level the lever is behind it, whether or not the feet stand so high that the back is dry.
          const touched = touches({ height }, lean, feet) || lean > Math.PI / 2;
          if (!touched) expect(gives).toBeGreaterThanOrEqual(before.gives - 1e-9);
          else if (before.touched) expect(gives).toBeLessThanOrEqual(before.gives + 1e-9);
          before = { gives, touched };
        }
        expect(before.touched).toBe(true);
        expect(before.gives).toBeLessThan(leanMoment({ mass: 80, height }, 80 * DEGREE, 0.2));
      }
  });
  test('a line lets somebody lean as far as it is long, and no further than anybody hangs', () => {
    for (const deg of [20, 45, 60, 80])
      expect(leanOn(lineAt(at, 1.75, deg * DEGREE), at, 1.75) / DEGREE).toBeCloseTo(deg, 3);
    expect(leanOn(0.2, at, 1.75)).toBe(0);
    expect(leanOn(9, at, 1.75)).toBe(LEAN_END);
  });
  test('a heavier body never gives less, standing as high', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: LEAN_END, noNaN: true }),
        fc.double({ min: 30, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        (lean, mass, more, feet) =>
          leanMoment({ mass: mass + more, height: 1.7 }, lean, feet) >=
          leanMoment({ mass, height: 1.7 }, lean, feet) - 1e-9,
      ),
      { numRuns: runs(300), seed: 5 },
    ));
});

describe('this crew', () => {
  check(
    'common practice',
    { title: 'What crews have seen; no published source' },
    '85 kg alone have righted a 14 ft boat with a mast float in almost no wind: it may go; 40 kg can’t',
    () => {
      const boat = cat({ rig: { float: true } });
      expect(righting(boat, [who(85)], { ...bare, wind: 1 })?.together?.can).toBe('may');
      expect(righting(boat, [who(40)], { ...bare, wind: 1 })?.together?.can).toBe('no');
      expect(righting(boat, [who(85), who(80)], { ...bare, wind: 1 })?.together?.can).toBe('yes');
    },
  );
  test('two on the line give more than each; a third finds no room on the hull', () => {
    const [two, three] = [
      [who(70), who(60)],
      [who(70), who(60), who(55)],
    ].map((people) => righting(cat(), people, bare)!);
    expect(two.together!.gives.low).toBeGreaterThan(Math.max(...two.people.map((p) => p.gives!.low)));
    expect(three.together).toEqual(two.together);
    expect(three.people).toHaveLength(3);
  });
  test('a mast downwind asks for more, upwind counts on nothing; a bag, a bow to the wind and a drained sail help', () => {
    const people = [who(65)];
    const given: Given = { ...bare, side: 'mast-down', wind: 9, water: 20, line: 1.6 };
    const now = righting(cat(), people, given)!;
    expect(now.need.high).toBeGreaterThan(righting(cat(), people, { ...given, side: 'bow' })!.need.high);
    expect(righting(cat(), people, { ...given, side: 'mast-up' })!.need.high).toBe(
      righting(cat(), people, { ...given, side: 'bow' })!.need.high,
    );
    const better = changes(cat(), people, given, now);
    expect(better.map((c) => c.id).sort()).toEqual(['bag', 'bow', 'drain', 'line']);
    for (const { then } of better)
      expect(then.together!.gives.low - then.need.low).toBeGreaterThan(
        now.together!.gives.low - now.need.low - 1e-9,
      );
  });
  test('of what was stated the range is narrower; what was taken is named', () => {
    const own = cat({ rig: { mast: 6.7, mastMass: 9, sailMass: 7 } });
    const wide = righting(cat(), [who(80)], bare)!,
      narrow = righting(own, [who(80, 1.8)], { ...bare, line: 2 })!;
    expect(narrow.need.high - narrow.need.low).toBeLessThan(wide.need.high - wide.need.low);
    expect(wide.taken).toEqual(['rig', 'line']);
    expect(narrow.taken).toEqual([]);
  });
  test('a guess of her rig or of the line is no measure; a line or strap that failed is not there', () => {
    const rig = { mast: 6.7, mastMass: 9 };
    const guess = cat({ rig, basis: { '/rig/mastMass': 'guessed' } });
    expect(righting(guess, [who(80)], { ...bare, line: 2 })!.taken).toEqual(['rig']);
    const line = (more = {}) => anItem('righting-line', { line: 2.2, ...more });
    const aboard = (...gear: ReturnType<typeof anItem>[]) =>
      aboardToRight({ trip: { id: 't', stow: [] }, boat: cat(), people: [], gear });
    expect(aboard(line()).line).toBe(2.2);
    expect(aboard(line({ basis: { '/line': 'guessed' } }))).not.toHaveProperty('line');
    expect(aboard(line({ state: 'failed' }))).not.toHaveProperty('line');
    const strap = (more = {}) => aboard(anItem('drag-strap', more)).strap;
    expect([strap(), strap({ state: 'used-up' })]).toEqual([true, false]);
  });
  test('nobody’s weight: nothing is promised, and it says whose is missing', () => {
    const found = righting(cat(), [{ id: 'a', name: 'Ana' }], bare)!;
    expect(found).not.toHaveProperty('together');
    expect(found.unweighed).toEqual(['Ana']);
    expect(righting(cat({ length: undefined }), [who(80)], bare)).toBeUndefined();
  });
  test('craft that are not righted by their crews have no sum; a kayak by hand, with a strap from her edge', () => {
    for (const kind of ['trailer-boat', 'personal-watercraft', 'paddleboard'] as const)
      expect(righting(aBoat({ kind }), [who(80)], bare)).toBeUndefined();
    const kayak = aBoat({ kind: 'sit-on-top', mass: 30, beam: 0.8 });
    const [hand, strap] = [bare, { ...bare, strap: true }].map((given) => righting(kayak, [who(80)], given)!);
    expect([hand.way, strap.way]).toEqual(['hand', 'edge']);
    expect(hand.together!.can).toBe('may');
    expect(strap.together!.can).toBe('yes');
    expect(changes(kayak, [who(80)], bare, hand).map((c) => c.id)).toEqual(['strap']);
  });
  check(
    'common practice',
    { title: 'River practice; no published source' },
    'two to four turn a 14 ft raft',
    () => {
      const raft = aBoat({ kind: 'raft', length: 4.27, beam: 2, mass: 65 });
      const crew = [who(80), who(75), who(70), who(65)];
      const with_ = (n: number) => righting(raft, crew.slice(0, n), bare)!.together!.can;
      expect([with_(1), with_(4)]).toEqual(['may', 'yes']);
      expect(['may', 'yes']).toContain(with_(2));
    },
  );
  check(
    'common practice',
    { title: 'Sea survival training; no published source' },
    'one turns a life raft',
    () => {
      expect(lifeRaft([who(80)]).together!.can).not.toBe('no');
      expect(lifeRaft([who(80), who(60)]).together!.ids).toEqual(['p80']);
    },
  );
  test('her weight at half her beam, the least and the most of it', () => {
    const need = edgeNeed({ low: 30, high: 30 }, { low: 0.8, high: 0.8 });
    expect(need.low / (30 * G * 0.4)).toBeCloseTo(0.6);
    expect(need.high / (30 * G * 0.4)).toBeCloseTo(1.3);
  });
});
