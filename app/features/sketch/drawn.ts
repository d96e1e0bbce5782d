import { near, pointsOf } from '@escale/core/chart';
import type { LatLon } from '@escale/core/earth';
import type { Chart } from '@escale/core/model';

/** A position as the map library has it: north, east. */
export type Corner = [number, number];

export interface Drawn {
  land: Corner[][][];
  water: Corner[][][];
  lines: Corner[][];
  depths: { least: number; rings: Corner[][] }[];
  tracks: Corner[][];
}

/** On one side of the antimeridian with what is looked at. */
export const cornerOf = ({ lat, lon }: LatLon, middle: number): Corner => [lat, near(lon, middle)];

/** Where a chart begins to be drawn: longitudes are told from there. */
export function middleOf(chart: Chart | undefined, places: { position: LatLon }[]): number {
  const line = chart?.shore[0]?.rings[0] ?? chart?.depths[0]?.rings[0];
  return places[0]?.position.lon ?? (line ? (pointsOf(line)[0]?.lon ?? 0) : 0);
}

/** The lines of a chart as positions to draw. */
export function drawn(chart: Chart | undefined, middle: number): Drawn {
  const line = (text: string) => {
    const points = pointsOf(text);
    // The whole line goes along with its first point, so that it stays one.
    const by = points[0] ? near(points[0].lon, middle) - points[0].lon : 0;
    return points.map(({ lat, lon }): Corner => [lat, lon + by]);
  };
  const shore = (chart?.shore ?? []).map(({ inside, rings }) => ({ inside, rings: rings.map(line) }));
  const of = (side: 'land' | 'water') =>
    shore.flatMap(({ inside, rings }) => (inside === side ? [rings] : []));
  return {
    land: of('land'),
    water: of('water'),
    lines: shore.flatMap(({ inside, rings }) => (inside === undefined ? rings : [])),
    depths: (chart?.depths ?? []).map(({ least, rings }) => ({ least, rings: rings.map(line) })),
    tracks: (chart?.tracks ?? []).map((track) => line(track.line)),
  };
}
