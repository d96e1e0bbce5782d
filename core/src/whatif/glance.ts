import type { LatLon } from '../earth';
import type { IncidentKind } from '../model/lists';
import type { AssessInput } from '../trip/context';
import { oneWorse } from '../water';
import { gapsOf, worseFirst, type Gap, type Grade } from './gaps';
import { incidentsFor, MEASURES } from './incidents';
import { WHATIF } from './limits';
import { plannedMoment } from './moment';
import { reckon } from './reckon';
import type { Standing } from './standing';

/** The worst gap of one incident at one point of the day. */
export interface Cell {
  incident: IncidentKind;
  grade: Grade;
  open: boolean;
  /** Which measure it is, and its cautious end, seconds. */
  measure?: string;
  high: number;
}

/** A point of the day, from first to last, with a cell for each incident. */
export interface Column {
  n: number;
  at: number;
  here: LatLon;
  /** To the nearest landing, metres; no end where none is known. */
  off: number;
  cells: Cell[];
}

const POINTS = WHATIF.limit('glance-points');

/** Points in an order that tells of the whole day soon: far apart first, then between. */
export function inStrides(count: number): number[] {
  const order: number[] = [];
  const seen = new Set<number>();
  for (let stride = 2 ** Math.floor(Math.log2(Math.max(1, count))); stride >= 1; stride /= 2)
    for (let i = 0; i < count; i += stride)
      if (!seen.has(i)) {
        seen.add(i);
        order.push(i);
      }
  return order;
}

/** The weather of the trip a force stronger and two hours earlier. */
export function inWorse(input: AssessInput): AssessInput {
  const { trip, conditions } = input;
  return {
    ...input,
    trip: trip.forecast ? { ...trip, forecast: oneWorse(trip.forecast) } : trip,
    conditions: conditions.forecast ? { ...conditions, forecast: oneWorse(conditions.forecast) } : conditions,
  };
}

/** Every point of the day against every incident, by the cautious end: nothing where no hours are known. */
export function* glance(standing: Standing): Generator<{ done: number; of: number; column: Column }, void> {
  const { schedule } = standing.assessment;
  if (!schedule || schedule.home === undefined) return;
  const { leave, home } = schedule;
  const rows = incidentsFor(standing.context);
  for (const [done, n] of inStrides(POINTS).entries()) {
    const at = leave + ((home - leave) * n) / (POINTS - 1);
    const moment = plannedMoment(standing, at);
    if (!moment) continue;
    const cells = rows.map(({ id }): Cell => cellOf(id, gapsOf(reckon(standing, moment, { id }))[0]));
    yield {
      done: done + 1,
      of: POINTS,
      column: { n, at, here: moment.here, off: moment.landing()?.landing.metres ?? Infinity, cells },
    };
  }
}

const cellOf = (incident: IncidentKind, worst: Gap | undefined): Cell =>
  worst
    ? {
        incident,
        grade: worst.grade,
        open: worst.leans.length > 0,
        measure: worst.measure.id,
        high: worst.gap.high,
      }
    : { incident, grade: 0, open: false, high: 0 };

type Spot = Pick<Column, 'at' | 'here' | 'off'>;

/** The worst moments of a day, each of another incident: by how bad they are, then how long, then how far off. */
export function worstMoments(columns: readonly Column[], count = SHOWN): (Cell & Spot)[] {
  const worst = new Map<string, Cell & Spot>();
  for (const { at, here, off, cells } of columns)
    for (const cell of cells) {
      const next = { ...cell, at, here, off };
      const held = worst.get(cell.incident);
      if (cell.grade > 0 && (!held || worse(next, held) < 0)) worst.set(cell.incident, next);
    }
  return [...worst.values()].sort(worse).slice(0, count);
}
const SHOWN = WHATIF.limit('worst-shown');

const worse = (a: Cell & Spot, b: Cell & Spot): number =>
  worseFirst(asGap(a), asGap(b)) || rank(a) - rank(b) || (a.off === b.off ? 0 : b.off > a.off ? 1 : -1);
/** What is at stake: lives stand before a boat that drifts. */
const rank = ({ measure }: Cell): number => MEASURES.findIndex(({ id }) => id === measure);
const asGap = ({ grade, high }: Cell) => ({ grade, gap: { high } });
