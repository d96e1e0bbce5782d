import file from '../../data/hold/anchoring.json';
import { KNOT } from '../units';
import { holding, ratioOf } from './anchor';
import { leewayOf } from './drift';
import { outOf } from './find-holds';
import { fasteningOf, heightOver, type From, type Lying, type Tackle } from './held';
import { leadOf, type Rode } from './line';
import { heap, pulledOver } from './over';
import { pullOn, type Comes, type Pull } from './pull';

// Anchoring, moment by moment, with the sums of this room: she goes to where the forces would have her lie, no faster than she
// drifts; the anchor bites as it is drawn level, and comes out when it is drawn up or turned. Where a sum is a band, one value of it
// holds for a whole run, drawn by a seed. Metres east and north, seconds, newtons, degrees true.

export type Scene = (typeof file.scenes)[number];
export const SCENES: readonly Scene[] = file.scenes;
const { dug: DUG, score: COSTS } = file;
const RAD = Math.PI / 180;
const MINUTE = 60;

export interface At {
  x: number;
  y: number;
}

/** Where in its band each thing lies in this run, from 0 to 1. */
export interface DrawnHold {
  hold: number;
  pull: number;
  gusts: readonly number[];
}

/** Who anchors, with what, where. */
export interface Anchoring {
  scene: Scene;
  lying: Lying;
  /** With all the line there is. */
  tackle: Tackle & { rode: Rode };
  drawn: DrawnHold;
}

/** What a hand does: lets out, holds or hauls in; motor or paddle astern; where the line is made fast; how much faster time goes by. */
export interface LineHands {
  pay: -1 | 0 | 1;
  back: boolean;
  from: From;
  pace: number;
}

export interface Anchored {
  seconds: number;
  /** Where she is made fast. */
  boat: At;
  /** Where her bow points. */
  heading: number;
  /** Where the anchor lies; absent while it hangs or is aboard. */
  anchor?: At;
  out: number;
  /** How far it dug in, 0 to 1, and drawn which way. */
  dug: number;
  towards?: number;
  /** Over the ground since it first lay there, and how often it was turned or drawn out. */
  dragged: number;
  outs: number;
  /** On the anchor now, and what it holds there. */
  load: number;
  hold: number;
  drags: boolean;
  /** How near she came to what is near, m. */
  nearest: number;
  /** When it was last looked at how she lies across it, s. */
  looked: number;
  heel?: number;
  /** What pulled on her when it was last reckoned, and when: gusts do not change from one step to the next. */
  pulled?: { at: number; from: From; pull: Pull };
  state: 'lying' | 'over' | 'ashore' | 'stayed';
}

export const arrived = (): Anchored => ({
  seconds: 0,
  boat: { x: 0, y: 0 },
  heading: 0,
  out: 0,
  dug: 0,
  dragged: 0,
  outs: 0,
  load: 0,
  hold: 0,
  drags: false,
  nearest: Infinity,
  looked: -Infinity,
  state: 'lying',
});

const within = ({ low, high }: { low: number; high: number }, at: number) => low + at * (high - low);
const ahead = (from: At, towards: number, metres: number): At => ({
  x: from.x + metres * Math.sin(towards * RAD),
  y: from.y + metres * Math.cos(towards * RAD),
});
const apart = (a: At, b: At) => Math.hypot(a.x - b.x, a.y - b.y);
const bearing = (from: At, to: At) => Math.atan2(to.x - from.x, to.y - from.y) / RAD;
/** How far two directions differ, 0 to 180. */
const turned = (a: number, b: number) => Math.abs(((((a - b) % 360) + 540) % 360) - 180);

/** Wind with the gust of this very moment, and stream: out of the scene, and of the seed. */
export function comesNow({ wind, stream, wave }: Scene, drawn: DrawnHold, seconds: number): Required<Comes> {
  const minute = seconds / MINUTE;
  const next = wind.findIndex((row) => row.minute >= minute);
  const b = wind[next < 0 ? wind.length - 1 : next];
  const a = wind[Math.max(0, (next < 0 ? wind.length : next) - 1)];
  const part = b.minute === a.minute ? 0 : Math.min(1, (minute - a.minute) / (b.minute - a.minute));
  const mix = (of: 'speed' | 'gust' | 'from') => a[of] + part * (b[of] - a[of]);
  const { periods } = file.gusts;
  const waves = periods.map((period, i) => Math.sin(2 * Math.PI * (seconds / period + drawn.gusts[i])));
  const gusty = Math.max(0, waves.reduce((sum, each) => sum + each, 0) / periods.length);
  const blows = (mix('speed') + gusty * (mix('gust') - mix('speed'))) * KNOT;
  // From one turn to the next and back: half a wave in its minutes.
  const flows = stream.speed * Math.cos((Math.PI * minute) / stream.minutes) * KNOT;
  return {
    wind: { speed: blows, gust: blows, direction: mix('from') },
    stream: { speed: Math.abs(flows), direction: flows < 0 ? (stream.sets + 180) % 360 : stream.sets },
    wave,
  };
}

/** How fast she drifts, held by nothing, m/s east and north. */
function drifts({ lying }: Anchoring, { wind, stream }: Required<Comes>): At {
  const blown = leewayOf(lying.boat.kind, 'afloat').speed(wind.speed).middle;
  return ahead(ahead({ x: 0, y: 0 }, wind.direction + 180, blown), stream.direction, stream.speed);
}

/** What of the hold is left where it dug in so far. */
const bites = (dug: number) => DUG.first + (1 - DUG.first) * dug;

/**
 * A moment later.
 * @param dt s, before the hands’ own pace
 */
export function anchoring(task: Anchoring, now: Anchored, hands: LineHands, dt: number): Anchored {
  if (now.state !== 'lying') return now;
  const { scene, lying, tackle, drawn } = task;
  const time = dt * hands.pace;
  const seconds = now.seconds + time;
  const comes = comesNow(scene, drawn, seconds);
  const fast = fasteningOf(lying, hands.from);
  const height = heightOver(lying, fast, scene.depth);
  const all = tackle.rode.line + tackle.rode.chain;
  const out = Math.min(all, Math.max(0, now.out + hands.pay * file.pays * time));
  const before = now.pulled;
  const pulled =
    before && before.from === hands.from && seconds - before.at < file.pulls
      ? before
      : { at: seconds, from: hands.from, pull: pullOn(lying.exposed, fast, comes, lying.density) };
  const { pull } = pulled;
  const free = drifts(task, comes);
  const drifted = { x: now.boat.x + free.x * time, y: now.boat.y + free.y * time };
  const lies = {
    seconds,
    out,
    pulled,
    heading: pull.lies.heading ?? now.heading,
  };
  if (out <= height) {
    const { anchor: _, towards: __, ...rest } = now;
    return ended(task, { ...rest, ...lies, boat: drifted, dug: 0, load: 0, hold: 0, drags: false });
  }
  const anchor = now.anchor ?? now.boat;
  const rode = outOf(tackle.rode, out);
  const astern = hands.back ? file.astern.force : 0;
  const force = within(pull.load, drawn.pull) + astern;
  const way = pull.lies.towards ?? bearing(anchor, now.boat);
  const lead = leadOf(rode, height, force);
  const lain = ahead(anchor, way, lead?.reach ?? Math.sqrt(Math.max(0, out * out - height * height)));
  const speed = Math.hypot(free.x, free.y) + (hands.back ? file.astern.speed : 0);
  const boat = moved(now.boat, lain, Math.min(speed * time, (apart(now.boat, lain) * time) / file.settles));
  // The line takes up its load over the last part of the way.
  const slack = apart(boat, lain) / Math.max(file.takesUp.least, (lead?.reach ?? 0) * file.takesUp.share);
  const load = force * Math.max(0, 1 - slack);
  const { ground, hold, drags } = bitten(task, { ...now, anchor }, boat, rode, height, load, speed * time);
  return ended(
    task,
    lookedAt(
      task,
      { ...now, ...lies, ...ground, boat, load, hold, drags },
      { pull, stream: comes.stream.speed, from: hands.from, down: lead?.boat ?? 0 },
    ),
  );
}

const moved = (from: At, to: At, metres: number): At => {
  const far = apart(from, to);
  return far === 0
    ? from
    : { x: from.x + ((to.x - from.x) * metres) / far, y: from.y + ((to.y - from.y) * metres) / far };
};

/** How the anchor stands the load: dug in or out, and how far it goes. */
function bitten(
  { scene, tackle, drawn }: Anchoring,
  now: Anchored & { anchor: At },
  boat: At,
  rode: Rode,
  height: number,
  load: number,
  most: number,
) {
  const angle = leadOf(rode, height, load)?.anchor ?? Math.PI / 2;
  const towards = bearing(now.anchor, boat);
  const full = within(holding(tackle.anchor, scene.seabed as Tackle['seabed'], angle), drawn.hold);
  const digs = ratioOf(tackle.anchor.kind, scene.seabed as Tackle['seabed']) !== undefined;
  // Drawn round it comes out, unless it is one that only weighs.
  const out =
    digs &&
    now.dug > 0 &&
    now.towards !== undefined &&
    turned(towards, now.towards) > DUG.turns &&
    load > DUG.load * full * bites(now.dug);
  const dugNow = out ? 0 : now.dug;
  const hold = full * (digs ? bites(dugNow) : 1);
  const drags = load > hold;
  const went = drags ? most * (1 - hold / load) : 0;
  const level = angle / RAD <= DUG.level;
  const lifted = angle / RAD > DUG.lifts;
  const dug = Math.min(1, Math.max(0, dugNow + (level ? went : lifted ? -went : 0) / DUG.within));
  const anchor = moved(now.anchor, boat, Math.min(went, apart(now.anchor, boat)));
  return {
    hold,
    drags,
    ground: {
      anchor,
      dug,
      ...(dug > 0 ? { towards: now.towards === undefined || out || went > 0 ? towards : now.towards } : {}),
      // What it takes to dig in is not dragging.
      dragged: now.dragged + (level && dugNow < 1 ? 0 : went),
      outs: now.outs + (out ? 1 : 0),
    },
  };
}

/**
 * Every few seconds, while she is fast to the side: how far the line heels her with what it bears, which is no more than the anchor
 * holds, and whether water comes over her edge.
 */
function lookedAt(
  { lying }: Anchoring,
  now: Anchored,
  { pull, stream, from, down }: { pull: Pull; stream: number; from: From; down: number },
): Anchored {
  const { heel: before, ...rest } = now;
  if (from !== 'side') return rest;
  if (now.seconds - now.looked < file.looks) return before === undefined ? rest : now;
  const bears = Math.min(now.load, now.hold);
  const load = { low: bears, high: bears };
  const { most } = pulledOver(lying, fasteningOf(lying, from), { ...pull, load }, down);
  const over = most === undefined || most.free.lowest <= heap(stream);
  return {
    ...rest,
    looked: now.seconds,
    ...(most ? { heel: most.heel } : {}),
    ...(over ? { state: 'over' as const } : {}),
  };
}

/** What is near, and whether it was long enough. */
function ended({ scene, lying }: Anchoring, now: Anchored): Anchored {
  const clear = Math.min(
    ...scene.near.map((each) => apart(each, now.boat) - each.radius - lying.hull.length / 2),
  );
  const nearest = Math.min(now.nearest, clear);
  if (now.state !== 'lying') return { ...now, nearest };
  if (clear <= 0) return { ...now, nearest, state: 'ashore' };
  return { ...now, nearest, ...(now.seconds >= scene.minutes * MINUTE ? { state: 'stayed' as const } : {}) };
}

/** How a run is judged; the prices are our own. Who came ashore or went over has learnt most and is told so. */
export function anchorScore(now: Anchored) {
  const lost = {
    dragged: COSTS.dragged * now.dragged,
    outs: COSTS.out * now.outs,
    near: now.nearest < COSTS.close ? COSTS.near : 0,
    ended: now.state === 'stayed' ? 0 : COSTS.ended,
    aboard: now.state === 'stayed' && now.anchor === undefined ? COSTS.ended : 0,
  };
  const sum = Object.values(lost).reduce((all, each) => all + each, 0);
  return { points: Math.max(0, Math.round(100 - sum)), lost };
}
