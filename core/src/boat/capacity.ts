import powerings from '../../data/boat/powering.json';
import type { Boat, PoweringData } from '../model';
import { FOOT, HORSEPOWER, INCH, POUND } from '../units';
import { whole } from './float';
import type { Hull } from './hull';
import { BOAT } from './limits';

/** Craft for which length × beam says nothing (source `no-plate-rule`; the maker's word is the only one). */
const NO_PERSONS_RULE: ReadonlySet<Boat['kind']> = new Set([
  'sit-on-top',
  'sit-inside',
  'canoe',
  'paddleboard',
  'personal-watercraft',
  'inflatable',
  'catamaran',
  'raft',
]);
/** Divisor of the rule, ft² a person. */
const SQUARE_FEET_EACH = BOAT.limit('square-feet');

/**
 * Persons a monohull without a plate carries in calm water: floor(L·B / 15), feet. Source `no-plate-rule`.
 * Some handbooks round to nearest; rounding down is the careful choice.
 * @param length, beam metres, above 0
 * @returns undefined for craft to which the rule does not apply
 * @example personsRule('skiff', 14 * FOOT, 5 * FOOT) // 4
 */
export function personsRule(kind: Boat['kind'], length: number, beam: number): number | undefined {
  if (NO_PERSONS_RULE.has(kind)) return undefined;
  // A length typed as 12 ft comes back as 11.999…: a ten-millionth of a person is rounding, not a rule.
  return Math.floor(((length / FOOT) * (beam / FOOT)) / SQUARE_FEET_EACH + 1e-7);
}

/**
 * Persons from persons' capacity in pounds: round((P + 32) / 141), 33 CFR 183.39 to .43, source `cfr-33-183`.
 * @example personsFromPounds(420) // 3
 */
export function personsFromPounds(pounds: number): number {
  return Math.floor((pounds + 32) / 141 + 0.5);
}

/**
 * Monohulls under this length carry a capacity plate in the United States (33 CFR 183.21), but for craft of
 * the list above and sailboats.
 */
export const PLATED_UNDER = BOAT.limit('plated-under');

/** Do subparts B to D of 33 CFR 183 speak of this boat? Undefined while her length is not known. */
export function plated({
  kind,
  length,
  propulsion,
}: Pick<Boat, 'kind' | 'length' | 'propulsion'>): boolean | undefined {
  if (NO_PERSONS_RULE.has(kind) || propulsion.some((p) => p.kind === 'sail')) return false;
  return length === undefined ? undefined : length < PLATED_UNDER;
}

export type Driven = 'outboard' | 'inboard' | 'manual';

/**
 * Weight capacity from maximum displacement and empty weight: persons, motor and gear. 33 CFR 183.33, .35, .37, source
 * `cfr-33-183`. Any one unit of mass. Inboards: the greater of (MD − BW − 4·machinery)/5 and (MD − BW)/7.
 * @example weightCapacity('outboard', 2600, 450) // 430
 */
export function weightCapacity(driven: Driven, displacement: number, boat: number, machinery = 0): number {
  const room = displacement - boat;
  if (driven === 'manual') return 0.3 * room;
  return driven === 'outboard' ? room / 5 : Math.max((room - 4 * machinery) / 5, room / 7);
}

/** Mass of the water she displaces when it just does not come in: the hull up to the lowest point of her edge, level, kg. */
export function maximumDisplacement(hull: Hull, density = 1000): number {
  const lowest = Math.min(...hull.edge.map((e) => e.z));
  return (
    density *
    whole([
      {
        strips: hull.strips.map((s) => ({
          ...s,
          rings: s.rings.map((ring) => ring.map((v, i) => (i % 2 === 1 ? Math.min(v, lowest) : v))),
        })),
        share: 1,
      },
    ]).volume
  );
}

export type { PoweringData };
export const POWERING = powerings as PoweringData;

/**
 * Most outboard power of a monohull by 33 CFR 183.53: factor = length × transom width in feet, rounded; a table up to 52,
 * a formula above; rounded up to the next 5 hp. Source `cfr-33-183`. Never for kayaks, canoes, inflatables: their plate.
 * @param length, width, transom metres @returns watts
 * @example powering({ length: 14 * FOOT, width: 4.5 * FOOT, remote: true, transom: 20 * INCH }, data) // 40 hp
 */
export function powering(
  {
    length,
    width,
    flat = false,
    remote = false,
    transom = 0,
  }: { length: number; width: number; flat?: boolean; remote?: boolean; transom?: number },
  data: PoweringData = POWERING,
): number {
  const factor = Math.round((length / FOOT) * (width / FOOT) + 1e-7);
  const step = data.lowFactor.findIndex((row) => factor <= row.upTo);
  // A flat bottom with hard chines steps down one row.
  if (step >= 0) return data.lowFactor[flat ? Math.max(0, step - 1) : step].horsepower * HORSEPOWER;
  const { times, minus } =
    remote && transom >= data.remoteTransomInches * INCH - 1e-9 ? data.remote : flat ? data.flat : data.other;
  return Math.ceil((times * factor - minus) / data.roundUpTo - 1e-9) * data.roundUpTo * HORSEPOWER;
}

/** What a builder's plate counts a person as, kg (ISO 14946, source `iso-14946`). */
export const PLATE_PERSON = BOAT.limit('plate-person');

/**
 * What an outboard and its battery and tank weigh by the federal table, kg. Source `cfr-33-183`, recalled.
 * @param watts of the motor @returns undefined beyond the table
 */
export function equipmentWeight(
  watts: number,
  { equipment }: Pick<PoweringData, 'equipment'> = POWERING,
): number | undefined {
  const row = equipment.rows.find(({ upTo }) => watts / HORSEPOWER <= upTo + 1e-6);
  return row && row.pounds * POUND;
}

/**
 * Weight and persons by the federal formulas from her own hull, where no plate says: an estimate, for monohulls of the rule
 * alone. Persons of an outboard boat are what motor, battery and tank leave (183.41); without the motor's power they are left
 * out. Of a manual boat's capacity nine tenths are people (183.43).
 */
export function capacityEstimate(
  boat: Pick<Boat, 'kind' | 'length' | 'propulsion' | 'mass'>,
  hull: Hull,
  data: PoweringData = POWERING,
): { mass: number; persons?: number } | undefined {
  if (plated(boat) !== true || boat.mass === undefined) return undefined;
  const outboards = boat.propulsion.filter((p) => p.kind === 'outboard');
  const inboard = boat.propulsion.some((p) => p.kind === 'inboard');
  const driven = outboards.length > 0 ? 'outboard' : inboard ? 'inboard' : 'manual';
  const mass = Math.max(0, weightCapacity(driven, maximumDisplacement(hull), boat.mass));
  const people =
    driven === 'manual' ? 0.9 * mass : driven === 'inboard' ? mass : mass - equipmentOf(outboards, data);
  return {
    mass,
    ...(Number.isNaN(people) ? {} : { persons: Math.max(0, personsFromPounds(Math.max(0, people) / POUND)) }),
  };
}

/** NaN where a power is not known or beyond the table. */
function equipmentOf(outboards: Boat['propulsion'], data: PoweringData): number {
  return outboards.reduce(
    (sum, { power }) => sum + (power === undefined ? NaN : (equipmentWeight(power, data) ?? NaN)),
    0,
  );
}
