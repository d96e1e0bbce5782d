import {
  bodies,
  solidsOf,
  trailerOf,
  type Attempt,
  type Course,
  type Outline,
  type Point,
  type Rig,
} from '@escale/core/ramp/reversing';
import type { Palette } from '../../ui/tokens';
import type { Paint } from './easel';

/** Ground that is shown around the course and the rig, m. */
const ROUND = 2;
/** Half of an axle, a wheel’s length and width, m. */
const AXLE = 0.75,
  WHEEL = { long: 0.65, wide: 0.24 },
  CONE = 0.22;

/** What is painted of a run. */
export interface Scene {
  course: Course;
  rig: Rig;
  outline: Outline;
  run: Attempt;
}

/** Car and trailer from above, the land at the top, to scale. */
export function paintAbove(p: Palette, scene: () => Scene): Paint {
  return (g, width, height) => {
    const { course, rig, outline, run } = scene();
    const { car, trailer } = bodies(rig, outline, run.stand);
    const marks: Point[] = [
      { x: -course.lane.half, y: course.lane.until },
      { x: course.lane.half, y: course.lane.from },
      course.start,
      ...course.cones,
      ...solidsOf(course).flat(),
      ...car,
      ...trailer,
    ];
    const [left, right] = ends(marks.map((m) => m.x));
    const [low, high] = ends(marks.map((m) => m.y));
    const scale = Math.min(width / (right - left), height / (high - low));
    const at = ({ x, y }: Point): [number, number] => [
      width / 2 + (x - (left + right) / 2) * scale,
      height / 2 - (y - (low + high) / 2) * scale,
    ];
    const path = (corners: readonly Point[], close = true) => {
      g.beginPath();
      for (const corner of corners) g.lineTo(...at(corner));
      if (close) g.closePath();
    };
    g.lineJoin = 'round';
    g.fillStyle = p.raised;
    g.fillRect(0, 0, width, height);
    if (course.water !== undefined) {
      g.fillStyle = p.water3;
      const top = at({ x: 0, y: course.water })[1];
      g.fillRect(0, top, width, height - top);
    }
    if (course.crest) {
      g.strokeStyle = p.line;
      g.lineWidth = 4;
      path(
        [
          { x: left, y: course.crest.y },
          { x: right, y: course.crest.y },
        ],
        false,
      );
      g.stroke();
    }
    g.strokeStyle = p.soft;
    g.lineWidth = 1.5;
    for (const side of [-1, 1]) {
      path(
        [
          { x: side * course.lane.half, y: course.lane.from },
          { x: side * course.lane.half, y: course.lane.until },
        ],
        false,
      );
      g.stroke();
    }
    g.setLineDash([6, 5]);
    g.strokeStyle = p.ink;
    path(
      [
        { x: -course.lane.half, y: course.goal },
        { x: course.lane.half, y: course.goal },
      ],
      false,
    );
    g.stroke();
    g.setLineDash([]);
    g.fillStyle = p.water2;
    g.strokeStyle = p.ink;
    for (const solid of solidsOf(course)) {
      path(solid);
      g.fill();
      g.stroke();
    }
    g.fillStyle = p.ink;
    for (const cone of course.cones) {
      g.beginPath();
      g.arc(...at(cone), Math.max(4, CONE * scale), 0, 2 * Math.PI);
      g.fill();
    }
    rigOn(g, p, scene(), at, path, scale);
  };
}

const ends = (values: number[]): [number, number] => [
  Math.min(...values) - ROUND,
  Math.max(...values) + ROUND,
];

function rigOn(
  g: CanvasRenderingContext2D,
  p: Palette,
  { rig, outline, run: { stand } }: Scene,
  at: (point: Point) => [number, number],
  path: (corners: readonly Point[], close?: boolean) => void,
  scale: number,
): void {
  const { car } = bodies(rig, outline, stand);
  const { ball, axle, heading } = trailerOf(rig, stand);
  const wheel = (x: number, y: number, turned: number) => {
    g.save();
    g.translate(...at({ x, y }));
    g.rotate(-turned);
    g.fillStyle = p.ink;
    g.fillRect((-WHEEL.long / 2) * scale, (-WHEEL.wide / 2) * scale, WHEEL.long * scale, WHEEL.wide * scale);
    g.restore();
  };
  const pair = (middle: Point, along: number, turned: number) => {
    for (const side of [-AXLE, AXLE])
      wheel(middle.x - side * Math.sin(along), middle.y + side * Math.cos(along), turned);
  };
  const from = (point: Point, along: number, metres: number, aside = 0): Point => ({
    x: point.x + metres * Math.cos(along) - aside * Math.sin(along),
    y: point.y + metres * Math.sin(along) + aside * Math.cos(along),
  });
  pair(axle, heading, heading);
  const back = heading + Math.PI;
  g.strokeStyle = p.ink;
  g.lineWidth = 3;
  path([ball, axle], false);
  g.stroke();
  // Her bow is towards the car; she is as broad as her outline says.
  const length = outline.stern - outline.bow;
  const hull = [
    from(ball, back, outline.bow),
    from(ball, back, outline.bow + length * 0.14, outline.half * 0.6),
    from(ball, back, outline.bow + length * 0.34, outline.half),
    from(ball, back, outline.stern, outline.half * 0.92),
    from(ball, back, outline.stern, -outline.half * 0.92),
    from(ball, back, outline.bow + length * 0.34, -outline.half),
    from(ball, back, outline.bow + length * 0.14, -outline.half * 0.6),
  ];
  g.fillStyle = p.water2;
  g.lineWidth = 2;
  path(hull);
  g.fill();
  g.stroke();
  g.fillStyle = p.paper;
  path(car);
  g.fill();
  g.stroke();
  pair(stand, stand.heading, stand.heading);
  pair(from(stand, stand.heading, rig.wheelbase), stand.heading, stand.heading + stand.steer);
  // Her windows: the front is where they are drawn.
  g.lineWidth = 1.5;
  path(
    [
      from(stand, stand.heading, rig.wheelbase * 0.72, 0.7),
      from(stand, stand.heading, rig.wheelbase * 0.72, -0.7),
    ],
    false,
  );
  g.stroke();
  path(
    [
      from(stand, stand.heading, rig.wheelbase + 0.75, 0.6),
      from(stand, stand.heading, rig.wheelbase + 0.75, -0.6),
    ],
    false,
  );
  g.stroke();
  g.fillStyle = p.ink;
  g.beginPath();
  g.arc(...at(ball), 4, 0, 2 * Math.PI);
  g.fill();
}
