/** A spot in the world of a picture, metres. */
export type Spot = readonly [x: number, y: number];

/** Draws in metres on a canvas: where each spot lies is said once. */
export interface Pen {
  line: (...spots: readonly Spot[]) => void;
  shape: (spots: readonly Spot[], look?: { edge?: boolean }) => void;
  dot: (spot: Spot, px: number, look?: { edge?: boolean }) => void;
  /** An arrow from one spot, so many px long, pointing along an angle of the page (0 right, up positive). */
  arrow: (from: Spot, angle: number, px: number) => void;
}

const HEAD = 8;

export function penOf(g: CanvasRenderingContext2D, at: (x: number, y: number) => [number, number]): Pen {
  const trace = (spots: readonly Spot[]) => {
    g.beginPath();
    for (const [x, y] of spots) g.lineTo(...at(x, y));
  };
  return {
    line: (...spots) => {
      trace(spots);
      g.stroke();
    },
    shape: (spots, { edge = true } = {}) => {
      trace(spots);
      g.closePath();
      g.fill();
      if (edge) g.stroke();
    },
    dot: (spot, px, { edge = true } = {}) => {
      g.beginPath();
      g.arc(...at(...spot), px, 0, 2 * Math.PI);
      g.fill();
      if (edge) g.stroke();
    },
    arrow: (from, angle, px) => {
      const [x, y] = at(...from);
      const [tx, ty] = [x + px * Math.cos(angle), y - px * Math.sin(angle)];
      g.beginPath();
      g.moveTo(x, y);
      g.lineTo(tx, ty);
      for (const side of [-1, 1]) {
        g.moveTo(tx, ty);
        g.lineTo(tx - HEAD * Math.cos(angle + side * 0.5), ty + HEAD * Math.sin(angle + side * 0.5));
      }
      g.stroke();
    },
  };
}
