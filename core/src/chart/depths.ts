import type { LatLon } from '../earth';
import type { Chart, DepthArea } from '../model';
import { shoreOf, type Shore, type Stretch } from './shore';

/** A stretch of a straight way over an area of charted depth. */
export interface Shallow extends Stretch {
  /** Metres below chart datum; what dries is negative. */
  least: number;
}

/** The depths of a water, ready to be asked. */
export interface Depths {
  /** The least depth charted at a position; undefined where no area lies. */
  at(position: LatLon): number | undefined;
  /** Stretches of a way over areas less deep than `than` metres, in order. */
  under(from: LatLon, to: LatLon, than: number): Shallow[];
}

const known = new WeakMap<Chart, Depths>();

/** @returns undefined for a chart without depths */
export function depthsOf(chart: Chart | undefined): Depths | undefined {
  if (!chart || chart.depths.length === 0) return undefined;
  let depths = known.get(chart);
  if (!depths) known.set(chart, (depths = madeOf(chart.depths)));
  return depths;
}

/** An area is looked for as a piece of land is: what lies within its rings. */
const groundOf = ({ rings }: DepthArea): Shore | undefined =>
  shoreOf({ source: 'depths', depths: [], shore: [{ inside: 'land', rings }] });

function madeOf(areas: DepthArea[]): Depths {
  const all = areas.flatMap((area) => {
    const ground = groundOf(area);
    return ground ? [{ least: area.least, ground }] : [];
  });
  return {
    at(position) {
      const here = all.filter(({ ground }) => ground.groundAt(position) === 'land').map(({ least }) => least);
      return here.length === 0 ? undefined : Math.min(...here);
    },
    under: (from, to, than) =>
      all
        .filter(({ least }) => least < than)
        .flatMap(({ least, ground }) => ground.overLand(from, to).map((stretch) => ({ ...stretch, least })))
        .sort((a, b) => a.from - b.from),
  };
}
