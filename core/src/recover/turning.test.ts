import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { aBoat } from '../../test/demo';
import { record, replayed, type Tape } from '../numeric';
import { LEAN_END, leanMoment, restAngle, righting, rigOf, type Given } from '.';
import {
  bestHand,
  givesNow,
  holds,
  isStuck,
  lying,
  mostLean,
  taskOf,
  turn,
  wholeTurn,
  type Drawn,
  type Leaning,
  type Task,
  type Turning,
} from './turning';

const G = 9.80665;
const DT = 1 / 60;
const MIDDLE: Drawn = { need: 0.5, feet: 0.5, share: 0.5, wind: 1, mass: 0.5 };
const EASY: Drawn = { need: 0, feet: 1, share: 1, wind: 0, mass: 1 };
const HARD: Drawn = { need: 1, feet: 0, share: 0, wind: 1, mass: 0 };
const bare: Given = { side: 'bow', water: 0, bag: false, strap: false };
const cat = aBoat({ kind: 'catamaran', length: 4.27, beam: 2.2, mass: 105, propulsion: [{ kind: 'sail' }] });
const raft = aBoat({ kind: 'raft', length: 4.3, beam: 2, mass: 80 });
const kayak = aBoat({ kind: 'sit-on-top', length: 4.2, beam: 0.78, mass: 30 });
const who = (mass: number, height = 1.75) => ({ mass, height });

/** Leans so far, or so that it gives most, for so long. */
function tried(task: Task, lean: number | 'best', seconds: number): Turning {
  let now = lying(task);
  let best = 0;
  // Looked for four times a second, as somebody does who feels for it.
  const hand = () => (Math.round(now.seconds / DT) % 15 === 0 ? (best = bestHand(task, now.turned)) : best);
  for (let i = 0; i < seconds / DT && now.state !== 'up' && now.state !== 'turtle'; i += 1)
    now = turn(task, now, { lean: lean === 'best' ? hand() : lean }, DT);
  return now;
}

describe('what is turned, at every angle', () => {
  check(
    'closed form',
    { title: 'Moments about the lower hull, first principles; dimensions illustrative' },
    '14 ft at rest in the middle of the band: 60.8 kg·m; with the mast level her platform holds nothing',
    () => {
      const task = taskOf(cat, [who(80)], bare, MIDDLE)!;
      expect(holds(task, 0, 0) / G).toBeCloseTo(60.8, 1);
      const rig = rigOf(cat)!;
      // Mast level: 9 kg at 0.45 and 7 kg at 0.33 of 6.7 m.
      expect(holds(task, restAngle(rig), 0) / G).toBeCloseTo(9 * 0.45 * 6.7 + 7 * 0.33 * 6.7, 6);
      // Upright she holds herself up, by half her beam.
      expect(holds(task, restAngle(rig) + Math.PI / 2, 0) / G).toBeCloseTo(-105 * 1.1, 6);
    },
  );
  test('at rest it is the statics’ own band: its ends by the draw', () => {
    for (const boat of [cat, raft, kayak]) {
      const statics = righting(boat, [{ id: 'a', name: 'A', ...who(80) }], bare)!;
      const at = (drawn: Drawn) => holds(taskOf(boat, [who(80)], bare, drawn)!, 0, 0);
      expect(at(EASY)).toBeCloseTo(statics.need.low, 6);
      expect(at(HARD)).toBeCloseTo(statics.need.high, 6);
    }
  });
  test('what is only guessed of boat and people is as wide as in the statics', () => {
    const rough = { ...raft, basis: { '/mass': 'guessed' as const, '/beam': 'guessed' as const } };
    const person = { ...who(80), basis: { '/mass': 'guessed' as const } };
    const statics = righting(rough, [{ id: 'a', name: 'A', ...person }], bare)!;
    const sharp = righting(raft, [{ id: 'a', name: 'A', ...who(80) }], bare)!;
    expect(statics.need.high - statics.need.low).toBeGreaterThan(sharp.need.high - sharp.need.low);
    const at = (drawn: Drawn) => taskOf(rough, [person], bare, drawn)!;
    expect(holds(at(EASY), 0, 0)).toBeCloseTo(statics.need.low, 6);
    expect(holds(at(HARD), 0, 0)).toBeCloseTo(statics.need.high, 6);
    expect(at(EASY).people[0].mass).toBeCloseTo(80 * 1.15, 6);
    expect(at(HARD).people[0].mass).toBeCloseTo(80 * 0.85, 6);
  });
  test('what one gives lies inside the statics’ band, leaning as far as its middle', () => {
    const statics = righting(kayak, [{ id: 'a', name: 'A', ...who(80) }], bare)!;
    for (const drawn of [EASY, HARD, MIDDLE]) {
      const gives = givesNow(taskOf(kayak, [who(80)], bare, drawn)!, 0, 1);
      expect(gives).toBeGreaterThanOrEqual(statics.together!.gives.low - 1e-9);
      expect(gives).toBeLessThanOrEqual(statics.together!.gives.high + 1e-9);
    }
    const task = taskOf(cat, [who(80)], bare, MIDDLE)!;
    expect(givesNow(task, 0, (60 * Math.PI) / 180 / LEAN_END)).toBeCloseTo(
      leanMoment(who(80), (60 * Math.PI) / 180, 0.125),
      6,
    );
  });
  test('a short line holds one upright; as she rises it gives more room', () => {
    const short = taskOf(cat, [who(80)], { ...bare, line: 1.2 }, MIDDLE)!;
    const long = taskOf(cat, [who(80)], { ...bare, line: 3 }, MIDDLE)!;
    expect(mostLean(short, 1.75, 0)).toBeLessThan(mostLean(long, 1.75, 0));
    expect(mostLean(short, 1.75, 0.8)).toBeGreaterThan(mostLean(short, 1.75, 0));
  });
});

describe('does she come up', () => {
  test('two who give enough at the hard end always right her; one child never does, and is told so after six seconds', () => {
    for (const drawn of [EASY, MIDDLE, HARD]) {
      const two = taskOf(cat, [who(90), who(90)], { ...bare, line: 3 }, drawn)!;
      expect(tried(two, 'best', 120).state).toBe('up');
      const child = taskOf(cat, [who(30, 1.35)], { ...bare, line: 3 }, drawn)!;
      const left = tried(child, 'best', 7);
      expect([left.state, isStuck(left)]).toEqual(['down', true]);
    }
  });
  test('where the statics say may, it is sometimes yes and sometimes no', () => {
    const people = [{ id: 'a', name: 'A', ...who(72) }];
    expect(righting(cat, people, { ...bare, line: 2.5 })?.together?.can).toBe('may');
    const ends = [EASY, HARD].map(
      (drawn) => tried(taskOf(cat, [who(72)], { ...bare, line: 2.5 }, drawn)!, 'best', 120).state,
    );
    expect(ends).toEqual(['up', 'down']);
  });
  test('further out than the surface lets them their backs float, and they give less', () => {
    const task = taskOf(cat, [who(85)], { ...bare, line: 4 }, MIDDLE)!;
    const best = bestHand(task, 0);
    expect(best).toBeGreaterThan(0.6);
    expect(best).toBeLessThan(0.95);
    expect(givesNow(task, 0, 1)).toBeLessThan(0.7 * givesNow(task, 0, best));
  });
  test('nobody leans, she stays; a mast without a float fills and she goes on over, with one she does not', () => {
    const task = taskOf(cat, [who(90)], bare, MIDDLE)!;
    expect(tried(task, 0, 100).turned).toBe(0);
    expect(tried(task, 0, 600).state).toBe('turtle');
    const float = taskOf({ ...cat, rig: { float: true } }, [who(90)], bare, MIDDLE)!;
    expect(tried(float, 0, 600).state).toBe('down');
  });
  test('water in the sail, the mast downwind and less lean only ever make it harder', () => {
    const net = (given: Given, lean = 1) => {
      const task = taskOf(cat, [who(85)], { ...given, line: 3 }, MIDDLE)!;
      return givesNow(task, 0, lean) - holds(task, 0, given.water);
    };
    expect(net({ ...bare, water: 20 })).toBeLessThan(net(bare));
    expect(net({ ...bare, wind: 8, side: 'mast-down' })).toBeLessThan(net({ ...bare, wind: 8 }));
    expect(net({ ...bare, wind: 8, side: 'mast-up' })).toBeGreaterThan(net({ ...bare, wind: 8 }));
    expect(net(bare, 0.3)).toBeLessThan(net(bare, 0.6));
    expect(net({ ...bare, bag: true })).toBeGreaterThan(net(bare));
  });
  test('a raft and a kayak: turned past half way they fall the right way up', () => {
    expect(tried(taskOf(raft, [who(90), who(90)], bare, EASY)!, 'best', 120).state).toBe('up');
    expect(tried(taskOf(kayak, [who(85)], bare, MIDDLE)!, 'best', 120).state).toBe('up');
    const task = taskOf(kayak, [who(85)], bare, MIDDLE)!;
    expect(tried(task, 'best', 120).turned).toBeGreaterThanOrEqual(wholeTurn(task));
  });
  test('a lifted sail runs out: to a third in eight seconds', () => {
    const task = taskOf(cat, [who(120), who(120)], { ...bare, water: 20, line: 3 }, EASY)!;
    const up = tried(task, 'best', 120);
    expect(up.state).toBe('up');
    expect(up.water).toBeLessThan(20);
  });
  test('who has no weight is on no line; craft that are not righted so have no try', () => {
    expect(taskOf(cat, [{}], bare, MIDDLE)).toBeUndefined();
    expect(taskOf(aBoat({ kind: 'trailer-boat' }), [who(80)], bare, MIDDLE)).toBeUndefined();
    expect(taskOf(aBoat({ kind: 'raft' }), [who(80)], bare, MIDDLE)).toBeUndefined();
  });
  test('a recorded try, run again, comes to the same end', () => {
    const leans = fc.array(
      fc.tuple(fc.integer({ min: 1, max: 120 }), fc.double({ min: 0, max: 1, noNaN: true })),
      {
        maxLength: 12,
      },
    );
    fc.assert(
      fc.property(leans, fc.constantFrom(cat, raft, kayak), (held, boat) => {
        const task = taskOf(boat, [who(80), who(70)], { ...bare, water: 10 }, MIDDLE)!;
        let live = lying(task);
        const tape: Tape<Leaning> = [];
        for (const [ticks, lean] of held)
          for (let i = 0; i < ticks; i += 1) {
            record(tape, { lean });
            live = turn(task, live, { lean }, DT);
          }
        expect(replayed(tape, lying(task), (now, input: Leaning) => turn(task, now, input, DT))).toEqual(
          live,
        );
        expect(Number.isFinite(live.turned + live.rate)).toBe(true);
      }),
      { numRuns: runs(60), seed: 4 },
    );
  });
});
