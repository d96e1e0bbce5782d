import { plusDays, wallToInstant } from '../earth';
import type { Phrase, StreamHours, StreamTurns } from '../model';
import { phrase } from '../say';
import { KNOT } from '../units';

/** A table of a stream as it is typed or pasted, a line a row; what can't be read is told line by line. */
export type StreamRead<R> = { rows: R[]; faults: Phrase[] };

const lines = (text: string) =>
  text
    .split(/\r?\n/)
    .map((line, i) => ({
      n: i + 1,
      line: line
        .trim()
        .replaceAll('−', '-')
        .replace(/(\d),(\d)/g, '$1.$2'),
    }))
    .filter(({ line }) => line !== '');

const TURN =
  /^(?:(\d{4}-\d\d-\d\d)[ T]+)?([01]?\d|2[0-3])[:.]([0-5]\d)\s+(slack|flood|ebb)(?:\s+([\d.]+)\s*(kn|m\/s)?)?$/i;
/** Faster than any stream that somebody in a small boat looks up. */
const MOST = 8;

/**
 * Turns: `03:10 slack`, `06:05 flood 1.2`, `2026-05-12 09:20 slack`. Knots unless m/s stands there. An hour earlier than the one
 * before is of the next day.
 */
export function readStreamTurns(
  text: string,
  { date, zone }: { date: string; zone: string },
): StreamRead<StreamTurns['rows'][number]> {
  const faults: Phrase[] = [];
  const rows: StreamTurns['rows'] = [];
  let day = date,
    before = '';
  for (const { n, line } of lines(text)) {
    const [, named, h, m, word, value, unit] = TURN.exec(line) ?? [];
    if (word === undefined) {
      faults.push(phrase('typed.stream.turn', { n }));
      continue;
    }
    const time = `${h.padStart(2, '0')}:${m}`;
    day = named ?? (before !== '' && time < before ? plusDays(day, 1) : day);
    before = time;
    const wall = wallToInstant(day, time, zone);
    const speed = speedOf(word, value, unit);
    if (speed === undefined) faults.push(phrase('typed.stream.speed', { n }));
    else if ('gap' in wall) faults.push(phrase('typed.stream.gap', { n }));
    else rows.push({ at: new Date(wall.at).toISOString(), speed });
  }
  if (faults.length === 0 && rows.length < 2) faults.push(phrase('typed.stream.rows'));
  return { rows, faults };
}

function speedOf(word: string, value: string | undefined, unit: string | undefined): number | undefined {
  if (/slack/i.test(word)) return value === undefined ? 0 : undefined;
  const speed = Number(value) * (unit === 'm/s' ? 1 : KNOT);
  if (!Number.isFinite(speed) || speed <= 0 || speed > MOST) return undefined;
  return /flood/i.test(word) ? speed : -speed;
}

const HOUR_ROW = /^(?:HW\s*)?([+-]?\d)?h?\s+(\d{1,3})°?\s+([\d.]+)(?:\s+([\d.]+))?\s*(kn|m\/s)?$/i;
/** Hours of a table. */
const SIDES = 7;

/** Hours: `-3 045 1.4 0.7` or `HW+1 060 0.9`: hours from high water, towards, at springs, at neaps. Knots unless m/s stands there. */
export function readStreamHours(text: string): StreamRead<StreamHours['rows'][number]> {
  const faults: Phrase[] = [];
  const rows: StreamHours['rows'] = [];
  for (const { n, line } of lines(text)) {
    const found = HOUR_ROW.exec(line.replace(/^HW\s+(?=\d{1,3}°?\s)/i, 'HW0 '));
    const hour = Number(found?.[1] ?? 0),
      direction = Number(found?.[2]);
    const by = found?.[5] === 'm/s' ? 1 : KNOT;
    const springs = Number(found?.[3]) * by,
      neaps = found?.[4] === undefined ? undefined : Number(found[4]) * by;
    const fits =
      found !== null &&
      Math.abs(hour) <= SIDES &&
      direction <= 360 &&
      springs <= MOST &&
      (neaps ?? 0) <= MOST;
    if (!fits) faults.push(phrase('typed.stream.hour', { n }));
    else if (rows.some((row) => row.hour === hour)) faults.push(phrase('typed.stream.twice', { n, hour }));
    else rows.push({ hour, direction, springs, ...(neaps === undefined ? {} : { neaps }) });
  }
  if (faults.length === 0 && rows.length < 2) faults.push(phrase('typed.stream.rows'));
  return { rows: rows.sort((a, b) => a.hour - b.hour), faults };
}
