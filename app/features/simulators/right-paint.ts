import { G } from '@escale/core/units';
import { restAngle, type Rigged } from '@escale/core/recover';
import { givesNow, holds, leanOf, mostLean, type Task, type Turning } from '@escale/core/recover/turning';
import type { Palette } from '../../ui/tokens';
import type { Paint } from './easel';
import { penOf, type Pen, type Spot } from './pen';

/** Drawn only, never told, m: hulls, heads, hands, feet over the water, legs in it; px: an arrow of a weight, the foot of the picture. */
const HULL = 0.22,
  HEAD = 0.13,
  FEET = 0.12,
  LEGS = -0.35,
  HANDS = 0.7,
  ARROW = 44,
  FOOT = 74,
  SIDE = 10,
  BAR = 18;

/** Her from the end, to scale, with both weights and their levers, and the two moments one above the other below. */
export function paintRighting(p: Palette, task: Task, now: () => Turning): Paint {
  const { rig, boat, people } = task;
  const beam = rig?.beam ?? boat.beam ?? 1;
  const tall = Math.max(...people.map(({ height }) => height));
  const [left, right] = [Math.max(tall, beam) + 0.5, rig ? rig.mast + 0.5 : beam + 0.7];
  const high = rig ? Math.max(0.75 * rig.mast, tall) : Math.max(tall, beam) + 0.4;
  return (g, width, height) => {
    const { turned, hand, water } = now();
    const base = height - FOOT;
    const scale = Math.min(width / (left + right), base / high);
    const begins = (width - (left + right) * scale) / 2;
    const at = (x: number, y: number): [number, number] => [begins + (left + x) * scale, base - y * scale];
    const pen = penOf(g, at);
    g.fillStyle = p.raised;
    g.fillRect(0, 0, width, base);
    g.fillStyle = p.water3;
    g.fillRect(0, base, width, FOOT);
    g.strokeStyle = p.ink;
    g.fillStyle = p.paper;
    g.lineCap = 'round';
    const far = rig ? catamaran(g, pen, p, rig, restAngle(rig) - turned, scale) : hull(g, pen, beam, turned);
    const lean = crew(g, pen, p, task, { turned, hand }, far, scale);
    const [gives, needs] = [givesNow(task, turned, hand), holds(task, turned, water)];
    const crewMass = people.reduce((sum, { mass }) => sum + mass, 0);
    const mass = (rig?.mass ?? boat.mass ?? 1) + water;
    for (const [x, y] of [
      [-gives / (G * crewMass), FEET + (tall / 2) * Math.cos(lean)],
      [needs / (G * mass), 0.4 * beam],
    ])
      lever(g, pen, at, [x, y]);
    const most = Math.max(gives, needs, holds(task, 0, task.given.water));
    bar(g, p.ink, (width - 2 * SIDE) * (gives / most), base + 22);
    bar(g, p.water2, (width - 2 * SIDE) * (needs / most), base + 46);
  };
}

function catamaran(
  g: CanvasRenderingContext2D,
  { line, shape, dot }: Pen,
  p: Palette,
  { beam, mast, float }: Rigged,
  over: number,
  scale: number,
): Spot {
  const [sin, cos] = [Math.sin(over), Math.cos(over)];
  const upper: Spot = [beam * sin, beam * cos];
  const foot: Spot = [upper[0] / 2, upper[1] / 2];
  const along = (metres: number, aside: number): Spot => [
    foot[0] + metres * cos + aside * sin,
    foot[1] - metres * sin + aside * cos,
  ];
  g.fillStyle = p.water2;
  g.globalAlpha = 0.5;
  shape([foot, along(mast, 0), along(1.4, 0.9)], { edge: false });
  g.globalAlpha = 1;
  g.fillStyle = p.paper;
  g.lineWidth = 3;
  line([0, 0], upper);
  line(foot, along(mast, 0));
  g.lineWidth = 2;
  for (const spot of [[0, 0] as const, upper]) dot(spot, HULL * scale);
  if (float) dot(along(mast, 0), 6);
  return upper;
}

function hull(g: CanvasRenderingContext2D, { shape }: Pen, beam: number, turned: number): Spot {
  const [sin, cos] = [Math.sin(turned), Math.cos(turned)];
  const to = (x: number, y: number): Spot => [x * cos - y * sin, x * sin + y * cos];
  g.lineWidth = 2;
  shape([to(0, -0.08), to(0.12 * beam, HULL), to(0.88 * beam, HULL), to(beam, -0.08)]);
  return to(beam, 0);
}

/** Who leans, one beside the other, and the line in their hands; gives the angle at which they are drawn. */
function crew(
  g: CanvasRenderingContext2D,
  { line, dot }: Pen,
  p: Palette,
  task: Task,
  { turned, hand }: Pick<Turning, 'turned' | 'hand'>,
  far: Spot,
  scale: number,
): number {
  const byHand = task.way === 'hand';
  const wants = byHand ? 0.5 + 0.7 * hand : leanOf(task, hand);
  task.people.forEach(({ height }, i) => {
    const lean = task.way === 'mast' ? Math.min(wants, mostLean(task, height, turned)) : wants;
    const spot = (share: number): Spot => [
      -share * height * Math.sin(lean) - i * 0.1,
      (byHand ? LEGS : FEET) + share * height * Math.cos(lean),
    ];
    g.lineWidth = 6;
    line(spot(0), spot(0.92));
    g.fillStyle = p.ink;
    dot(spot(0.95), Math.max(4, HEAD * scale), { edge: false });
    g.lineWidth = 1.4;
    g.setLineDash([5, 3]);
    line(spot(HANDS), far);
    g.setLineDash([]);
  });
  return wants;
}

/** A weight as an arrow down, and below the water its lever to the edge on which she turns. */
function lever(
  g: CanvasRenderingContext2D,
  { arrow }: Pen,
  at: (x: number, y: number) => [number, number],
  [x, y]: Spot,
): void {
  g.lineWidth = 2.4;
  arrow([x, y], -Math.PI / 2, ARROW);
  const [[from, base], [to]] = [at(x, 0), at(0, 0)];
  g.lineWidth = 1.2;
  g.beginPath();
  g.moveTo(from, base + 9);
  g.lineTo(to, base + 9);
  for (const end of [from, to]) {
    g.moveTo(end, base + 4);
    g.lineTo(end, base + 14);
  }
  g.stroke();
}

function bar(g: CanvasRenderingContext2D, colour: string, long: number, top: number): void {
  g.fillStyle = colour;
  g.lineWidth = 1.5;
  g.fillRect(SIDE, top, Math.max(0, long), BAR);
  g.strokeRect(SIDE, top, Math.max(0, long), BAR);
}
