import type { Band } from '../numeric';
import { FOOT, KNOT, POUND_FORCE } from '../units';
import { AIR, windAtHeight, type Flow } from '../water';
import { LOADS, type Exposed } from './exposed';
import { HOLD } from './limits';

/** Where a line is made fast: forward of the stern, to port of the middle and over the lowest point of the hull, metres. */
export interface Fastening {
  x: number;
  y: number;
  z: number;
}

/** What comes at a boat that is held. Speeds m/s, directions degrees true: where wind comes from, where a stream goes to. */
export interface Comes {
  /** Mean and gust at ten metres. */
  wind?: Flow & { gust: number };
  stream?: Flow;
  /** Height of the waves, metres. */
  wave?: number;
}

/** A steady pull, by which of her it comes. */
export interface Steady {
  /** On the line, level, newtons. */
  force: number;
  /** Where her bow points, degrees true; absent where nothing turns her. */
  heading?: number;
  /** Across her, to port positive, newtons: of the air and of the water. */
  across: { air: number; water: number };
  /** Towards where she is pushed, degrees true: she lies there from her anchor. */
  towards?: number;
}

/** What a line has to hold, newtons. */
export interface Pull {
  steady: Band;
  /** With gusts on the line, sheering and waves. */
  load: Band;
  /** As she lies at the middle of it. */
  lies: Steady;
}

const RAD = Math.PI / 180,
  ROUND = 360;
/** A turn is looked through in steps of so many degrees, and each crossing halved so often. */
const STEP = 10,
  OFF = 1.7,
  HALVINGS = 12;
/** Boats sail to and fro at anchor: so many degrees to either side of where they would lie still. */
const SHEER = HOLD.limit('sheer') / RAD;

/** Areas to reckon with, m². */
interface Areas {
  airBow: number;
  airBeam: number;
  waterBow: number;
  waterBeam: number;
}
const areasAt = ({ air, water }: Exposed, end: 'low' | 'high'): Areas => ({
  airBow: air.bow[end],
  airBeam: air.beam[end],
  waterBow: water.bow[end],
  waterBeam: water.beam[end],
});
const middleOf = ({ air, water }: Exposed): Areas => ({
  airBow: (air.bow.low + air.bow.high) / 2,
  airBeam: (air.beam.low + air.beam.high) / 2,
  waterBow: (water.bow.low + water.bow.high) / 2,
  waterBeam: (water.beam.low + water.beam.high) / 2,
});

/** East and north parts of what blows and flows, m/s at the boat. */
interface Flows {
  wind: [east: number, north: number];
  stream: [east: number, north: number];
  density: number;
}

const parts = (speed: number, towards: number): [number, number] => [
  speed * Math.sin(towards * RAD),
  speed * Math.cos(towards * RAD),
];

const square = (v: number) => v * Math.abs(v);

/** Forces along and across a boat that points somewhere, by the cross-flow principle: each part of a flow pushes by its own square. */
function forces(heading: number, { wind, stream, density }: Flows, areas: Areas) {
  const [sin, cos] = [Math.sin(heading * RAD), Math.cos(heading * RAD)];
  const along = ([east, north]: readonly number[]) => east * sin + north * cos,
    across = ([east, north]: readonly number[]) => -east * cos + north * sin;
  const air = AIR / 2,
    water = density / 2;
  return {
    airX: air * areas.airBow * square(along(wind)),
    airY: air * areas.airBeam * square(across(wind)),
    waterX: water * areas.waterBow * square(along(stream)),
    waterY: water * areas.waterBeam * square(across(stream)),
  };
}

/** The headings that are looked at. Not from north: what balances exactly at a step would be seen at neither side of it. */
const LOOKS = Array.from({ length: ROUND / STEP + 1 }, (_, i) => {
  const heading = OFF + i * STEP;
  return { heading, sin: Math.sin(heading * RAD), cos: Math.cos(heading * RAD) };
});

/**
 * How a boat lies that is held at one point, and what that takes: she turns until the forces of wind and stream, at the middles of
 * what they push on, have no moment about her fastening. From the bow that is head to them; from the side it is beam-on, and from a
 * ring along the side something between. Of several ways to lie the one that pulls hardest is told.
 * Force ½ρ·C·A·v² of each (source `wind-force`). About 3 µs.
 */
function lies(exposed: Exposed, areas: Areas, flows: Flows, at: Fastening): Steady {
  const [[windEast, windNorth], [streamEast, streamNorth]] = [flows.wind, flows.stream];
  if (windEast === 0 && windNorth === 0 && streamEast === 0 && streamNorth === 0)
    return { force: 0, across: { air: 0, water: 0 } };
  const air = AIR / 2,
    water = flows.density / 2;
  // Moment of each force about her fastening, by its area and its lever.
  const airAlong = air * areas.airBow * at.y,
    airAcross = air * areas.airBeam * (exposed.air.x - at.x),
    waterAlong = water * areas.waterBow * at.y,
    waterAcross = water * areas.waterBeam * (exposed.water.x - at.x);
  const moment = (sin: number, cos: number): number =>
    airAlong * square(windEast * sin + windNorth * cos) +
    airAcross * square(windNorth * sin - windEast * cos) +
    waterAlong * square(streamEast * sin + streamNorth * cos) +
    waterAcross * square(streamNorth * sin - streamEast * cos);
  let best: Steady | undefined;
  let before = moment(LOOKS[0].sin, LOOKS[0].cos);
  for (let i = 1; i < LOOKS.length; i += 1) {
    const now = moment(LOOKS[i].sin, LOOKS[i].cos);
    // A turn to starboard that is turned back is one she stays at.
    if (before < 0 && now >= 0) {
      const found = steadyAt(crossing(moment, LOOKS[i - 1].heading, LOOKS[i].heading), flows, areas);
      if (!best || found.force > best.force) best = found;
    }
    before = now;
  }
  // Held at her very middle nothing turns her: she may lie as it is worst.
  return (
    best ??
    LOOKS.map(({ heading }) => steadyAt(heading, flows, areas)).reduce((worst, each) =>
      each.force > worst.force ? each : worst,
    )
  );
}

function crossing(moment: (sin: number, cos: number) => number, from: number, until: number): number {
  let [low, high] = [from, until];
  for (let i = 0; i < HALVINGS; i += 1) {
    const middle = (low + high) / 2;
    if (moment(Math.sin(middle * RAD), Math.cos(middle * RAD)) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

function steadyAt(heading: number, flows: Flows, areas: Areas): Steady {
  const { airX, airY, waterX, waterY } = forces(heading, flows, areas);
  const [x, y] = [airX + waterX, airY + waterY];
  const [sin, cos] = [Math.sin(heading * RAD), Math.cos(heading * RAD)];
  const east = x * sin - y * cos,
    north = x * cos + y * sin;
  return {
    force: Math.hypot(x, y),
    heading: (heading + ROUND) % ROUND,
    across: { air: airY, water: waterY },
    towards: (Math.atan2(east, north) / RAD + ROUND) % ROUND,
  };
}

const flowsOf = ({ wind, stream }: Comes, exposed: Exposed, gusts: boolean, density: number): Flows => ({
  wind: wind
    ? parts(windAtHeight(gusts ? wind.gust : wind.speed, exposed.height), wind.direction + ROUND / 2)
    : [0, 0],
  stream: stream ? parts(stream.speed, stream.direction) : [0, 0],
  density,
});

/**
 * By how much waves, sheering and gusts on a taut line raise a steady pull at most.
 * @param wave height in metres; unknown is the worst
 */
export function surge(wave: number | undefined): number {
  const rows = LOADS.surge.rows;
  const row = rows.find(({ upTo }) => upTo === undefined || (wave !== undefined && wave <= upTo));
  return (row ?? rows[rows.length - 1]).times;
}

/**
 * What the line of a boat has to hold. Its low end is the mean wind on the least she shows; its high end the gusts on the most, at
 * the worst of her sheering, and surge on top. What is not known of wind or stream counts for nothing here: who asks says so.
 * @param density of the water, kg/m³
 */
export function pullOn(exposed: Exposed, at: Fastening, comes: Comes, density: number): Pull {
  const mean = flowsOf(comes, exposed, false, density),
    gusts = flowsOf(comes, exposed, true, density);
  const least = lies(exposed, areasAt(exposed, 'low'), mean, at);
  const most = areasAt(exposed, 'high');
  const still = lies(exposed, most, gusts, at);
  const sheered =
    still.heading === undefined
      ? 0
      : Math.max(
          ...[-SHEER, SHEER].map((off) => steadyAt((still.heading as number) + off, gusts, most).force),
        );
  const steady = { low: least.force, high: Math.max(still.force, sheered) };
  return {
    steady,
    load: { low: steady.low, high: steady.high * surge(comes.wave) },
    lies: lies(exposed, middleOf(exposed), mean, at),
  };
}

/**
 * The pull for which builders make cleats and anchors of a boat of a length, in a mean wind: a table for 30 knots, by the square of
 * the wind (source `builders-loads`).
 * @returns newtons; undefined outside the table
 */
export function buildersLoad(length: number, wind: number): number | undefined {
  const { rows, wind: knots } = LOADS.builders;
  const feet = length / FOOT;
  const next = rows.findIndex(([long]) => long >= feet);
  if (next < 0 || (next === 0 && rows[0][0] > feet)) return undefined;
  const [b, a] = [rows[next], rows[Math.max(0, next - 1)]];
  const part = b[0] === a[0] ? 0 : (feet - a[0]) / (b[0] - a[0]);
  return (a[1] + part * (b[1] - a[1])) * POUND_FORCE * (wind / (knots * KNOT)) ** 2;
}
