import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { check } from '../../test/check';
import { aBoat, aPerson } from '../../test/demo';
import { record, replayed, type Tape } from '../numeric';
import { KNOT } from '../units';
import {
  anchoring,
  anchorScore,
  arrived,
  comesNow,
  SCENES,
  type Anchored,
  type Anchoring,
  type DrawnHold,
  type LineHands,
} from './anchoring';
import { fasteningOf, heightOver, lyingOf, type Lying } from './held';
import { leadOf } from './line';
import { outOf } from './find-holds';
import { pullOn } from './pull';

// Coarser than a screen steps: fewer steps, the same sums.
const DT = 1 / 15;
const MIDDLE: DrawnHold = { hold: 0.5, pull: 0.5, gusts: [0.1, 0.4, 0.7] };
const person = aPerson({ mass: 80 });
const skiff = aBoat({ kind: 'skiff', length: 4.2, beam: 1.6, depth: 0.6, mass: 180 });
const kayak = aBoat({ kind: 'sit-on-top', length: 4.2, beam: 0.78, depth: 0.35, mass: 32 });
const lyingAs = (boat: typeof skiff): Lying =>
  lyingOf(boat, { crew: [{ person: person.id, role: 'skipper' }], load: [] }, [person], 1025)!;
const of = (id: string) => SCENES.find((scene) => scene.id === id)!;
const taskIn = (id: string, boat = skiff, drawn = MIDDLE, line = 40): Anchoring => ({
  scene: of(id),
  lying: lyingAs(boat),
  tackle: {
    anchor: { kind: 'fluke', weighs: 5, usual: { low: 5, high: 5 } },
    seabed: of(id).seabed as 'sand',
    rode: { line, chain: 4, weight: 8 },
  },
  drawn,
});
const HOLD: LineHands = { pay: 0, back: false, from: 'bow', pace: 1 };

/** Lets out so many metres, then does so for so many seconds. */
function anchored(
  task: Anchoring,
  out: number,
  after: [seconds: number, hands: Partial<LineHands>][],
): Anchored {
  let now = arrived();
  while (now.out < out) now = anchoring(task, now, { ...HOLD, pay: 1 }, DT);
  for (const [seconds, hands] of after)
    for (let gone = 0; gone < seconds; gone += DT * (hands.pace ?? 1))
      now = anchoring(task, now, { ...HOLD, ...hands }, DT);
  return now;
}

describe('anchoring, moment by moment', () => {
  test('while less line is out than the water is deep she drifts, and nothing holds', () => {
    const task = taskIn('cove');
    const height = heightOver(task.lying, fasteningOf(task.lying, 'bow'), task.scene.depth);
    const now = anchored(task, height - 0.3, [[60, {}]]);
    expect(now.anchor).toBeUndefined();
    expect(Math.hypot(now.boat.x, now.boat.y)).toBeGreaterThan(2);
    expect(now.load).toBe(0);
  });
  check(
    'closed form',
    { title: 'The room’s own catenary at the pull of that moment' },
    'left to lie, she comes to the end of what the line leaves her, and the anchor bears the whole pull',
    () => {
      const task = taskIn('cove', skiff, { ...MIDDLE, gusts: [0, 0, 0] });
      const now = anchored(task, 25, [
        [60, { back: true }],
        [240, {}],
      ]);
      const fast = fasteningOf(task.lying, 'bow');
      const comes = comesNow(task.scene, task.drawn, now.seconds);
      const { load } = pullOn(task.lying.exposed, fast, comes, 1025);
      const middle = (load.low + load.high) / 2;
      const lead = leadOf(outOf(task.tackle.rode, 25), heightOver(task.lying, fast, 4), middle)!;
      const far = Math.hypot(now.boat.x - now.anchor!.x, now.boat.y - now.anchor!.y);
      expect(Math.abs(far - lead.reach)).toBeLessThan(1);
      expect(now.load).toBeGreaterThan(0.5 * middle);
      expect(now.load).toBeLessThanOrEqual(middle * 1.001);
    },
  );
  test('drawn astern on a long line it digs in; on a short one it is lifted out and goes with her', () => {
    const task = taskIn('gusts', skiff, { ...MIDDLE, hold: 0.2 });
    const long = anchored(task, 36, [[300, { back: true, pace: 10 }]]);
    const short = anchored(task, 8, [[300, { back: true, pace: 10 }]]);
    expect(long.dragged).toBeLessThan(1);
    expect(short.dragged).toBeGreaterThan(10);
    expect(short.hold).toBeLessThan(long.hold);
  });
  test('the stream turns: by slack water it is the other way, she swings, and what had dug in is drawn round', () => {
    const task = taskIn('turn');
    const flows = (minute: number) => comesNow(task.scene, MIDDLE, minute * 60).stream;
    expect(flows(0)).toEqual({ speed: 1.6 * KNOT, direction: 180 });
    expect(flows(75).speed).toBeCloseTo(0, 9);
    expect(flows(150).direction).toBe(0);
    expect(flows(150).speed).toBeCloseTo(1.6 * KNOT, 9);
    const before = anchored(task, 20, [
      [120, { back: true }],
      [3000, { pace: 60 }],
    ]);
    const after = anchored(task, 20, [
      [120, { back: true }],
      [8000, { pace: 60 }],
    ]);
    expect(before.boat.y).toBeLessThan(before.anchor!.y);
    expect(after.boat.y).toBeGreaterThan(after.anchor!.y - 5);
  });
  test('gusts lie between the mean and what is forecast, whatever the seed', () => {
    const drawn = fc.tuple(
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...SCENES),
        drawn,
        fc.integer({ min: 0, max: 9000 }),
        (scene, gusts, at) => {
          const { wind } = comesNow(scene, { ...MIDDLE, gusts }, at);
          const most = Math.max(...scene.wind.map((row) => row.gust)) * KNOT;
          const least = Math.min(...scene.wind.map((row) => row.speed)) * KNOT;
          expect(wind.speed).toBeGreaterThanOrEqual(least - 1e-9);
          expect(wind.speed).toBeLessThanOrEqual(most + 1e-9);
        },
      ),
      { numRuns: runs(200), seed: 5 },
    );
  });
  test('made fast to the side in a strong stream a kayak goes over; from the bow she lies', () => {
    const task = taskIn('run', kayak, { ...MIDDLE, hold: 1 });
    const side = anchored(task, 18, [[200, { from: 'side', pace: 10 }]]);
    const bow = anchored(task, 18, [[200, { pace: 10 }]]);
    expect(side.state).toBe('over');
    expect(bow.state).toBe('lying');
  });
  test('whoever lets nothing out comes ashore; whoever stays has stayed', () => {
    expect(anchored(taskIn('gusts'), 0, [[7300, { pace: 60 }]]).state).toBe('ashore');
    const stayed = anchored(taskIn('cove', skiff, { ...MIDDLE, hold: 1 }), 25, [
      [60, { back: true }],
      [2400, { pace: 60 }],
    ]);
    expect(stayed.state).toBe('stayed');
    expect(anchorScore(stayed).points).toBeGreaterThan(80);
  });
  test('more dragged, oftener out, nearer or ashore never has more points', () => {
    const base: Anchored = { ...arrived(), state: 'stayed', anchor: { x: 0, y: 0 }, nearest: 30 };
    const points = (more: Partial<Anchored>) => anchorScore({ ...base, ...more }).points;
    expect(points({})).toBe(100);
    for (const worse of [
      { dragged: 3 },
      { outs: 1 },
      { nearest: 2 },
      { state: 'ashore' as const },
      { state: 'over' as const },
    ])
      expect(points(worse)).toBeLessThan(100);
    const { anchor: _, ...never } = base;
    expect(anchorScore(never).points).toBeLessThan(100);
  });
  test('a recorded run, run again, comes to the same end; nothing in it is not a number', () => {
    const hands = fc.record({
      pay: fc.constantFrom<LineHands['pay']>(-1, 0, 1, 1),
      back: fc.boolean(),
      from: fc.constantFrom<LineHands['from']>('bow', 'stern', 'side'),
      pace: fc.constantFrom(1, 10, 60),
    });
    const held = fc.array(fc.tuple(fc.integer({ min: 1, max: 120 }), hands), { maxLength: 10 });
    fc.assert(
      fc.property(fc.constantFrom(...SCENES), fc.constantFrom(skiff, kayak), held, (scene, boat, parts) => {
        const task = taskIn(scene.id, boat);
        let live = arrived();
        const tape: Tape<LineHands> = [];
        for (const [ticks, input] of parts)
          for (let i = 0; i < ticks; i += 1) {
            record(tape, { ...input });
            live = anchoring(task, live, input, DT);
            for (const value of [
              live.boat.x,
              live.boat.y,
              live.load,
              live.hold,
              live.out,
              live.dug,
              live.dragged,
            ])
              expect(Number.isFinite(value)).toBe(true);
          }
        expect(replayed(tape, arrived(), (now, input: LineHands) => anchoring(task, now, input, DT))).toEqual(
          live,
        );
      }),
      { numRuns: runs(20), seed: 6 },
    );
  });
});
