import type { DrawingResult } from '@escale/core/formats/drawing';
import { run } from '../../data/jobs';
import { positionText } from './position-text';

export interface FilePoint {
  name: string;
  lat: number;
  lon: number;
}

/** So many points are offered. */
const MOST = 100;

/** Points of a file (GPX or GeoJSON): its own, those of its routes, the ends of its tracks. None where it can't be read. */
export async function pointsIn(text: string): Promise<FilePoint[]> {
  let read: DrawingResult | undefined;
  await run('drawing', { text }, ({ part }) => {
    read = part ?? read;
  });
  if (!read?.ok) return [];
  const { points, routes, tracks } = read.drawing;
  const ends = tracks.flatMap((track) => [...track.points.slice(0, 1), ...track.points.slice(1).slice(-1)]);
  return [
    ...points,
    ...routes.flatMap((route) => route.points),
    ...ends.map((position) => ({ position, name: undefined })),
  ]
    .map(({ name, position }) => ({ ...position, name: name ?? positionText(position) }))
    .slice(0, MOST);
}
