import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { heldAt, record, replayed, ticksOf, type Tape } from '../numeric';
import {
  attempt,
  begun,
  bodies,
  cameraOf,
  COURSES,
  drive,
  folded,
  lockOf,
  outlineOf,
  overCrest,
  overlap,
  pointOfNoReturn,
  rigFrom,
  scoreOf,
  shown,
  steadyHitch,
  TOUCHES,
  trailerOf,
  type Attempt,
  type Course,
  type Hands,
  type Rig,
  type Stand,
} from './reversing';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const deg = (angle: number) => (angle * 180) / Math.PI;
const RIG: Rig = { wheelbase: 2.9, overhang: 1.1, drawbar: 4.5, lock: rad(30) };
const SHORT: Rig = { ...RIG, drawbar: 2.5 };
const STILL: Stand = { x: 0, y: 0, heading: 0, hitch: 0, steer: 0, speed: 0 };
const DT = 1 / 60;
const BACK: Hands = { wheel: 0, pedal: -1 };

/** Backs until so many metres are behind. */
function backed(rig: Rig, start: Stand, metres: number, wheel = 0): Stand {
  let now = start;
  for (let gone = 0; gone < metres; gone += -now.speed * DT) now = drive(rig, now, { wheel, pedal: -1 }, DT);
  return now;
}

describe('a trailer that is backed', () => {
  check(
    'closed form',
    'hitch-kinematics',
    'backed straight, 5° grow to 6.24, 7.79, 9.72 and 15.11° over 1, 2, 3 and 5 m of a 4.5 m drawbar; a short one folds sooner',
    () => {
      const grow = (metres: number, drawbar: number) => deg(folded(rad(5), metres, drawbar));
      for (const [metres, wanted] of [
        [1, 6.24],
        [2, 7.79],
        [3, 9.72],
        [5, 15.11],
      ])
        expect(grow(metres, 4.5)).toBeCloseTo(wanted, 2);
      expect([1, 3, 5].map((m) => Number(grow(m, 2.5).toFixed(1)))).toEqual([7.5, 16.5, 35.8]);
    },
  );
  check(
    'closed form',
    'hitch-kinematics',
    'a steady turn of 10, 20 and 30° keeps 19.67, 41.88 and 73.4°; 41.4° with a drawbar of 2.5 m',
    () => {
      for (const [steer, wanted] of [
        [10, 19.67],
        [20, 41.88],
        [30, 73.4],
      ])
        expect(deg(steadyHitch(RIG, rad(steer))!)).toBeCloseTo(wanted, 1);
      expect(deg(pointOfNoReturn(SHORT)!)).toBeCloseTo(41.4, 1);
    },
  );
  check(
    'closed form',
    { title: 'Turning circle of a steady turn: wheelbase over the tangent of the steering angle' },
    'the rear axle goes round a circle of L / tan δ, and the ball round one of √(R² + c²)',
    () => {
      const steer = rad(20);
      const radius = RIG.wheelbase / Math.tan(steer);
      let now: Stand = { ...STILL, steer, speed: 1.1 };
      const middle = { x: 0, y: radius };
      for (let i = 0; i < 2400; i += 1) {
        now = drive(RIG, now, { wheel: -steer / RIG.lock, pedal: 1 }, DT);
        expect(Math.hypot(now.x - middle.x, now.y - middle.y)).toBeCloseTo(radius, 9);
        const { ball } = trailerOf(RIG, now);
        expect(Math.hypot(ball.x - middle.x, ball.y - middle.y)).toBeCloseTo(
          Math.hypot(radius, RIG.overhang),
          9,
        );
      }
      // Pulled round for forty seconds it has come to the angle of that turn.
      expect(now.hitch).toBeCloseTo(steadyHitch(RIG, steer)!, 2);
    },
  );
  test('the step follows the closed form of backing straight within a hundredth of a degree', () => {
    const now = backed(RIG, { ...STILL, hitch: rad(5), speed: -0.8 }, 3);
    const gone = -now.x;
    expect(deg(now.hitch)).toBeCloseTo(deg(folded(rad(5), gone, RIG.drawbar)), 2);
  });
  check(
    'closed form',
    {
      title:
        'Another integration: classic Runge–Kutta over positions of ball and axle at a tenth of the step',
    },
    'within a millimetre and a hundredth of a degree after thirty seconds of a winding drive',
    () => {
      let ours: Stand = { ...STILL };
      let theirs: Wheels = { x: 0, y: 0, heading: 0, ax: -RIG.overhang - RIG.drawbar, ay: 0 };
      for (let i = 0; i < 1800; i += 1) {
        const hands: Hands = { wheel: Math.sin(i / 90) * 0.7, pedal: i % 900 < 450 ? 1 : -1 };
        ours = drive(RIG, ours, hands, DT);
        for (let part = 0; part < 10; part += 1) theirs = rolled(RIG, theirs, ours, DT / 10);
      }
      const { axle, heading } = trailerOf(RIG, ours);
      expect(Math.hypot(axle.x - theirs.ax, axle.y - theirs.ay)).toBeLessThan(0.01);
      const ball = {
        x: theirs.x - RIG.overhang * Math.cos(theirs.heading),
        y: theirs.y - RIG.overhang * Math.sin(theirs.heading),
      };
      const other = Math.atan2(ball.y - theirs.ay, ball.x - theirs.ax);
      expect(Math.abs(deg(Math.atan2(Math.sin(other - heading), Math.cos(other - heading))))).toBeLessThan(
        0.1,
      );
    },
  );
  test('beyond the point of no return full lock only folds it further; short of it, it comes straight again', () => {
    const limit = pointOfNoReturn(SHORT)!;
    const lockedOut = (hitch: number) =>
      backed(SHORT, { ...STILL, hitch, steer: SHORT.lock, speed: -0.8 }, 1, -1).hitch;
    expect(lockedOut(limit + rad(2))).toBeGreaterThan(limit + rad(2));
    expect(lockedOut(limit - rad(2))).toBeLessThan(limit - rad(2));
  });
  test('the bottom of the wheel: moved to the right, the trailer’s tail goes to the driver’s right', () => {
    // The hand at the bottom goes right where the wheel is turned left.
    const left = backed(RIG, STILL, 3, -0.5);
    const { axle } = trailerOf(RIG, left);
    // Nose to +x: the driver’s right is −y.
    expect(axle.y).toBeLessThan(-0.05);
  });
  test('folded as far as it goes it stands; only forwards leads out', () => {
    let now = backed(SHORT, { ...STILL, hitch: rad(70) }, 0.1);
    for (let i = 0; i < 600; i += 1) now = drive(SHORT, now, BACK, DT);
    expect(now.hitch).toBeLessThan(TOUCHES);
    expect(now.speed).toBe(0);
    for (let i = 0; i < 180; i += 1) now = drive(SHORT, now, { wheel: 0, pedal: 1 }, DT);
    expect(now.hitch).toBeLessThan(rad(60));
  });
});

interface Wheels {
  x: number;
  y: number;
  heading: number;
  ax: number;
  ay: number;
}
/** The same by velocities: the car’s axle and the trailer’s roll along themselves, and the ball is at its distance from both. */
function rolled(rig: Rig, from: Wheels, { steer, speed }: Stand, dt: number): Wheels {
  const rate = (w: Wheels): Wheels => {
    const turning = (speed * Math.tan(steer)) / rig.wheelbase;
    const vx = speed * Math.cos(w.heading) + rig.overhang * turning * Math.sin(w.heading);
    const vy = speed * Math.sin(w.heading) - rig.overhang * turning * Math.cos(w.heading);
    const bx = w.x - rig.overhang * Math.cos(w.heading) - w.ax;
    const by = w.y - rig.overhang * Math.sin(w.heading) - w.ay;
    const along = (vx * bx + vy * by) / (bx * bx + by * by);
    return {
      x: speed * Math.cos(w.heading),
      y: speed * Math.sin(w.heading),
      heading: turning,
      ax: along * bx,
      ay: along * by,
    };
  };
  const plus = (w: Wheels, r: Wheels, by: number): Wheels => ({
    x: w.x + r.x * by,
    y: w.y + r.y * by,
    heading: w.heading + r.heading * by,
    ax: w.ax + r.ax * by,
    ay: w.ay + r.ay * by,
  });
  const k1 = rate(from);
  const k2 = rate(plus(from, k1, dt / 2));
  const k3 = rate(plus(from, k2, dt / 2));
  const k4 = rate(plus(from, k3, dt));
  return [k1, k2, k2, k3, k3, k4].reduce((sum, k) => plus(sum, k, dt / 6), from);
}

describe('one’s own lengths', () => {
  check(
    'closed form',
    { title: 'Turning circle of the outer front wheel and the wheel in the middle of the axle' },
    'a wheelbase of 2.7 m in a circle of 10.8 m turns 34.6°',
    () => expect(deg(lockOf(10.8, 2.7))).toBeCloseTo(34.5, 0),
  );
  test('what nobody measured is named; a circle in which no such car turns gives no rig, and says which', () => {
    expect(rigFrom({ trailer: { drawbar: 3.9 } }).taken).toEqual(['wheelbase', 'overhang', 'circle']);
    expect(rigFrom({ trailer: { drawbar: 3.9 } }).rig?.drawbar).toBe(3.9);
    expect(rigFrom({ trailer: { drawbar: 3.9, wheelbase: 5, circle: 9 } }).rig).toBeUndefined();
    // What is tried goes before what is known of the boat; a guess is used, and named.
    const boat = {
      trailer: { drawbar: 3.9, overhang: 1 },
      basis: { '/trailer/overhang': 'guessed' as const },
    };
    expect(rigFrom(boat, { drawbar: 5 }).rig).toMatchObject({ drawbar: 5, overhang: 1 });
    expect(rigFrom(boat).taken).toEqual(['wheelbase', 'overhang', 'circle']);
    expect(() => lockOf(5, 2.7)).toThrow(RangeError);
  });
});

/** Backs by looking: bends the trailer towards the lane’s middle, and holds the bend. Pulls forward when it folds. */
function driver(course: Course, rig: Rig) {
  let pulling = false;
  return ({ stand }: Attempt): Hands => {
    const { axle, heading } = trailerOf(rig, stand);
    const limit = Math.min(rad(50), 0.8 * (pointOfNoReturn(rig) ?? Math.PI));
    if (Math.abs(stand.hitch) > limit + rad(6)) pulling = true;
    if (Math.abs(stand.hitch) < rad(8)) pulling = false;
    if (axle.y <= course.goal - 0.2) return { wheel: -stand.steer / rig.lock, pedal: 0 };
    if (pulling) return { wheel: 0, pedal: 1 };
    const off = Math.atan2(-Math.cos(heading), Math.sin(heading));
    const aim = Math.max(-rad(75), Math.min(rad(75), 0.45 * axle.x));
    const bend = Math.max(-limit, Math.min(limit, 1.2 * (off + aim)));
    const hold = Math.atan((Math.sin(bend) / rig.drawbar) * rig.wheelbase * 0.8);
    const steer = hold + 2.2 * (stand.hitch - bend);
    return { wheel: -Math.max(-1, Math.min(1, steer / rig.lock)), pedal: -1 };
  };
}

function driven(course: Course, rig: Rig): { run: Attempt; tape: Tape<Hands> } {
  const at = driver(course, rig);
  const outline = outlineOf(rig);
  let run = begun(course);
  const tape: Tape<Hands> = [];
  for (let i = 0; i < 60 * 240 && run.state !== 'in'; i += 1) {
    const hands = at(run);
    record(tape, hands);
    run = attempt(course, rig, outline, run, hands, DT);
  }
  return { run, tape };
}

describe('courses', () => {
  const rig = rigFrom().rig!;
  test.each(COURSES.map((course) => [course.id, course] as const))(
    '%s can be done by somebody who looks, with a usual trailer and a short one',
    (_id, course) => {
      for (const drawbar of [4.5, 3, 6]) {
        const { run } = driven(course, { ...rig, drawbar });
        expect([drawbar, run.state, run.touched, run.jacks]).toEqual([drawbar, 'in', 0, 0]);
        expect(scoreOf(course, outlineOf({ ...rig, drawbar }), run).points).toBeGreaterThan(80);
      }
    },
  );
  test('a recorded run, run again, comes to the same stand and the same score', () => {
    const pedal = fc.constantFrom<Hands['pedal']>(-1, -1, 0, 1);
    const input = fc.record({ wheel: fc.double({ min: -1, max: 1, noNaN: true }), pedal });
    const tapes = fc.array(fc.tuple(fc.integer({ min: 1, max: 90 }), input), { maxLength: 25 });
    fc.assert(
      fc.property(fc.constantFrom(...COURSES), tapes, (course, held) => {
        const outline = outlineOf(rig);
        let live = begun(course);
        const tape: Tape<Hands> = [];
        for (const [ticks, hands] of held)
          for (let i = 0; i < ticks; i += 1) {
            record(tape, { ...hands });
            live = attempt(course, rig, outline, live, hands, DT);
          }
        const again = replayed(tape, begun(course), (run, hands: Hands) =>
          attempt(course, rig, outline, run, hands, DT),
        );
        expect(again).toEqual(live);
        expect(heldAt(tape, ticksOf(tape))).toBeUndefined();
        if (tape.length > 0) expect(heldAt(tape, ticksOf(tape) - 1)).toEqual(tape.at(-1)![1]);
        expect(scoreOf(course, outline, again)).toEqual(scoreOf(course, outline, live));
        // Nothing is ever driven into, and no car folds further than it can.
        const { car, trailer } = bodies(rig, outline, live.stand);
        for (const thing of course.cones)
          expect(overlap(car, [thing, thing]) || overlap(trailer, [thing, thing])).toBe(false);
        expect(Math.abs(live.stand.hitch)).toBeLessThan(TOUCHES);
      }),
      { numRuns: runs(40), seed: 18 },
    );
  });
  test('counted by hand: wheel left, right and left again is two corrections; forwards after backing once', () => {
    const course = COURSES[0];
    const outline = outlineOf(rig);
    const held: Tape<Hands> = [
      [60, { wheel: -0.6, pedal: -1 }],
      [60, { wheel: 0.6, pedal: -1 }],
      [60, { wheel: -0.6, pedal: -1 }],
      [120, { wheel: -0.6, pedal: 1 }],
      [90, { wheel: -0.6, pedal: 0 }],
    ];
    const run = replayed(held, begun(course), (now, hands: Hands) =>
      attempt(course, rig, outline, now, hands, DT),
    );
    expect([run.corrections, run.pulls]).toEqual([2, 1]);
    expect(run.seconds).toBeCloseTo(390 / 60, 9);
  });
  test('into the dock: it stands there, and standing against it is one touch', () => {
    const course = COURSES.find(({ id }) => id === 'left')!;
    const outline = outlineOf(rig);
    let run: Attempt = {
      ...begun(course),
      stand: { x: -2.6, y: 8, heading: rad(90), hitch: 0, steer: 0, speed: 0 },
    };
    for (let i = 0; i < 600; i += 1) run = attempt(course, rig, outline, run, BACK, DT);
    expect(run.touched).toBe(1);
    expect(run.state).toBe('driving');
    expect(scoreOf(course, outline, run).lost.touched).toBe(15);
  });
  test('worse in one thing and alike in all others never has more points', () => {
    const course = COURSES[2];
    const outline = outlineOf(rig);
    const base: Attempt = { ...begun(course), laned: 10, off: 2, seconds: 60 };
    const points = (more: Partial<Attempt>) => scoreOf(course, outline, { ...base, ...more }).points;
    for (const worse of [
      { off: 6 },
      { corrections: 9 },
      { pulls: 3 },
      { seconds: 200 },
      { touched: 1 },
      { jacks: 1 },
    ])
      expect(points(worse)).toBeLessThan(points({}));
    expect(points({ touched: 20 })).toBe(0);
  });
  test('her own length and beam make the outline; a boat shorter than her drawbar ends at the axle', () => {
    expect(outlineOf(rig, { length: 5.2, beam: 2.1 })).toEqual({ bow: 0.3, stern: 5.5, half: 1.05 });
    expect(outlineOf(rig, { length: 3 }).stern).toBe(rig.drawbar);
  });
  test('boxes side by side do not overlap, crossed ones do', () => {
    const box = (x: number) => [
      { x, y: 0 },
      { x: x + 1, y: 0 },
      { x: x + 1, y: 1 },
      { x, y: 1 },
    ];
    expect(overlap(box(0), box(1.01))).toBe(false);
    expect(overlap(box(0), box(0.99))).toBe(true);
  });
});

describe('in the mirrors', () => {
  const level = COURSES[2];
  const crest = COURSES.find((course) => course.crest)!;
  const north: Stand = { ...STILL, heading: rad(90), y: 12 };
  const spot = (x: number, y: number, z = 0) => ({ x, y, z });
  const middle = (outline: { right: number }[]) =>
    outline.reduce((sum, { right }) => sum + right, 0) / outline.length;
  test('the left glass shows what is outside to the left on its left, the right one on its right', () => {
    for (const [side, sign] of [
      ['left', -1],
      ['right', 1],
    ] as const) {
      const camera = cameraOf(level, north, side);
      const near = [spot(sign * 1.2, 0), spot(sign * 1.2, 2), spot(sign * 1.4, 2)];
      const out = near.map(({ x, y, z }) => spot(x + sign * 2, y, z));
      expect(sign * (middle(shown(camera, out)) - middle(shown(camera, near)))).toBeGreaterThan(0);
    }
  });
  test('as big as its distance says, by hand: 1 m across, 10 m behind the glass looking straight', () => {
    const camera = { at: spot(0, 10, 1), look: rad(-90) };
    const [a, b] = shown(camera, [spot(0, 0, 1), spot(1, 0, 1), spot(1, 0, 2)]);
    expect(Math.abs(a.right - b.right)).toBeCloseTo(0.1, 9);
  });
  test('what is behind the glass is not drawn', () => {
    const camera = cameraOf(level, north, 'left');
    expect(shown(camera, [spot(0, 20), spot(1, 20), spot(1, 21)])).toEqual([]);
  });
  test('a crest hides the ramp until one is so near that the slope comes into sight', () => {
    const line = spot(0, -5, (-5 - crest.crest!.y) * crest.crest!.slope);
    const at = (y: number) => overCrest(crest, cameraOf(crest, { ...north, y }, 'left'), line);
    // One metre up and a slope of 14 %: 1 / 0.14 = 7.1 m from the edge.
    expect([at(9), at(2 + 7.2), at(2 + 1 / 0.14 - 1.7 - 0.3), at(3)]).toEqual([false, false, true, true]);
    expect(overCrest(level, cameraOf(level, north, 'left'), spot(0, -5))).toBe(true);
  });
});
