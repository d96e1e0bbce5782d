import {
  bodies,
  cameraOf,
  GLASS,
  groundAt,
  overCrest,
  shown,
  solidsOf,
  trailerOf,
  type Point,
  type Side,
  type Spot,
} from '@escale/core/ramp/reversing';
import type { Palette } from '../../ui/tokens';
import type { Scene } from './drive-above';
import type { Paint } from './easel';

/** Fills outlines in the picture of one mirror, which hangs at a spot. */
interface Glass {
  fill: (spots: readonly Spot[], colour: string, edge?: string) => void;
  at: Spot;
}
/** Between the two glasses, px; how wide a painted line is and how long its pieces are, m; heights of what stands, m. */
const GAP = 10,
  LINE = { wide: 0.14, piece: 1 },
  TALL = { rig: 1.7, dock: 0.7, cone: 0.7, car: 1.4, deck: 1.5, keel: 0.55 };

/** Left and right mirror side by side, as the driver sees them. */
export function paintMirrors(p: Palette, scene: () => Scene): Paint {
  return (g, width, height) => {
    const wide = (width - GAP) / 2;
    (['left', 'right'] as const).forEach((side, i) => {
      g.save();
      g.translate(i * (wide + GAP), 0);
      g.beginPath();
      g.roundRect(0, 0, wide, height, 14);
      g.clip();
      glass(g, p, scene(), side, wide, height);
      g.restore();
      g.strokeStyle = p.ink;
      g.lineWidth = 3;
      g.beginPath();
      g.roundRect(i * (wide + GAP) + 1.5, 1.5, wide - 3, height - 3, 14);
      g.stroke();
    });
  };
}

function glass(
  g: CanvasRenderingContext2D,
  p: Palette,
  scene: Scene,
  side: Side,
  wide: number,
  height: number,
) {
  const { course, rig, outline, run } = scene;
  const camera = cameraOf(course, run.stand, side);
  const scale = Math.min(wide / (2 * GLASS.across), height / (2 * GLASS.up)) * 1.02;
  const fill = (spots: readonly Spot[], colour: string, edge?: string) => {
    const seen = shown(camera, spots);
    if (seen.length < 3) return;
    g.beginPath();
    for (const { right, up } of seen) g.lineTo(wide / 2 + right * scale, height / 2 - up * scale);
    g.closePath();
    g.fillStyle = colour;
    g.fill();
    if (edge) {
      g.strokeStyle = edge;
      g.lineWidth = 1.5;
      g.stroke();
    }
  };
  const on: Glass = { fill, at: camera.at };
  const onGround = ({ x, y }: Point): Spot => ({ x, y, z: groundAt(course, { x, y }) });
  const ground = (corners: readonly Point[], colour: string) => {
    const spots = corners.map(onGround);
    if (spots.every((spot) => overCrest(course, camera, spot))) fill(spots, colour);
  };
  g.fillStyle = p.skyDay;
  g.fillRect(0, 0, wide, height);
  // The level ground ends at the horizon, or at the crest beyond which it falls.
  g.fillStyle = p.land;
  const horizon = height / 2 - GLASS.down * scale;
  g.fillRect(0, horizon, wide, height - horizon);
  if (course.water !== undefined) {
    const far = 60;
    for (let y = course.water; y > course.water - far; y -= 10) ground(strip(-far, far, y, y - 10), p.water3);
  }
  for (const x of [-course.lane.half, course.lane.half])
    for (let y = course.lane.from; y > course.lane.until; y -= LINE.piece)
      ground(strip(x - LINE.wide / 2, x + LINE.wide / 2, y, y - LINE.piece), p.soft);
  ground(strip(-course.lane.half, course.lane.half, course.goal + 0.1, course.goal - 0.1), p.ink);
  for (const { x, y } of course.cones)
    prism(on, strip(x - 0.2, x + 0.2, y + 0.2, y - 0.2).map(onGround), TALL.cone, p.ink, p.ink);
  solidsOf(course).forEach((corners, i) => {
    const spots = corners.map(onGround);
    if (spots.some((spot) => overCrest(course, camera, { ...spot, z: spot.z + 0.7 })))
      prism(on, spots, TALL[course.solids[i].what as 'dock' | 'rig'], p.water2, p.ink);
  });
  const { trailer, car } = bodies(rig, outline, run.stand);
  const { axle } = trailerOf(rig, run.stand);
  const lift = groundAt(course, axle) + TALL.keel;
  prism(
    on,
    trailer.map(({ x, y }) => ({ x, y, z: lift })),
    TALL.deck - TALL.keel,
    p.raised,
    p.ink,
  );
  const stands = groundAt(course, run.stand);
  prism(
    on,
    car.map(({ x, y }) => ({ x, y, z: stands })),
    TALL.car,
    p.paper,
    p.ink,
  );
}

const strip = (left: number, right: number, near: number, far: number): Point[] => [
  { x: left, y: near },
  { x: right, y: near },
  { x: right, y: far },
  { x: left, y: far },
];

/** What stands on an outline: its sides, the furthest first, and its top. */
function prism({ fill, at }: Glass, foot: readonly Spot[], tall: number, colour: string, edge: string): void {
  const away = ([a, b]: readonly Spot[]) => Math.hypot((a.x + b.x) / 2 - at.x, (a.y + b.y) / 2 - at.y);
  const raised = (spot: Spot) => ({ ...spot, z: spot.z + tall });
  const sides = foot.map((spot, i) => [spot, foot[(i + 1) % foot.length]] as const);
  for (const [a, b] of [...sides].sort((one, other) => away(other) - away(one)))
    fill([a, b, raised(b), raised(a)], colour, edge);
  if (at.z > foot[0].z + tall) fill(foot.map(raised), colour, edge);
}
