import polylabel from 'polylabel';
import type { Corner, Drawn } from './drawn';

/** A number that stands in an area of depth: where it is broadest, and how broad that is, degrees of latitude. */
export interface DepthNumber {
  least: number;
  at: Corner;
  broad: number;
}

/** More areas than these are a chart that is read by its tones; and a point so near the broadest is one, as a share of the area. */
const MOST = 400,
  FINE = 1 / 50;

/** Where the numbers of depth areas stand: at the point of each that lies furthest from its edges. */
export function depthNumbers(depths: Drawn['depths']): DepthNumber[] {
  return depths.slice(0, MOST).flatMap(({ least, rings }) => {
    const [outer] = rings;
    if (!outer || outer.length < 3) return [];
    const lats = outer.map(([lat]) => lat);
    const size = Math.max(...lats) - Math.min(...lats);
    if (size <= 0) return [];
    // Longitudes are drawn together as they are on the chart there.
    const squeeze = Math.cos((lats[0] * Math.PI) / 180);
    const found = polylabel(
      rings.map((ring) => ring.map(([lat, lon]): Corner => [lon * squeeze, lat])),
      size * FINE,
    );
    return [{ least, at: [found[1], found[0] / squeeze], broad: found.distance * 2 }];
  });
}
