import { pointsOf } from '@escale/core/chart';
import { writeGeoJson } from '@escale/core/formats/geojson';
import { writeGpx, type Timed } from '@escale/core/formats/gpx-out';
import type { Place, Water } from '@escale/core/model';
import { save } from '../../ui/save';

/** What is written out: a water, its places, and the way of a trip with its hours. */
export interface Out {
  name: string;
  water: Water | undefined;
  places: Place[];
  way: Timed[];
}

const fileName = (name: string, ending: string) => `${name.replace(/[^\p{L}\p{N} _-]/gu, '')}.${ending}`;

export function saveGpx({ name, places, water, way }: Out): void {
  const text = writeGpx({
    name,
    at: Date.now(),
    points: places.map(({ name: called, position, rules, kind }) => ({
      name: called,
      position,
      ...(rules ? { note: rules } : {}),
      place: { kind },
    })),
    routes: way.length > 1 ? [{ name, points: way }] : [],
    tracks: (water?.chart?.tracks ?? []).map((track) => ({
      ...(track.name ? { name: track.name } : {}),
      points: pointsOf(track.line),
    })),
  });
  save(fileName(name, 'gpx'), 'application/gpx+xml', text);
}

export function saveGeoJson({ name, places, water, way }: Out): void {
  const text = writeGeoJson({
    name,
    places,
    chart: water?.chart,
    routes: way.length > 1 ? [{ name, points: way.map(({ position }) => position) }] : [],
  });
  save(fileName(name, 'geojson'), 'application/geo+json', text);
}
