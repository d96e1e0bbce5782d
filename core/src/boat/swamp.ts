import type { Boat, Phrase } from '../model';
import type { Craft } from '../model/lists';
import { phrase } from '../say';
import { equilibrium, together, whole, type Body, type Outcome, type Weight } from './float';
import { breadthAt, keelAt, sheerAt, type Hull, type Strip } from './hull';

/** What keeps swamped boats up (`core/data/flotation.json`): specific gravities of hulls, a usual bag, what a person in the water weighs. */
export interface FlotationData {
  materials: Record<NonNullable<Boat['material']>, number>;
  guess: Record<Craft, NonNullable<Boat['material']>>;
  bags: { litres: number };
  inWater: { share: number };
}

/** Stretches of the hull in which floating parts stand, as shares of the length. */
const STRETCH = { bow: [0.62, 0.98], middle: [0.35, 0.65], stern: [0.02, 0.38], all: [0, 1] } as const;

const stretch = (hull: Hull, [from, to]: readonly [number, number]): Strip[] => hull.strips.filter(({ x }) => x >= from * hull.length && x <= to * hull.length);

/** Bands along both sides, from the turn of the bilge up: where makers put foam for level flotation, and where tubes lie. */
function sides(hull: Hull): Strip[] {
  const { form, beam, depth, length } = hull;
  return hull.strips.map(({ x, width }) => {
    const u = x / length, half = (breadthAt(form, u) * beam) / 2, sheer = sheerAt(form, depth, u), keel = keelAt(form, depth, u);
    const inner = half * 0.62, low = keel + (sheer - keel) * 0.4;
    const ring = (side: 1 | -1) => Float64Array.from(side > 0 ? [inner, low, half, low, half, sheer, inner, sheer] : [-half, low, -inner, low, -inner, sheer, -half, sheer]);
    return { x, width, rings: [ring(1), ring(-1)] };
  });
}

/** Two round tubes as high as the hull is deep. */
function tubes(hull: Hull): Strip[] {
  const { form, beam, depth, length } = hull;
  const CORNERS = 12;
  return hull.strips.map(({ x, width }) => {
    const u = x / length, half = (breadthAt(form, u) * beam) / 2, keel = keelAt(form, depth, u), r = Math.min(depth / 2, half / 2);
    const ring = (side: 1 | -1) => Float64Array.from(Array.from({ length: CORNERS }, (_, i) => [side * (half - r) + r * Math.cos((2 * Math.PI * i) / CORNERS), keel + r + r * Math.sin((2 * Math.PI * i) / CORNERS)]).flat());
    return { x, width, rings: [ring(1), ring(-1)] };
  });
}

/** Of strips as much as holds so many cubic metres; never more than all of them. */
function filled(strips: Strip[], volume: number): Body {
  const room = whole([{ strips, share: 1 }]).volume;
  return { strips, share: room > 0 ? Math.min(1, volume / room) : 0 };
}

export type Reserve = NonNullable<Boat['reserve']>[number];

/** Volume of the hull's own stuff, m³: its mass by its density. */
export function shellVolume({ kind, material, mass }: Pick<Boat, 'kind' | 'material' | 'mass'>, data: FlotationData): number {
  return (mass ?? 0) / (1000 * data.materials[material ?? data.guess[kind]]);
}

/** What still displaces water when she is full of it: her own stuff and every floating part; a sealed hull, all of it. */
export function floaters(boat: Pick<Boat, 'kind' | 'material' | 'mass' | 'reserve' | 'flotation'>, hull: Hull, data: FlotationData, extra: Reserve[] = []): Body[] {
  if (boat.flotation === 'sealed-hull') return [{ strips: hull.strips, share: 1 }];
  const parts = [...(boat.reserve ?? []), ...extra].map(({ where, litres }) => filled(where === 'sides' ? sides(hull) : stretch(hull, STRETCH[where]), litres / 1000));
  // Tubes are what an inflatable is made of; nobody has to say so.
  if (boat.flotation === 'air-bags' && (boat.kind === 'inflatable' || boat.kind === 'raft')) parts.push({ strips: tubes(hull), share: 1 });
  return [filled(hull.strips, shellVolume(boat, data)), ...parts];
}

export interface Swamped {
  outcome: Outcome;
  /** kg she bears over her own weight and what lies in her, everything under water; below 0 she sinks. */
  spare: number;
  /** How many of the crew can sit in her, each borne in part by the water. */
  carries: number;
  /** Litres of foam that would just hold her. */
  lacking: number;
}

/**
 * Full of water to the sea: does she float, how does she lie, whom does she still carry? People hang on outside while the
 * balance is struck. A sum of displaced volumes (Archimedes); a person in the water counts with a share of the weight, as
 * the flotation test of 33 CFR 183 does.
 * @param density of the water, kg/m³
 */
export function swamped(hull: Hull, bodies: Body[], boat: Weight, gear: readonly Weight[], crew: readonly number[], density: number, data: FlotationData): Swamped {
  const weight = together([boat, ...gear]);
  const bears = whole(bodies).volume * density;
  const spare = bears - weight.mass;
  const outcome: Outcome = spare < 0 ? { state: 'sinks' } : equilibrium({ bodies, weight, density, length: hull.length, beam: hull.beam });
  let carries = 0, left = spare;
  for (const mass of [...crew].sort((a, b) => a - b)) {
    left -= mass * data.inWater.share;
    if (left < 0) break;
    carries += 1;
  }
  return { outcome, spare, carries, lacking: Math.max(0, foamLitres(-spare, density)) };
}

/** Whom of so many aboard she bears when she is full: only a boat that lies level can be sat in, another is held on to. */
export function bearing({ outcome, carries }: Pick<Swamped, 'outcome' | 'carries'>, aboard: number): Phrase {
  return phrase(`swamped.${outcome.state === 'floats' ? 'carries' : 'clings'}${carries >= aboard ? '.all' : ''}` as const, { n: carries });
}

/** Density of closed-cell foam, kg/m³ (two pounds a cubic foot). */
export const FOAM_DENSITY = 32;
/** Litres of foam that bear so many kilograms under water. `foamLitres(114.1, 1000)` is 117.9. */
export const foamLitres = (mass: number, density: number) => (mass / (density - FOAM_DENSITY)) * 1000;
/** Share of its weight that a material still weighs under fresh water: (SG − 1) / SG; below 0 it floats. Source `cfr-33-183`, table of factors. */
export const submergedShare = (gravity: number) => (gravity - 1) / gravity;
