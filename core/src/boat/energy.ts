import type { Boat } from '../model';
import { brent } from '../numeric';
import { BOAT } from './limits';
import { FOOT, HORSEPOWER, HOUR, KNOT, MILES_AN_HOUR, POUND, US_GALLON } from '../units';

/** What is kept back: of fuel a third for out, a third for home, a third in reserve (source `thirds`). */
export const RESERVE = BOAT.limit('reserve');
/** Share of a battery that may be used: half of lead, more of lithium; the careful one (source `battery`). */
export const BATTERY_USABLE = BOAT.limit('battery-usable');
/** Hours that people keep paddling or rowing: two to three for beginners, five to six when fit (source `paddle-pace`). */
export const ENDURANCE = { low: BOAT.limit('arms-low'), high: BOAT.limit('arms-high') };

/**
 * Speed at which a hull rides on its own wave: 1.34·√LWL in feet, here 2.43·√m in knots. Source `hull-speed`.
 * @param length waterline, metres @returns m/s
 * @example hullSpeed(12 * FOOT) // 4.64 kn
 */
export const hullSpeed = (length: number) => 1.34 * Math.sqrt(length / FOOT) * KNOT;

/**
 * Speed with today's weight from the speed with a usual one, at the same power: planing by Crouch, v ∝ √(1/m) (source
 * `crouch`); in displacement drag grows with wetted surface, m^(2/3), and power with v³, so v ∝ m^(−2/9), our own estimate.
 */
export function speedLoaded(speed: number, usual: number, today: number, length: number): number {
  if (today <= usual || usual <= 0) return speed;
  return speed * (usual / today) ** (speed > hullSpeed(length) ? 1 / 2 : 2 / 9);
}

/** Speed of a planing boat by Crouch: v = C / √(lb per hp), mph; C 150 to 180 for runabouts. Source `crouch`. @returns m/s */
export const crouch = (mass: number, watts: number, c = 165) =>
  (c / Math.sqrt(mass / POUND / (watts / HORSEPOWER))) * MILES_AN_HOUR;

/**
 * Fuel a motor burns at full throttle: 0.5 lb a horsepower and hour for a four-stroke at 6.1 lb a gallon, 0.082 gal/h a
 * horsepower; cruising takes half to seven tenths of it. Source `fuel-burn`. @returns m³/s
 * @example fullBurn(90 * HORSEPOWER) // 7.4 gal/h
 */
export const fullBurn = (watts: number) => ((0.5 / 6.1) * (watts / HORSEPOWER) * US_GALLON) / HOUR;

export interface WayHome {
  kind: Boat['propulsion'][number]['kind'];
  /** m/s, with today's load. */
  speed?: number;
  /** Metres one way, with the reserve kept; a range where people tire differently. Absent where nothing says. */
  range?: [number, number];
  /** The speed of the log at which she goes furthest, where that is further than at her usual one. */
  furthest?: { speed: number; range: number };
  /** Fields that would tell more, by pointer. */
  lacks: string[];
}

/** What a motor takes of its store at a speed, and how that is known. */
export interface Rate {
  /** m³/s of fuel, W of a battery. */
  value: number;
  /** Entered for that speed, told between two of a log, of a neighbouring speed, or by a rule of thumb from its power. */
  known: 'said' | 'between' | 'near' | 'rule';
}

/**
 * The store a motor lives on and what it takes of it at a speed (m/s). Between two speeds of the log it is told by a straight line;
 * slower than any it takes no more an hour than at the slowest, faster as the cube of the speed.
 * @returns undefined for what has no store
 */
export function storeOf(
  drive: Boat['propulsion'][number],
  speed: number,
): { held?: number; usable: number; rate?: Rate; fuel: boolean } | undefined {
  const store = STORES[drive.kind];
  if (!store) return undefined;
  const held = drive[store.held];
  const rate = rateAt(drive, store.rate, speed);
  return {
    usable: store.held === 'battery' ? BATTERY_USABLE : 1,
    fuel: store.held === 'tank',
    ...(held === undefined ? {} : { held }),
    ...(rate ? { rate } : {}),
  };
}

/** Speeds nearer than this are one, as a share. */
const ALIKE = BOAT.limit('speeds-alike');

function rateAt(drive: Boat['propulsion'][number], name: 'burn' | 'draw', speed: number): Rate | undefined {
  const usual = drive[name];
  const told = [
    ...(drive.cruise !== undefined && usual !== undefined ? [{ speed: drive.cruise, rate: usual }] : []),
    ...(drive.log ?? []).flatMap((row) => {
      const rate = row[name];
      return rate === undefined ? [] : [{ speed: row.speed, rate }];
    }),
  ].sort((a, b) => a.speed - b.speed);
  const [first, last] = [told[0], told.at(-1)];
  if (!first || !last) {
    if (name === 'draw' || drive.power === undefined) return undefined;
    return { value: fullBurn(drive.power) * CRUISE_SHARE, known: 'rule' };
  }
  const same = told.find((row) => Math.abs(row.speed - speed) <= ALIKE * speed);
  if (same) return { value: same.rate, known: 'said' };
  if (speed < first.speed) return { value: first.rate, known: 'near' };
  if (speed > last.speed) return { value: last.rate * (speed / last.speed) ** 3, known: 'near' };
  const next = told.findIndex((row) => row.speed > speed);
  const [a, b] = [told[next - 1], told[next]];
  const part = (speed - a.speed) / (b.speed - a.speed);
  return { value: a.rate + part * (b.rate - a.rate), known: 'between' };
}

/** What drives her at all; the wind is not under command, but a sail is a way home. */
export function waysHome(boat: Pick<Boat, 'propulsion' | 'mass' | 'length'>, loaded: number): WayHome[] {
  const usual = (boat.mass ?? 0) + USUAL_LOAD;
  return boat.propulsion.map((p, i): WayHome => {
    const at = (field: string) => `/propulsion/${i}/${field}`;
    const cruise = p.cruise ?? p.slow;
    const speed = cruise === undefined ? undefined : speedLoaded(cruise, usual, loaded, boat.length ?? 4);
    const base = {
      kind: p.kind,
      ...(speed === undefined ? {} : { speed }),
      lacks: cruise === undefined ? [at('cruise')] : [],
    };
    const store = STORES[p.kind];
    if (store) {
      const rate =
        p[store.rate] ??
        (store.rate === 'burn' && p.power !== undefined ? fullBurn(p.power) * CRUISE_SHARE : undefined);
      const held = p[store.held],
        usable = held === undefined ? undefined : held * store.usable;
      const range = usable !== undefined && rate && speed !== undefined ? (usable / rate) * speed : undefined;
      const lacks = [
        ...base.lacks,
        ...(held === undefined ? [at(store.held)] : []),
        ...(rate === undefined ? [at(store.rate)] : []),
      ];
      return {
        ...base,
        lacks,
        ...(range === undefined ? {} : { range: [range, range] }),
        ...furthest(
          p.log?.map((l) => ({ speed: l.speed, rate: l[store.rate] })),
          usable,
          range,
        ),
      };
    }
    if (p.kind === 'sail' || speed === undefined) return base;
    return { ...base, range: [ENDURANCE.low * speed, ENDURANCE.high * speed] };
  });
}

interface Store {
  held: 'tank' | 'battery';
  rate: 'burn' | 'draw';
  usable: number;
}
const FUEL: Store = { held: 'tank', rate: 'burn', usable: 1 - RESERVE };
/** What a drive lives on: held in her, used at a rate, down to what is kept back. */
const STORES: Partial<Record<WayHome['kind'], Store>> = {
  outboard: FUEL,
  inboard: FUEL,
  electric: { held: 'battery', rate: 'draw', usable: BATTERY_USABLE },
};

/** Of a log of speeds and rates the one that carries furthest on what may be used, if it beats the usual speed. */
function furthest(
  log: { speed: number; rate: number | undefined }[] | undefined,
  usable: number | undefined,
  usual = 0,
): Pick<WayHome, 'furthest'> {
  if (!log || usable === undefined) return {};
  const [best] = log
    .flatMap(({ speed, rate }) => (rate ? [{ speed, range: (usable / rate) * speed }] : []))
    .sort((a, b) => b.range - a.range);
  return best && best.range > usual ? { furthest: best } : {};
}

/** One person and a little kit, kg: what an owner's "usual speed" was most likely seen with. */
const USUAL_LOAD = BOAT.limit('usual-load');
/** Of full burn at cruising speed: 50 to 70 %. */
const CRUISE_SHARE = BOAT.limit('cruise-share');

/**
 * Speed at which somebody makes way into wind while towing: power into water drag and wind drag of each boat,
 * P = v·Σ(a·v² + b·(v + w)²). Our own model for paddle craft (a 3.77, b 0.306: 16 N at 4 kn, 0.5 m² of windage), shown as
 * an estimate.
 * @param power effective watts, wind m/s at the boats, boats how many move
 * @returns m/s, 0 under a third of a knot: that is holding, not towing
 */
export function towingSpeed(power: number, wind: number, boats: number): number {
  const asked = (v: number) => v * boats * (DRAG.water * v * v + DRAG.air * (v + wind) ** 2);
  const made = asked(FASTEST) <= power ? FASTEST : brent((v) => asked(v) - power, 0, FASTEST);
  return made < NO_WAY ? 0 : made;
}
/** Nothing is paddled faster, m/s. */
const FASTEST = 5;
const NO_WAY = BOAT.limit('no-way');
export const DRAG = { water: 3.77, air: 0.306 } as const;
/** Effective watts of one paddler: 30 to 50 for recreation (source `paddle-power`). */
export const PADDLER = BOAT.limit('paddler');
