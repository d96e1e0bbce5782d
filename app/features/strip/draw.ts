import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { area, line, curveMonotoneX } from 'd3-shape';
import type { Strip } from '@escale/core/trip';

/** Where things stand on the strip, px from its top. */
export const BAND = {
  legs: 6,
  legsHeight: 20,
  sky: 30,
  skyHeight: 92,
  wind: 46,
  axis: 122,
  flags: 138,
  hours: 154,
  departures: 160,
  departuresHeight: 16,
  height: 178,
} as const;

export type X = ScaleLinear<number, number>;
export const xOf = (axis: { from: number; until: number }, width: number): X =>
  scaleLinear().domain([axis.from, axis.until]).range([0, width]);

/** Water as a filled curve; the scale holds the whole curve with a little air above. */
export function tidePaths(
  tide: Strip['tide'],
  x: X,
): { fill: string; edge: string; scale: ScaleLinear<number, number> } | undefined {
  if (tide.length === 0) return undefined;
  const heights = tide.map((t) => t.height);
  const y = scaleLinear()
    .domain([Math.min(...heights) - 0.2, Math.max(...heights)])
    .range([BAND.axis, BAND.axis - 52]);
  return {
    scale: y,
    fill:
      area<Strip['tide'][number]>()
        .x((t) => x(t.at))
        .y0(BAND.axis)
        .y1((t) => y(t.height))
        .curve(curveMonotoneX)(tide) ?? '',
    edge:
      line<Strip['tide'][number]>()
        .x((t) => x(t.at))
        .y((t) => y(t.height))
        .curve(curveMonotoneX)(tide) ?? '',
  };
}

/** A wind of this speed makes the ribbon this thick: m/s, px. */
const FULL_WIND = 15,
  FULL_THICKNESS = 26;
const thickness = scaleLinear().domain([0, FULL_WIND]).range([1.5, FULL_THICKNESS]).clamp(true);

/** Wind as a ribbon as thick as it blows, the gust as a hairline above. */
export function windPaths(wind: Strip['wind'], x: X): { ribbon: string; gust: string } | undefined {
  if (wind.length < 2) return undefined;
  type W = Strip['wind'][number];
  return {
    ribbon:
      area<W>()
        .x((w) => x(w.at))
        .y0((w) => BAND.wind + thickness(w.wind) / 2)
        .y1((w) => BAND.wind - thickness(w.wind) / 2)
        .curve(curveMonotoneX)(wind) ?? '',
    gust:
      line<W>()
        .x((w) => x(w.at))
        .y((w) => BAND.wind - thickness(w.gust) / 2 - 2)
        .curve(curveMonotoneX)(wind) ?? '',
  };
}

const STROKE = 11,
  APART = 44;

/** Short strokes along the ribbon that point with the wind: from where it comes to where it goes, north up. */
export function windStrokes(
  wind: Strip['wind'],
  x: X,
): { key: number; x1: number; y1: number; x2: number; y2: number }[] {
  let last = -Infinity;
  return wind.flatMap((w) => {
    const at = x(w.at);
    if (at - last < APART) return [];
    last = at;
    const to = ((w.from + 180) * Math.PI) / 180;
    const dx = (Math.sin(to) * STROKE) / 2,
      dy = (-Math.cos(to) * STROKE) / 2;
    return [{ key: w.at, x1: at - dx, y1: BAND.wind - dy, x2: at + dx, y2: BAND.wind + dy }];
  });
}

/** A stream of this speed makes a stroke this long: m/s, px; what stands still makes a dot. */
const FULL_STREAM = 2,
  LONGEST = 22,
  STREAM_Y = BAND.axis - 14;

/** Strokes low on the strip that point where the stream goes, north up, longer where it runs harder; each begins with a dot. */
export function streamStrokes(
  stream: Strip['stream'],
  x: X,
): { key: number; x1: number; y1: number; x2: number; y2: number }[] {
  let last = -Infinity;
  const long = scaleLinear().domain([0, FULL_STREAM]).range([0, LONGEST]).clamp(true);
  return stream.flatMap(({ at, speed, direction }) => {
    const x1 = x(at);
    if (x1 - last < APART) return [];
    last = x1;
    const to = (direction * Math.PI) / 180;
    const dx = Math.sin(to) * long(speed),
      // What goes north or south is drawn as far as the band is high.
      dy = -Math.cos(to) * Math.min(long(speed), BAND.axis - STREAM_Y - 2);
    return [{ key: at, x1, y1: STREAM_Y, x2: x1 + dx, y2: STREAM_Y + dy }];
  });
}

/** Between the words of two flags, px: whole words of wide letters are wider than their mean. */
const GAP = 8;

/** Flags that would stand on each other's words are moved apart, in order, within the width, each by no more than its words need. */
export function spread(wanted: number[], words: number[], width: number): number[] {
  const at = [...wanted];
  const apart = (i: number) => (words[i] + words[i + 1]) / 2 + GAP;
  for (let i = 0; i < at.length; i += 1)
    at[i] = Math.max(at[i], words[i] / 2, i > 0 ? at[i - 1] + apart(i - 1) : 0);
  for (let i = at.length - 1; i >= 0; i -= 1)
    at[i] = Math.min(at[i], width - words[i] / 2, i < at.length - 1 ? at[i + 1] - apart(i) : width);
  return at;
}

const HOUR = 3_600_000;
/** Hours stand so far apart on the axis, in hours, and never nearer than this, px. */
const EVERY = [1, 2, 3, 6, 12],
  ROOM = 38;

/** Whole hours on the clock of a zone that find room on the axis, epoch ms. @param hourOf the hour on that clock, 0 to 23 */
export function axisHours(
  axis: { from: number; until: number },
  x: X,
  hourOf: (at: number) => number,
): number[] {
  const perHour = x(axis.from + HOUR) - x(axis.from);
  const every = EVERY.find((n) => n * perHour >= ROOM) ?? EVERY[EVERY.length - 1];
  const first = Math.ceil(axis.from / HOUR) * HOUR;
  return Array.from(
    { length: Math.floor((axis.until - first) / HOUR) + 1 },
    (_, i) => first + i * HOUR,
  ).filter((at) => hourOf(at) % every === 0 && x(at) > ROOM / 3 && x(at) < x(axis.until) - ROOM / 3);
}

/** A change of wind that is worth a number, m/s, and the room that one takes, px. */
const CHANGE = 1.5,
  NUMBER_ROOM = 46;

/** Where the wind is written in numbers: at its beginning, and where it has changed, as far as there is room. */
export function windNumbers(wind: Strip['wind'], x: X, width: number): Strip['wind'] {
  let last: Strip['wind'][number] | undefined;
  return wind.filter((w) => {
    const at = x(w.at);
    if (at < NUMBER_ROOM || at > width - NUMBER_ROOM / 2) return false;
    const near = last && at - x(last.at) < NUMBER_ROOM;
    if (near || (last && Math.abs(w.wind - last.wind) < CHANGE)) return false;
    last = w;
    return true;
  });
}
