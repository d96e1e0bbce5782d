// `npm run stations`: cuts the public-domain tide and current stations out of the open dataset into core/data/water.
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { stations } from '@neaps/tide-database';

const FILE = 'core/data/water/stations.json';
/** Kept as whole numbers: a millimetre, a tenth of a degree of phase, a ten-thousandth of a degree of position. */
const MM = 1000,
  TENTH = 10,
  PLACES = 1e4;
const whole = (value: number, by: number) => Math.round(value * by);

/** Each text once, named by its number. */
function register(): { list: string[]; of: (text: string) => number } {
  const list: string[] = [];
  return {
    list,
    of: (text) => {
      const at = list.indexOf(text);
      return at >= 0 ? at : list.push(text) - 1;
    },
  };
}

const constituents = register(),
  zones = register();
const free = stations
  .filter((s) => s.kind === 'tide' && s.license.type === 'public domain' && s.license.commercial_use)
  .filter((s) => s.chart_datum === 'MLLW')
  .sort((a, b) => (a.id < b.id ? -1 : 1));

const whereOf = ({ context, locality, region, country }: (typeof free)[number]) =>
  [...new Set([context ?? locality, region, country])].filter(Boolean).join(', ');
const head = (s: (typeof free)[number]) =>
  [
    s.id,
    s.name,
    whereOf(s),
    whole(s.latitude, PLACES),
    whole(s.longitude, PLACES),
    zones.of(s.timezone),
  ] as const;

const reference = free.filter(
  (s) => s.type === 'reference' && s.datums?.MSL !== undefined && s.datums.MLLW !== undefined,
);
const at = new Map(reference.map((s, i) => [s.id, i]));
const file = {
  _:
    'Public-domain tide stations of the US National Oceanic and Atmospheric Administration, cut out of the open dataset by ' +
    '`npm run stations`. reference: id, name, where, latitude and longitude (1e-4 degrees), zone, mean level above MLLW (mm), then ' +
    'constituent, amplitude (mm), phase lag at Greenwich (0.1 degrees) by threes. offsets: the same head, then the reference ' +
    'station, minutes later at high and low water, heights there (ratio in thousandths, or mm to add), ratio 1 or 0.',
  dataset: `@neaps/tide-database ${version()}`,
  attribution:
    'Harmonic constants: US National Oceanic and Atmospheric Administration, public domain, by way of the Neaps tide database',
  datum: 'MLLW',
  constituents: constituents.list,
  zones: zones.list,
  reference: reference.map((s) => [
    ...head(s),
    whole((s.datums.MSL ?? NaN) - (s.datums.MLLW ?? NaN), MM),
    ...s.harmonic_constituents
      .filter((c) => whole(c.amplitude, MM) > 0)
      .flatMap((c) => [constituents.of(c.name), whole(c.amplitude, MM), whole(c.phase, TENTH)]),
  ]),
  offsets: free
    .filter((s) => s.type === 'subordinate' && at.has(s.offsets?.reference ?? ''))
    .map((s) => {
      const { reference: of, time, height } = s.offsets!;
      return [
        ...head(s),
        at.get(of)!,
        time.high,
        time.low,
        whole(height.high, MM),
        whole(height.low, MM),
        Number(height.type === 'ratio'),
      ];
    }),
};

/** A station a line: a change of one is a change of one line. */
const lines = (rows: unknown[]) => rows.map((row) => `    ${JSON.stringify(row)}`).join(',\n');
const { reference: r, offsets: o, ...rest } = file;
writeFileSync(
  FILE,
  `${JSON.stringify(rest, null, 2).replace(/\n\}$/, '')},\n  "reference": [\n${lines(r)}\n  ],\n  "offsets": [\n${lines(o)}\n  ]\n}\n`,
);
console.log(`${FILE}: ${r.length} stations by constants, ${o.length} by offsets`);

/** Current stations with constants of their own: one line of the stream, flood and ebb by their directions. */
const named = register(),
  hours = register();
/** The dataset has knots. */
const KNOTS = 1852 / 3600;
const currents = stations
  .filter((s) => s.kind === 'current' && s.license.type === 'public domain' && s.license.commercial_use)
  .filter((s) => s.harmonic_constituents.length > 0 && s.current?.flood_direction !== undefined)
  .sort((a, b) => (a.id < b.id ? -1 : 1))
  .map((s) => {
    const {
      flood_direction: flood = 0,
      ebb_direction: ebb = (flood + 180) % 360,
      mean_flow: mean = 0,
    } = s.current!;
    return [
      s.id,
      s.name,
      whereOf(s),
      whole(s.latitude, PLACES),
      whole(s.longitude, PLACES),
      hours.of(s.timezone),
      Math.round(flood) % 360,
      Math.round(ebb) % 360,
      whole(mean * KNOTS, MM),
      ...s.harmonic_constituents
        .filter((c) => whole(c.amplitude * KNOTS, MM) > 0)
        .flatMap((c) => [named.of(c.name), whole(c.amplitude * KNOTS, MM), whole(c.phase, TENTH)]),
    ];
  });
const streams = {
  _:
    'Public-domain current stations of the US National Oceanic and Atmospheric Administration, cut out of the open dataset by ' +
    '`npm run stations`. stations: id, name, where, latitude and longitude (1e-4 degrees), zone, flood and ebb (degrees true), mean ' +
    'flow (mm/s), then constituent, amplitude (mm/s), phase lag at Greenwich (0.1 degrees) by threes.',
  dataset: `@neaps/tide-database ${version()}`,
  attribution: file.attribution,
  constituents: named.list,
  zones: hours.list,
};
const STREAMS = 'core/data/water/streams.json';
writeFileSync(
  STREAMS,
  `${JSON.stringify(streams, null, 2).replace(/\n\}$/, '')},\n  "stations": [\n${lines(currents)}\n  ]\n}\n`,
);
console.log(`${STREAMS}: ${currents.length} stations`);

function version(): string {
  const file = createRequire(import.meta.url).resolve('@neaps/tide-database/package.json');
  return (JSON.parse(readFileSync(file, 'utf8')) as { version: string }).version;
}
