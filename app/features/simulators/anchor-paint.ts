import { fasteningOf, heightOver, leadOf, outOf, shapeOf, type From } from '@escale/core/hold';
import { comesNow, type Anchored, type Anchoring } from '@escale/core/hold/anchoring';
import { profile } from '../boat/outline';
import type { Palette } from '../../ui/tokens';
import type { Paint } from './easel';
import { penOf, type Spot } from './pen';

/** What is painted: who anchors, how it stands, where she is made fast, and where the anchor and she have been. */
export interface Scene {
  task: Anchoring;
  now: Anchored;
  from: From;
  trail: readonly { boat: Spot; anchor?: Spot }[];
}
const MARGIN = 12,
  GROUND = 18,
  RAD = Math.PI / 180;

/** Anchor, line and boat from the side, one scale for both ways. */
export function paintSection(p: Palette, scene: () => Scene): Paint {
  return (g, width, height) => {
    const { task, now, from } = scene();
    const { lying, tackle } = task;
    const { depth } = task.scene;
    const fast = heightOver(lying, fasteningOf(lying, from), depth);
    const all = tackle.rode.line + tackle.rode.chain;
    const over = 2.2 * lying.hull.depth;
    const far = Math.max(1.5 * depth, Math.min(all, now.out + 6)) + lying.hull.length;
    const scale = Math.min((width - 2 * MARGIN) / far, (height - GROUND - MARGIN) / (depth + over));
    const at = (x: number, y: number): [number, number] => [MARGIN + x * scale, height - GROUND - y * scale];
    const { line, dot } = penOf(g, at);
    g.fillStyle = p.raised;
    g.fillRect(0, 0, width, height);
    g.fillStyle = p.water3;
    g.fillRect(0, at(0, depth)[1], width, depth * scale);
    g.fillStyle = p.land;
    g.fillRect(0, height - GROUND, width, GROUND);
    g.strokeStyle = p.water1;
    g.lineWidth = 1.5;
    line([-9, depth], [far + 9, depth]);
    g.strokeStyle = p.ink;
    const rode = outOf(tackle.rode, now.out);
    const lead = now.anchor && leadOf(rode, fast, now.load);
    // How far she is from the anchor: as the line lies, or nearer while it is slack.
    const reach = now.anchor
      ? Math.min(Math.hypot(now.boat.x - now.anchor.x, now.boat.y - now.anchor.y), lead?.reach ?? Infinity)
      : depth;
    g.lineWidth = 2;
    if (lead && now.load > 0) {
      const shape = shapeOf(rode, lead, fast, now.load);
      line(...shape.map(({ x, z }): Spot => [x, z]));
    } else if (now.anchor) line([0, 0], [Math.max(0, reach - 1), 0], [reach, fast]);
    else line([reach, fast - now.out], [reach, fast]);
    g.fillStyle = p.ink;
    dot(now.anchor ? [0, 0] : [reach, fast - now.out], 5);
    const end = lead && now.load > 0 ? lead.reach : reach;
    const her = new Path2D(
      profile(
        lying.hull,
        (m) => at(end + lying.hull.length - m, 0)[0],
        (m) => at(0, depth + m - lying.exposed.waterline)[1],
      ),
    );
    g.fillStyle = p.raised;
    g.fill(her);
    g.stroke(her);
  };
}

/** From above, north at the top. */
export function paintPlan(p: Palette, scene: () => Scene): Paint {
  return (g, width, height) => {
    const { task, now, trail } = scene();
    const { near, depth } = task.scene;
    const comes = comesNow(task.scene, task.drawn, now.seconds);
    const spots: Spot[] = [
      [now.boat.x, now.boat.y],
      ...(now.anchor ? ([[now.anchor.x, now.anchor.y]] as Spot[]) : []),
      ...near.map(({ x, y }): Spot => [x, y]),
      [0, 0],
    ];
    const round = 12 + depth;
    const [left, right] = ends(
      spots.map(([x]) => x),
      round,
    );
    const [low, high] = ends(
      spots.map(([, y]) => y),
      round,
    );
    const scale = Math.min(width / (right - left), height / (high - low));
    const at = (x: number, y: number): [number, number] => [
      width / 2 + (x - (left + right) / 2) * scale,
      height / 2 - (y - (low + high) / 2) * scale,
    ];
    const { line, dot, shape } = penOf(g, at);
    g.fillStyle = p.water3;
    g.fillRect(0, 0, width, height);
    g.strokeStyle = p.ink;
    g.lineWidth = 1.5;
    for (const { what, x, y, radius } of near) {
      g.fillStyle = what === 'boat' ? p.raised : p.land;
      dot([x, y], radius * scale);
    }
    g.strokeStyle = p.water1;
    g.lineWidth = 2;
    line(...trail.map(({ boat }) => boat), [now.boat.x, now.boat.y]);
    g.strokeStyle = p.ink;
    if (now.anchor) {
      g.lineWidth = 1.2;
      line([now.anchor.x, now.anchor.y], [now.boat.x, now.boat.y]);
      g.fillStyle = p.ink;
      dot([now.anchor.x, now.anchor.y], 5);
    }
    her();
    // Both in the corner, as arrows the way they go, the longer the stronger.
    arrows(comes.wind.direction + 180, 10 + 3 * comes.wind.speed, 26, p.ink);
    if (comes.stream.speed > 0.02) arrows(comes.stream.direction, 10 + 24 * comes.stream.speed, 62, p.water1);

    function her(): void {
      const { length, beam } = task.lying.hull;
      const [sin, cos] = [Math.sin(now.heading * RAD), Math.cos(now.heading * RAD)];
      const to = (ahead: number, right_: number): Spot => [
        now.boat.x + ahead * sin + right_ * cos,
        now.boat.y + ahead * cos - right_ * sin,
      ];
      const big = Math.max(1, 22 / (length * scale));
      const [l, b] = [length * big, (beam * big) / 2];
      g.fillStyle = p.raised;
      g.lineWidth = 2;
      shape([to(0, 0), to(-0.3 * l, b), to(-l, 0.8 * b), to(-l, -0.8 * b), to(-0.3 * l, -b)]);
    }
    function arrows(towards: number, long: number, x: number, colour: string): void {
      g.strokeStyle = colour;
      g.lineWidth = 3;
      g.save();
      g.translate(x, 34);
      penOf(g, () => [0, 0]).arrow([0, 0], (90 - towards) * RAD, long);
      g.restore();
    }
  };
}

const ends = (values: number[], round: number): [number, number] => [
  Math.min(...values) - round,
  Math.max(...values) + round,
];
