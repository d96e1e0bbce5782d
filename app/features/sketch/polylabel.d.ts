declare module 'polylabel' {
  /** The point inside a polygon (rings of x, y) that lies furthest from its edges, and how far. */
  export default function polylabel(
    polygon: [number, number][][],
    precision?: number,
  ): [number, number] & { distance: number };
}
