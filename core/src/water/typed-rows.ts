import { civilDate, wallTime, wallToInstant } from '../earth';
import type { Forecast, TideStation } from '../model';
import { KNOT } from '../units';
import {
  momentsOf,
  POINTS,
  readDirection,
  readHeight,
  readHour,
  readWind,
  saysTide,
  saysWeather,
  VISIBILITY,
  type Days,
  type ForecastRow,
  type TideRow,
} from './typed';
import { sortForecast, weatherAt } from './weather';

// Rows that are typed, and what one does to them hour by hour on the strip. A row stays text: it is what was written down.

type Hour = Forecast['hours'][number];
type TideTable = Extract<TideStation, { kind: 'table' }>;

/**
 * Moments (epoch ms) as they would be typed in rows that follow each other: an hour alone where its day follows of itself,
 * with its day where it does not, and as universal time where the clock shows that hour twice. Read again they are the same.
 * @param says whether that row says more than its hour, so that it counts for the day of those after it
 */
export function timesOf(
  moments: readonly number[],
  { date, zone }: Days,
  says: (row: number) => boolean = () => true,
): string[] {
  let [day, before] = [date, ''];
  return moments.map((at, row) => {
    const [own, clock] = [civilDate(at, zone), wallTime(at, zone)];
    const follows = own === day && clock > before;
    const wall = wallToInstant(own, clock, zone);
    const twice = 'gap' in wall || wall.at !== at;
    if (says(row)) [day, before] = twice ? ['', ''] : [own, clock];
    if (twice) return `${new Date(at).toISOString().slice(0, 16)}Z`;
    return follows ? clock : `${own} ${clock}`;
  });
}

const MINUTE = 60_000;
/** The beginning of an hour on the clock of a zone, epoch ms: not everywhere is that a whole hour of universal time. */
export const clockHour = (at: number, zone: string): number =>
  Math.floor(at / MINUTE) * MINUTE - Number(wallTime(at, zone).slice(3)) * MINUTE;

const plain = (value: number) => String(Number(value.toFixed(1)));
const knots = (speed: number) => plain(speed / KNOT);

/** What an hour says, as it would be typed. */
const wordsOf = ({ wind, gust, from, waves, visibility, thunder }: Omit<Hour, 'at'>) => ({
  wind: knots(wind),
  gust: knots(gust),
  from: plain(from),
  waves: waves === undefined ? '' : plain(waves),
  visibility: VISIBILITY.find((term) => visibility !== undefined && visibility >= term.atLeast)?.id ?? '',
  thunder: thunder === true,
});

const atOf = (row: { at: string }) => Date.parse(row.at);

/** A forecast as it would be typed. */
export function forecastRows({ hours }: Pick<Forecast, 'hours'>, days: Days): ForecastRow[] {
  const times = timesOf(hours.map(atOf), days);
  return hours.map((hour, i) => ({ time: times[i], ...wordsOf(hour) }));
}

/** A tide table as it would be typed. */
export function tideRows({ rows }: Pick<TideTable, 'rows'>, days: Days): TideRow[] {
  const times = timesOf(rows.map(atOf), days);
  return rows.map(({ height, turn = 'high' }, i) => ({ time: times[i], height: String(height), turn }));
}

/** The forecast of those rows that can be read so far; the others wait until they can. */
export function forecastSoFar(rows: readonly ForecastRow[], days: Days): Forecast | undefined {
  const moments = momentsOf(rows, days, saysWeather);
  const hours = rows.flatMap((row, i) => {
    const at = moments[i],
      told = readHour(row);
    return at === undefined || !told ? [] : [{ at: new Date(at).toISOString(), ...told }];
  });
  return hours.length === 0 ? undefined : { issuedAt: hours[0].at, source: '', hours };
}

/** The table of those turns that can be read so far, in the order of time. */
export function tideSoFar(rows: readonly TideRow[], days: Days): TideTable | undefined {
  const moments = momentsOf(rows, days, saysTide);
  const turns = rows.flatMap(({ height: text, turn }, i) => {
    const at = moments[i],
      height = readHeight(text);
    return at === undefined || height === undefined ? [] : [{ at: new Date(at).toISOString(), height, turn }];
  });
  turns.sort((a, b) => atOf(a) - atOf(b));
  return turns.length < 2 ? undefined : { kind: 'table', name: '', datum: '', rows: turns };
}

/** Which row stands at a moment, or none. */
export const rowAt = <R extends { time: string }>(
  rows: readonly R[],
  days: Days,
  says: (row: R) => boolean,
  at: number,
): number => momentsOf(rows, days, says).indexOf(at);

/**
 * One more row at a moment, in its place among those that can be read. It says what was drawn there: between two hours what
 * lies between, past the last what the nearest says, and nothing where nothing was typed.
 */
export function withHour(rows: readonly ForecastRow[], days: Days, at: number): ForecastRow[] {
  const told = forecastSoFar(rows, days);
  const sorted = told && sortForecast(told);
  const nearest = told?.hours.toSorted((a, b) => Math.abs(atOf(a) - at) - Math.abs(atOf(b) - at))[0];
  const weather = (sorted && weatherAt(sorted, at)) ?? nearest;
  const BLANK = { wind: '', gust: '', from: '', waves: '', visibility: '', thunder: false };
  return placed(rows, days, saysWeather, at, weather ? wordsOf(weather) : BLANK);
}

/** One more turn of the tide at a moment, in its place: what follows the turn before it, and its height is asked for. */
export function withTurn(rows: readonly TideRow[], days: Days, at: number): TideRow[] {
  const moments = momentsOf(rows, days, saysTide);
  const before = rows.filter((_, i) => (moments[i] ?? Infinity) < at).at(-1);
  return placed(rows, days, saysTide, at, { height: '', turn: before?.turn === 'high' ? 'low' : 'high' });
}

/** A turn of the tide later by so much, ms, and in its place among the others. */
export function turnLater(rows: readonly TideRow[], days: Days, turn: number, by: number): TideRow[] {
  const at = momentsOf(rows, days, saysTide)[turn];
  const { time: _time, ...said } = rows[turn];
  const others = rows.filter((_, i) => i !== turn);
  return at === undefined ? [...rows] : placed(others, days, saysTide, at + by, said);
}

/** Rows with one more among them. Those whose hour can't be read stay as they were written, at the end. */
function placed<R extends { time: string }>(
  rows: readonly R[],
  days: Days,
  says: (row: R) => boolean,
  at: number,
  more: Omit<R, 'time'>,
): R[] {
  const moments = momentsOf(rows, days, says);
  const timed = rows.flatMap((row, i) => {
    const own = moments[i];
    return own === undefined ? [] : [{ row, at: own }];
  });
  const all = [...timed, { row: { time: '', ...more } as R, at }].sort((a, b) => a.at - b.at);
  const times = timesOf(
    all.map((one) => one.at),
    days,
    (row) => says(all[row].row),
  );
  return [
    ...all.map(({ row }, i) => ({ ...row, time: times[i] })),
    ...rows.filter((_, i) => moments[i] === undefined),
  ];
}

/** The wind of a row stronger or weaker by knots, never under nothing; a gust that would be less than the wind goes with it. */
export function windBy(row: ForecastRow, by: number): ForecastRow {
  const wind = Math.max(0, (readWind(row.wind) ?? 0) + by * KNOT);
  const gust = readWind(row.gust);
  return {
    ...row,
    wind: knots(wind),
    ...(gust === undefined || gust >= wind ? {} : { gust: knots(wind) }),
  };
}

/** The gust of a row by knots, never less than its wind. */
export function gustBy(row: ForecastRow, by: number): ForecastRow {
  const wind = readWind(row.wind) ?? 0;
  return { ...row, gust: knots(Math.max(wind, (readWind(row.gust) ?? wind) + by * KNOT)) };
}

/** The wind of a row from so many points of sixteen further round, named as a point. */
export function fromBy(row: ForecastRow, by: number): ForecastRow {
  const point = Math.round(((readDirection(row.from) ?? 0) / 360) * POINTS.length);
  return { ...row, from: POINTS[(point + by + POINTS.length) % POINTS.length] };
}

/** The height of a turn by metres; a turn without one begins at nothing. */
export const heightBy = (row: TideRow, by: number): TideRow => ({
  ...row,
  height: String(Number(((readHeight(row.height) ?? 0) + by).toFixed(2))),
});
