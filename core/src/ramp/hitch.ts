import { rk4 } from '../numeric';
import type { Boat } from '../model';
import { guessed } from '../verdict';
import file from '../../data/ramp/driving.json';

// A car and her trailer on level ground, slow enough that no wheel slips: each axle rolls along itself. Metres, seconds, radians,
// angles counter-clockwise. The hitch angle is the car’s heading less the trailer’s (source `hitch-kinematics`).

/** What a car and a trailer are, in lengths. */
export interface Rig {
  /** From axle to axle of the car. */
  wheelbase: number;
  /** From the car’s rear axle back to the ball. */
  overhang: number;
  /** From the ball to the trailer’s axle. */
  drawbar: number;
  /** How far the front wheels turn, as one wheel in the middle. */
  lock: number;
}

/** Where they stand and what they do: the middle of the car’s rear axle, headings, wheels, speed (backwards below 0). */
export interface Stand {
  x: number;
  y: number;
  heading: number;
  hitch: number;
  /** Of the front wheels, to the left above 0. */
  steer: number;
  speed: number;
}

/** What a driver does: the wheel from full left −1 to full right 1, and which way the car is let roll. */
export interface Hands {
  wheel: number;
  pedal: -1 | 0 | 1;
}

const { car: CAR, pace: PACE } = file;
/** The hitch angle at which trailer and car touch, radians. */
export const TOUCHES = (CAR.touches * Math.PI) / 180;

/**
 * How far one wheel in the middle turns at full lock, from the turning circle of the outer front wheel.
 * @param circle from kerb to kerb, over twice the wheelbase
 * @throws RangeError for a circle in which no car of that length turns
 */
export function lockOf(circle: number, wheelbase: number): number {
  if (!(circle > 2 * wheelbase + CAR.track))
    throw new RangeError(`no car of ${wheelbase} m turns in ${circle} m`);
  return Math.atan(wheelbase / (Math.sqrt((circle / 2) ** 2 - wheelbase ** 2) - CAR.track / 2));
}

/** Which lengths were nobody’s own. */
export type TakenLength = 'wheelbase' | 'overhang' | 'drawbar' | 'circle';
type Lengths = Pick<NonNullable<Boat['trailer']>, TakenLength>;

const LENGTHS: readonly TakenLength[] = ['drawbar', 'wheelbase', 'overhang', 'circle'];

/**
 * One’s own car and trailer; a length that nobody measured is a usual one or a guess, and is named as taken.
 * @param tried lengths that go before what is known of the boat
 * @returns no rig where a turning circle and a wheelbase can’t belong together
 */
export function rigFrom(
  boat: Pick<Boat, 'trailer' | 'basis'> = {},
  tried: Lengths = {},
): { rig?: Rig; taken: TakenLength[]; lengths: Record<TakenLength, number> } {
  const own = (name: TakenLength) => boat.trailer?.[name];
  const taken = LENGTHS.filter(
    (name) => tried[name] === undefined && (own(name) === undefined || guessed(boat, `/trailer/${name}`)),
  );
  const of = (name: TakenLength) => tried[name] ?? own(name) ?? CAR[name];
  const lengths = {
    drawbar: of('drawbar'),
    wheelbase: of('wheelbase'),
    overhang: of('overhang'),
    circle: of('circle'),
  };
  const { wheelbase, circle, overhang, drawbar } = lengths;
  if (!(circle > 2 * wheelbase + CAR.track)) return { taken, lengths };
  return { rig: { wheelbase, overhang, drawbar, lock: lockOf(circle, wheelbase) }, taken, lengths };
}

/** By how much the car turns for each metre it rolls, 1/m. */
const curvature = (rig: Rig, steer: number) => Math.tan(steer) / rig.wheelbase;

/** How fast the hitch angle changes, rad/s, at a speed that is negative backwards. */
export function hitchRate(rig: Rig, hitch: number, steer: number, speed: number): number {
  const turning = speed * curvature(rig, steer);
  return turning - (speed * Math.sin(hitch) - rig.overhang * turning * Math.cos(hitch)) / rig.drawbar;
}

/**
 * A moment later: wheel and speed follow the hands as fast as arms and brakes do, the car rolls along its arc, the trailer
 * follows. Held at the angle at which both touch: from there only forwards leads out.
 * @param dt s, above 0 and short beside a second
 */
export function drive(rig: Rig, now: Stand, hands: Hands, dt: number): Stand {
  const steer = towards(now.steer, -clamp(hands.wheel, 1) * rig.lock, PACE.arms * rig.lock * dt);
  const wanted = hands.pedal > 0 ? PACE.ahead : hands.pedal < 0 ? -PACE.back : 0;
  const speed = towards(now.speed, wanted, PACE.gains * dt);
  const bend = curvature(rig, steer);
  const run = speed * dt;
  const hitch = rk4((_, angle) => hitchRate(rig, angle, steer, speed), 0, now.hitch, dt);
  if (Math.abs(hitch) >= TOUCHES && Math.abs(hitch) > Math.abs(now.hitch)) return { ...now, steer, speed: 0 };
  const middle = now.heading + (bend * run) / 2;
  // The chord of an arc lies along its middle heading.
  const chord = bend === 0 ? run : (2 * Math.sin((bend * run) / 2)) / bend;
  return {
    x: now.x + chord * Math.cos(middle),
    y: now.y + chord * Math.sin(middle),
    heading: now.heading + bend * run,
    hitch,
    steer,
    speed,
  };
}

const clamp = (value: number, most: number) => Math.max(-most, Math.min(most, value));
const towards = (from: number, to: number, by: number) => from + clamp(to - from, by);

/**
 * The hitch angle that a steady turn keeps: sin φ − c·k·cos φ = drawbar·k, with k = tan δ / wheelbase.
 * @returns undefined where the trailer is too long, or the turn too tight, for any
 */
export function steadyHitch(rig: Rig, steer: number): number | undefined {
  const k = curvature(rig, steer);
  const ratio = (rig.drawbar * k) / Math.hypot(1, rig.overhang * k);
  return Math.abs(ratio) > 1 ? undefined : Math.asin(ratio) + Math.atan(rig.overhang * k);
}

/** Beyond this angle no wheel brings the trailer back while one backs: full lock only holds it. Undefined: every angle comes back. */
export const pointOfNoReturn = (rig: Rig): number | undefined => steadyHitch(rig, rig.lock);

/**
 * A trailer that is not straight, while the car backs straight: tan(φ/2) grows with e^(s/drawbar).
 * @param metres backed, 0 or more
 */
export const folded = (hitch: number, metres: number, drawbar: number): number =>
  2 * Math.atan(Math.tan(hitch / 2) * Math.exp(metres / drawbar));

/** Where ball and axle of the trailer are. */
export function trailerOf(rig: Rig, stand: Stand) {
  const heading = stand.heading - stand.hitch;
  const ball = {
    x: stand.x - rig.overhang * Math.cos(stand.heading),
    y: stand.y - rig.overhang * Math.sin(stand.heading),
  };
  const axle = {
    x: ball.x - rig.drawbar * Math.cos(heading),
    y: ball.y - rig.drawbar * Math.sin(heading),
  };
  return { heading, ball, axle };
}
