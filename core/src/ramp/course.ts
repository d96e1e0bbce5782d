import type { Boat } from '../model';
import file from '../../data/ramp/driving.json';
import { drive, TOUCHES, trailerOf, type Hands, type Rig, type Stand } from './hitch';

// A place to back a trailer into, seen from above: y towards the land, x to the right of who looks at the water’s side from it
// with the car’s nose inland. Metres, seconds, radians. The courses, what is usual and what a fault costs are data of our own.

export interface Point {
  x: number;
  y: number;
}
export type Course = (typeof file.courses)[number];
export const COURSES: readonly Course[] = file.courses;
const { car: CAR, trailer: USUAL, score: COSTS } = file;

/** How a trailer with its boat stands out: from the ball back to her bow, to her stern, half her width. */
export interface Outline {
  bow: number;
  stern: number;
  half: number;
}

/** Of a boat on her trailer; what nobody measured is usual. */
export const outlineOf = (rig: Rig, boat: Pick<Boat, 'length' | 'beam'> = {}): Outline => ({
  bow: USUAL.bow,
  stern:
    boat.length === undefined ? rig.drawbar + USUAL.behind : Math.max(rig.drawbar, USUAL.bow + boat.length),
  half: boat.beam === undefined ? USUAL.half : boat.beam / 2,
});

/** What happened so far, and what is needed to see what happens next. */
export interface Attempt {
  stand: Stand;
  seconds: number;
  /** Backed in the lane, m, and the sum of how far off its middle, m². */
  laned: number;
  off: number;
  corrections: number;
  /** Times that it went forwards to begin again. */
  pulls: number;
  /** Times that something was touched, and that trailer and car were. */
  touched: number;
  jacks: number;
  state: 'driving' | 'in';
  /** Which way the wheel was last turned, and from where. */
  turning: -1 | 0 | 1;
  turnedAt: number;
  /** Metres gone forwards since one last backed; absent before one ever did. */
  ahead?: number;
  /** Which way it rolled into something; 0 once it has rolled the other way: one touch is counted once. */
  contact: -1 | 0 | 1;
  jacked: boolean;
}

const rad = (degrees: number) => (degrees * Math.PI) / 180;

export const begun = ({ start }: Course): Attempt => ({
  stand: { x: start.x, y: start.y, heading: rad(start.heading), hitch: 0, steer: 0, speed: 0 },
  seconds: 0,
  laned: 0,
  off: 0,
  corrections: 0,
  pulls: 0,
  touched: 0,
  jacks: 0,
  state: 'driving',
  turning: 0,
  turnedAt: 0,
  contact: 0,
  jacked: false,
});

/** A box of a length and a width, from `back` behind a point to `front` before it, along a heading. */
const boxAt = ({ x, y }: Point, heading: number, back: number, front: number, half: number): Point[] => {
  const [cos, sin] = [Math.cos(heading), Math.sin(heading)];
  return [
    [front, half],
    [front, -half],
    [back, -half],
    [back, half],
  ].map(([along, left]) => ({ x: x + along * cos - left * sin, y: y + along * sin + left * cos }));
};

/** The outlines of car and trailer, as corners in order. */
export function bodies(rig: Rig, outline: Outline, stand: Stand): { car: Point[]; trailer: Point[] } {
  const { heading, ball } = trailerOf(rig, stand);
  return {
    car: boxAt(stand, stand.heading, -Math.min(CAR.tail, rig.overhang), rig.wheelbase + CAR.nose, CAR.half),
    trailer: boxAt(ball, heading, -outline.stern, -outline.bow, outline.half),
  };
}

/** Corners of what stands on a course. */
export const solidsOf = ({ solids }: Course): Point[][] =>
  solids.map(({ x, y, wide, long }) => boxAt({ x, y }, Math.PI / 2, -long / 2, long / 2, wide / 2));

/** Do two outlines without dents overlap? Not where a line along an edge of one parts them. */
export function overlap(a: readonly Point[], b: readonly Point[]): boolean {
  const parts = (one: readonly Point[]) =>
    one.some((p, i) => {
      const q = one[(i + 1) % one.length];
      const across = ({ x, y }: Point) => (x - p.x) * (q.y - p.y) - (y - p.y) * (q.x - p.x);
      const [ours, theirs] = [a.map(across), b.map(across)];
      return Math.max(...ours) < Math.min(...theirs) || Math.max(...theirs) < Math.min(...ours);
    });
  return !parts(a) && !parts(b);
}

const touches = (course: Course, { car, trailer }: ReturnType<typeof bodies>): boolean =>
  [...solidsOf(course), ...course.cones.map((cone) => [cone, cone])].some(
    (thing) => overlap(car, thing) || overlap(trailer, thing),
  );

/** The wheel turned back the other way, after it was turned by enough to count. */
function wheelTurned(before: Attempt, steer: number, rig: Rig): Partial<Attempt> {
  const way = Math.sign(steer - before.stand.steer) as -1 | 0 | 1;
  if (way === 0 || way === before.turning) return {};
  const turned = Math.abs(before.stand.steer - before.turnedAt) / rig.lock;
  const counts = before.turning !== 0 && turned >= COSTS.counts;
  return {
    turning: way,
    turnedAt: before.stand.steer,
    ...(counts ? { corrections: before.corrections + 1 } : {}),
  };
}

/** Forwards after backing; what is rolled forwards before one ever backed is finding one’s place. */
function pulledForwards({ ahead, pulls }: Attempt, speed: number, dt: number): Partial<Attempt> {
  if (speed < 0) return { ahead: 0 };
  if (ahead === undefined || speed === 0) return {};
  const now = ahead + speed * dt;
  return { ahead: now, pulls: ahead < COSTS.moved && now >= COSTS.moved ? pulls + 1 : pulls };
}

/**
 * A moment later on a course. What would drive into something stands still and is counted once; whoever stands with the
 * trailer’s axle past the line, straight and inside the lane, is in.
 * @param dt s, the same all through a run
 */
export function attempt(
  course: Course,
  rig: Rig,
  outline: Outline,
  now: Attempt,
  hands: Hands,
  dt: number,
): Attempt {
  if (now.state === 'in') return now;
  const moved = drive(rig, now.stand, hands, dt);
  const way = Math.sign(moved.speed) as -1 | 0 | 1;
  const hit = touches(course, bodies(rig, outline, moved));
  const jacked = Math.abs(moved.hitch - now.stand.hitch) < Number.EPSILON && folds(now.stand, hands);
  const stand = hit ? { ...now.stand, steer: moved.steer, speed: 0 } : moved;
  const { axle, heading } = trailerOf(rig, stand);
  const went = Math.max(0, -stand.speed * dt);
  const inLane = axle.y <= course.lane.from && went > 0 ? went : 0;
  const straight = Math.abs(Math.atan2(Math.cos(heading), Math.sin(heading))) <= rad(COSTS.straight);
  const inside = Math.abs(axle.x) <= course.lane.half && axle.y <= course.goal;
  return {
    ...now,
    ...wheelTurned(now, stand.steer, rig),
    ...pulledForwards(now, stand.speed, dt),
    stand,
    seconds: now.seconds + dt,
    laned: now.laned + inLane,
    off: now.off + inLane * Math.abs(axle.x),
    touched: now.touched + (hit && way !== now.contact ? 1 : 0),
    contact: hit ? way : way === -now.contact ? 0 : now.contact,
    jacks: now.jacks + (jacked && !now.jacked ? 1 : 0),
    jacked,
    state: inside && straight && hands.pedal === 0 && stand.speed === 0 ? 'in' : 'driving',
  };
}

/** Does it stand folded, with a foot that would fold it further? */
const folds = ({ hitch }: Stand, { pedal }: Hands) => pedal < 0 && Math.abs(hitch) > TOUCHES - rad(1);

/** How a run is judged: out of a hundred, and what each thing took off. */
export interface Score {
  points: number;
  /** How far off the lane’s middle on average, m; absent where nobody backed in it. */
  off?: number;
  lost: Record<'lane' | 'corrections' | 'pulls' | 'time' | 'touched' | 'jacks', number>;
}

/** The price of each fault is our own; a run that ends better in all ways never has fewer points. */
export function scoreOf(course: Course, outline: Outline, run: Attempt): Score {
  const off = run.laned > 0 ? run.off / run.laned : undefined;
  const room = Math.max(0.1, course.lane.half - Math.min(outline.half, course.lane.half - 0.1));
  const over = (value: number, par: number) => Math.max(0, value - par);
  const lost = {
    lane: COSTS.lane * Math.min(1, (off ?? course.lane.half) / (2 * room)),
    corrections: COSTS.correction * over(run.corrections, course.par.corrections),
    pulls: COSTS.pull * over(run.pulls, course.par.pulls),
    time: COSTS.slow * over(run.seconds, course.par.seconds),
    touched: COSTS.touch * run.touched,
    jacks: COSTS.jack * run.jacks,
  };
  const sum = Object.values(lost).reduce((all, each) => all + each, 0);
  return { points: Math.max(0, Math.round(100 - sum)), ...(off === undefined ? {} : { off }), lost };
}
