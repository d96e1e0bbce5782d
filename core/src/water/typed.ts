import WORDS from '../../data/water/forecast-words.json';
import { plusDays, wallToInstant } from '../earth';
import type { Conditions, Forecast, Phrase, TideStation, Trip } from '../model';
import { phrase } from '../say';
import { FOOT, KNOT } from '../units';

/** One row of a forecast as it is written down: texts, as they were typed. */
export interface ForecastRow {
  time: string;
  wind: string;
  gust: string;
  from: string;
  waves: string;
  visibility: string;
  thunder: boolean;
}

/** What stands once for all rows. */
export interface ForecastHead {
  /** The first row's day, a civil date; a row earlier than the one before it is of the next day. */
  date: string;
  zone: string;
  issuedAt: string;
  source: string;
  /** °C, as typed; empty where it was not given. */
  air: string;
  water: string;
}

/** What can't be read, by the field it stands in: `rows/2/wind`, `source`. */
export type Faults = Record<string, Phrase>;
export type Read<T> = { ok: T } | { faults: Faults };

export const VISIBILITY = WORDS.visibility.terms;
export const POINTS = [
  'N',
  'NNE',
  'NE',
  'ENE',
  'E',
  'ESE',
  'SE',
  'SSE',
  'S',
  'SSW',
  'SW',
  'WSW',
  'W',
  'WNW',
  'NW',
  'NNW',
];
const TURN = 360;

const numberOf = (text: string): number | undefined => {
  const plain = text.trim().replace(',', '.');
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : undefined;
};

const PER: Record<string, number> = { kn: KNOT, kt: KNOT, kts: KNOT, knots: KNOT, 'm/s': 1, ms: 1 };
/** A wind in m/s: knots unless another unit stands with it, or a force: `14`, `7 m/s`, `F4`, `4 Bft`. A force counts to its upper end. */
export function readWind(text: string): number | undefined {
  const plain = text.trim().toLowerCase().replace(',', '.');
  const force = /^(?:f\s*|force\s*)(\d{1,2})$/.exec(plain) ?? /^(\d{1,2})\s*(?:bft?|beaufort)$/.exec(plain);
  if (force) {
    const upTo = WORDS.force.upTo[Number(force[1])];
    return upTo === undefined ? undefined : upTo * KNOT;
  }
  const speed = /^(\d+(?:\.\d+)?)\s*([a-z/]*)$/.exec(plain);
  const per = speed && (speed[2] === '' ? KNOT : PER[speed[2]]);
  return per ? Number(speed[1]) * per : undefined;
}

/** Where wind comes from, degrees true: a point of the compass or degrees. */
export function readDirection(text: string): number | undefined {
  const plain = text.trim().toUpperCase().replace('°', '');
  const point = POINTS.indexOf(plain);
  if (point >= 0) return (point * TURN) / POINTS.length;
  const degrees = numberOf(plain);
  return degrees === undefined || degrees < 0 || degrees > TURN ? undefined : degrees % TURN;
}

/** A height of waves or of the tide, metres unless feet are named. */
export function readHeight(text: string): number | undefined {
  const feet = /^(\d+(?:[.,]\d+)?)\s*(?:ft|feet|′)$/i.exec(text.trim());
  return feet ? Number(feet[1].replace(',', '.')) * FOOT : numberOf(text.replace(/\s*m$/i, ''));
}

/** An hour on the clock as people type it: `6`, `06:30`, `0630`, `6.30`. */
export function readClock(text: string): string | undefined {
  const plain = text.trim();
  const found = /^(\d{1,2})(?:[:.h]?(\d{2}))?$/.exec(plain);
  if (!found) return undefined;
  const [hour, minute] = [Number(found[1]), Number(found[2] ?? 0)];
  return hour < 24 && minute < 60
    ? `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`
    : undefined;
}

/** A moment with its day, and perhaps its zone: `2026-05-12 06:00`, `2026-05-12T06:00Z`. */
const STAMP = /^(\d{4}-\d{2}-\d{2})[T ]+(\d{1,2}:\d{2})(?::\d{2}(?:\.\d+)?)?\s*(Z|[+-]\d{2}:?\d{2})?$/i;

/**
 * Rows on the days they stand for, epoch ms. A row that names its day stands on it; one that does not and is no later than
 * the row before it is of the next day; a `Z` behind an hour is universal time.
 */
function instantsOf(times: string[], date: string, zone: string): (number | undefined)[] {
  let day = date;
  let before = '';
  return times.map((text) => {
    const stamp = STAMP.exec(text.trim());
    const universal = /z$/i.test(text.trim());
    const clock = readClock(stamp ? stamp[2] : text.trim().replace(/\s*z$/i, ''));
    if (clock === undefined) return undefined;
    if (stamp?.[3] && !universal) {
      const at = Date.parse(`${stamp[1]}T${clock}${stamp[3].replace(/^([+-]\d{2})(\d{2})$/, '$1:$2')}`);
      return Number.isNaN(at) ? undefined : at;
    }
    if (stamp) day = stamp[1];
    else if (clock <= before) day = plusDays(day, 1);
    before = clock;
    const wall = wallToInstant(day, clock, universal ? 'UTC' : zone);
    return 'gap' in wall ? undefined : wall.at;
  });
}

/** The day and the clock that rows stand on: the first row’s day, a civil date. */
export type Days = Pick<ForecastHead, 'date' | 'zone'>;
type TimedRow = { time: string };
type Fault = (field: string, say: Phrase) => void;

/**
 * When each row stands, epoch ms; undefined where its hour can't be read. A row that says nothing but its hour moves no
 * other row to the next day.
 */
export const momentsOf = <R extends TimedRow>(
  rows: readonly R[],
  { date, zone }: Days,
  says: (row: R) => boolean,
): (number | undefined)[] =>
  rows.map((_, i) => {
    const told = rows.filter((row, other) => other === i || (other < i && says(row)));
    return instantsOf(
      told.map((row) => row.time),
      date,
      zone,
    ).at(-1);
  });

/** Does a row say more than its hour? */
export const saysWeather = ({ wind, gust, from, waves, visibility, thunder }: ForecastRow): boolean =>
  thunder || [wind, gust, from, waves, visibility].some((text) => text.trim() !== '');

type Hour = Forecast['hours'][number];
/** What a row says, SI; undefined while something of it can't be read, which is told field by field. */
export function readHour(row: ForecastRow, fault: Fault = () => undefined): Omit<Hour, 'at'> | undefined {
  const [wind, gust, from] = [readWind(row.wind), readWind(row.gust), readDirection(row.from)];
  const waves = row.waves.trim() === '' ? undefined : readHeight(row.waves);
  if (wind === undefined) fault('wind', phrase('typed.wind'));
  if (gust === undefined) fault('gust', phrase('typed.gust'));
  else if (wind !== undefined && gust < wind) fault('gust', phrase('typed.gust.less'));
  if (from === undefined) fault('from', phrase('typed.from'));
  if (row.waves.trim() !== '' && waves === undefined) fault('waves', phrase('typed.waves'));
  if (wind === undefined || gust === undefined || from === undefined) return undefined;
  const sight = VISIBILITY.find((term) => term.id === row.visibility)?.atLeast;
  return {
    wind,
    gust,
    from,
    thunder: row.thunder,
    ...(waves === undefined ? {} : { waves }),
    ...(sight === undefined ? {} : { visibility: sight }),
  };
}

/** A forecast out of what was typed, SI; or what of it can't be read, field by field. */
export function typedForecast(head: ForecastHead, rows: readonly ForecastRow[]): Read<Forecast> {
  const faults: Faults = {};
  const fault: Fault = (where, say) => void (faults[where] = say);
  const issued = Date.parse(head.issuedAt);
  if (Number.isNaN(issued)) fault('issuedAt', phrase('typed.issued'));
  if (head.source.trim() === '') fault('source', phrase('typed.source'));
  const [air, water] = (['air', 'water'] as const).map((name) => {
    const value = head[name].trim() === '' ? undefined : numberOf(head[name]);
    if (head[name].trim() !== '' && value === undefined) fault(name, phrase('typed.degrees'));
    return value;
  });
  if (!rows.some(saysWeather)) fault('rows', phrase('typed.rows'));
  const moments = momentsOf(rows, head, saysWeather);
  const hours = rows.flatMap((row, i): Forecast['hours'] => {
    if (!saysWeather(row)) return [];
    const at = moments[i];
    const told = readHour(row, (field, say) => fault(`rows/${i}/${field}`, say));
    if (at === undefined) fault(`rows/${i}/time`, phrase('typed.time'));
    if (at === undefined || !told) return [];
    return [
      {
        at: new Date(at).toISOString(),
        ...told,
        ...(air === undefined ? {} : { air }),
        ...(water === undefined ? {} : { water }),
      },
    ];
  });
  if (Object.keys(faults).length > 0) return { faults };
  return { ok: { issuedAt: new Date(issued).toISOString(), source: head.source.trim(), hours } };
}

/** One turn of a tide table as it is written down. */
export interface TideRow {
  time: string;
  height: string;
  turn: 'high' | 'low';
}

/** Does a row of a tide table say anything? */
export const saysTide = ({ time, height }: TideRow): boolean => height.trim() !== '' || time.trim() !== '';

/** A tide table out of what was typed: high and low waters of one day and what follows, metres over its datum. */
export function typedTide(
  head: Days & { name: string; datum: string },
  rows: readonly TideRow[],
): Read<Extract<TideStation, { kind: 'table' }>> {
  const faults: Faults = {};
  if (head.name.trim() === '') faults.name = phrase('typed.station');
  if (rows.filter(saysTide).length < LEAST_TURNS) faults.rows = phrase('typed.turns');
  const moments = momentsOf(rows, head, saysTide);
  const turns = rows.flatMap((row, i) => {
    if (!saysTide(row)) return [];
    const at = moments[i],
      height = readHeight(row.height);
    if (at === undefined) faults[`rows/${i}/time`] = phrase('typed.time');
    if (height === undefined) faults[`rows/${i}/height`] = phrase('typed.height');
    return at === undefined || height === undefined ? [] : [{ i, at, height, turn: row.turn }];
  });
  turns.slice(1).forEach((row, n) => {
    const before = turns[n];
    const wrong = before.turn === row.turn || before.height > row.height !== (before.turn === 'high');
    if (wrong) faults[`rows/${row.i}/height`] ??= phrase('typed.turn');
  });
  return Object.keys(faults).length > 0
    ? { faults }
    : {
        ok: {
          kind: 'table',
          name: head.name.trim(),
          datum: head.datum,
          rows: turns.map(({ at, height, turn }) => ({ at: new Date(at).toISOString(), height, turn })),
        },
      };
}
const LEAST_TURNS = 2;

/** The conditions of a trip: its own forecast, typed by hand, before what a service says. */
export const conditionsFor = (trip: Pick<Trip, 'forecast'>, given: Conditions): Conditions =>
  trip.forecast ? { ...given, forecast: trip.forecast } : given;
