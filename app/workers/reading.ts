import { lightened } from '@escale/core/formats/drawing';
import { readGeoJson } from '@escale/core/formats/geojson';
import { readGpx } from '@escale/core/formats/gpx';
import { readTable } from '@escale/core/formats/table';
import { readTrack } from '@escale/core/logbook/track';
import type { Working } from './jobs';

/** What is read out of files. */
export const READING: { [N in 'table' | 'drawing' | 'track']: Working<N> } = {
  *table({ text }) {
    yield { done: 1, of: 1, part: readTable(text) };
  },
  *drawing({ text }) {
    // The one begins with a bracket, the other with a brace, whatever the file is called.
    const read = text.trimStart().startsWith('<') ? readGpx(text) : readGeoJson(text);
    // What is too heavy to keep is lightened here, where it holds nobody up.
    const part = read.ok ? { ok: true as const, drawing: lightened(read.drawing) } : read;
    yield { done: 1, of: 1, part };
  },
  *track({ text, days, zone, hours }) {
    yield { done: 1, of: 1, part: readTrack(text, days, zone, hours) };
  },
};
