import flotation from '../../data/boat/flotation.json';
import type { Boat, FlotationData, Phrase } from '../model';
import { phrase } from '../say';
import { BOAT } from './limits';
import { equilibrium, freeboards, together, whole, type Body, type Outcome, type Weight } from './float';
import { breadthAt, keelAt, sheerAt, type Hull, type Strip } from './hull';

export type { FlotationData };
export const FLOTATION = flotation as unknown as FlotationData;

/** Stretches of the hull in which floating parts stand, as shares of the length. */
const STRETCH = { bow: [0.62, 0.98], middle: [0.35, 0.65], stern: [0.02, 0.38], all: [0, 1] } as const;

const stretch = (hull: Hull, [from, to]: readonly [number, number]): Strip[] =>
  hull.strips.filter(({ x }) => x >= from * hull.length && x <= to * hull.length);

/** Bands along both sides, from the turn of the bilge up: where makers put foam for level flotation, and where tubes lie. */
function sides(hull: Hull): Strip[] {
  const { form, beam, depth, length } = hull;
  return hull.strips.map(({ x, width }) => {
    const u = x / length,
      half = (breadthAt(form, u) * beam) / 2,
      sheer = sheerAt(form, depth, u),
      keel = keelAt(form, depth, u);
    const inner = half * 0.62,
      low = keel + (sheer - keel) * 0.4;
    const ring = (side: 1 | -1) =>
      Float64Array.from(
        side > 0
          ? [inner, low, half, low, half, sheer, inner, sheer]
          : [-half, low, -inner, low, -inner, sheer, -half, sheer],
      );
    return { x, width, rings: [ring(1), ring(-1)] };
  });
}

/** Two round tubes as high as the hull is deep. */
function tubes(hull: Hull): Strip[] {
  const { form, beam, depth, length } = hull;
  const CORNERS = 12;
  return hull.strips.map(({ x, width }) => {
    const u = x / length,
      half = (breadthAt(form, u) * beam) / 2,
      keel = keelAt(form, depth, u),
      r = Math.min(depth / 2, half / 2);
    const ring = (side: 1 | -1) =>
      Float64Array.from(
        Array.from({ length: CORNERS }, (_, i) => [
          side * (half - r) + r * Math.cos((2 * Math.PI * i) / CORNERS),
          keel + r + r * Math.sin((2 * Math.PI * i) / CORNERS),
        ]).flat(),
      );
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
export function shellVolume(
  { kind, material, mass }: Pick<Boat, 'kind' | 'material' | 'mass'>,
  data: FlotationData = FLOTATION,
): number {
  return (mass ?? 0) / (1000 * data.materials[material ?? data.guess[kind]]);
}

type Floats = Pick<Boat, 'kind' | 'material' | 'mass' | 'reserve' | 'flotation'>;

/** Each floating part as the body it is. */
const partsOf = (parts: readonly Reserve[], hull: Hull): Body[] =>
  parts.map(({ where, litres }) =>
    filled(where === 'sides' ? sides(hull) : stretch(hull, STRETCH[where]), litres / 1000),
  );

/** Tubes are what an inflatable is made of; nobody has to say so. */
const tubesOf = (boat: Floats, hull: Hull): Body[] =>
  boat.flotation === 'air-bags' && (boat.kind === 'inflatable' || boat.kind === 'raft')
    ? [{ strips: tubes(hull), share: 1 }]
    : [];

/** What still displaces water when everything that can fill has filled: her own stuff and every floating part. */
export function floaters(
  boat: Floats,
  hull: Hull,
  extra: readonly Reserve[] = [],
  data: FlotationData = FLOTATION,
): Body[] {
  return [
    filled(hull.strips, shellVolume(boat, data)),
    ...partsOf([...(boat.reserve ?? []), ...extra], hull),
    ...tubesOf(boat, hull),
  ];
}

/** The hull as it is while everything is shut. */
export const shutHull = (hull: Hull): Body[] => [{ strips: hull.strips, share: 1 }];

/**
 * The space that one opening floods: the closed compartment that it leads into, or all of the hull that its floating parts,
 * its own stuff and its other compartments leave. Of two hulls the one that it is in.
 */
export function spaceOf(
  boat: Floats,
  hull: Hull,
  hole: { y: number; where?: Reserve['where'] },
  data: FlotationData = FLOTATION,
): Body[] {
  const compartment = (boat.reserve ?? []).filter(
    (part) => part.what === 'compartment' && part.where === hole.where,
  );
  const side = hole.y >= 0 ? 1 : -1;
  const half = (body: Body): Body =>
    hull.form.hulls ? { ...body, strips: onSide(body.strips, side) } : body;
  if (compartment.length > 0) return partsOf(compartment, hull).map(half);
  const less = floaters(boat, hull, [], data).map(half);
  return [half({ strips: hull.strips, share: 1 }), ...less.map((body) => ({ ...body, share: -body.share }))];
}

const onSide = (strips: readonly Strip[], side: 1 | -1): Strip[] =>
  strips.map((strip) => ({
    ...strip,
    rings: strip.rings.filter((ring) => Math.sign(ring[0] + ring[ring.length - 2]) === side),
  }));

export interface Swamped {
  outcome: Outcome;
  /** She lies level within the stated limits, with everyone in their seats. */
  seated: boolean;
  /** kg she bears over her own weight and what lies in her, everything under water; below 0 she sinks. */
  spare: number;
  /** How many of the crew she bears, each borne in part by the water. */
  carries: number;
  /** Litres of foam that would just hold her. */
  lacking: number;
}

/**
 * Full of water to the sea: does she float, how does she lie, whom does she still carry? First with everyone in their seats:
 * if she then lies level within the limits of the flotation test (33 CFR 183: heel, and how deep her edge is), they can
 * sit in her. Else people hang on outside while the balance is struck. A sum of displaced volumes (Archimedes); a person in
 * the water counts with a share of the weight, as that test does.
 * @param density of the water, kg/m³
 */
export function swamped(
  hull: Hull,
  bodies: Body[],
  boat: Weight,
  gear: readonly Weight[],
  crew: readonly Weight[],
  density: number,
  data: FlotationData = FLOTATION,
): Swamped {
  const weight = together([boat, ...gear]);
  const bears = whole(bodies).volume * density;
  const spare = bears - weight.mass;
  const lacking = Math.max(0, foamLitres(-spare, density));
  const balance = (weights: readonly Weight[]) =>
    equilibrium({ bodies, weight: together(weights), density, length: hull.length, beam: hull.beam });
  const shares = crew.map((c) => ({ ...c, mass: c.mass * data.inWater.share }));
  let carries = 0,
    left = spare;
  for (const { mass } of [...shares].sort((a, b) => a.mass - b.mass)) {
    left -= mass;
    if (left < 0) break;
    carries += 1;
  }
  if (spare < 0) return { outcome: { state: 'sinks' }, seated: false, spare, carries, lacking };
  if (carries === crew.length) {
    const outcome = balance([weight, ...shares]);
    if (liesLevel(hull, outcome, data)) return { outcome, seated: true, spare, carries, lacking };
  }
  return { outcome: balance([weight]), seated: false, spare, carries, lacking };
}

/** Within the limits of the flotation test: heel and trim, and no point of her edge deeper than stated. */
export function liesLevel(hull: Hull, outcome: Outcome, { level }: FlotationData = FLOTATION): boolean {
  if (outcome.state !== 'floats') return false;
  const { heel, trim, plane } = outcome.at;
  const degrees = (angle: number) => (Math.abs(angle) * 180) / Math.PI;
  return (
    degrees(heel) <= level.heel && degrees(trim) <= level.trim && freeboards(hull, plane).lowest >= level.edge
  );
}

/** Amounts of water, as shares of what she holds, at which a filling boat is looked at. */
const FILLING = [0.15, 0.35, 0.6, 0.85];

/** Does she stay upright while she fills, with everyone aboard? Free water may roll over what lies level in the end. */
export function uprightFilling(
  hull: Hull,
  space: readonly Body[],
  weights: readonly Weight[],
  density: number,
): boolean {
  const room = whole(space).volume;
  const weight = together(weights);
  return FILLING.every((share) => {
    const inside = { space, volume: room * share };
    const found = equilibrium({
      bodies: shutHull(hull),
      weight,
      density,
      length: hull.length,
      beam: hull.beam,
      inside,
    });
    // Deeper than her edge she is swamped, and that is looked at by itself.
    return found.state === 'floats' || found.state === 'sinks';
  });
}

/** Whom of so many aboard she bears when she is full: only a boat that lies level with them in it can be sat in. */
export function bearing({ seated, carries }: Pick<Swamped, 'seated' | 'carries'>, aboard: number): Phrase {
  if (!seated && carries === 0) return phrase('swamped.clings.none');
  return phrase(`swamped.${seated ? 'carries' : 'clings'}${carries >= aboard ? '.all' : ''}` as const, {
    n: carries,
  });
}

/** Density of closed-cell foam, kg/m³ (two pounds a cubic foot). */
export const FOAM_DENSITY = BOAT.limit('foam-density');
/** Litres of foam that bear so many kilograms under water. `foamLitres(114.1, 1000)` is 117.9. */
export const foamLitres = (mass: number, density: number) => (mass / (density - FOAM_DENSITY)) * 1000;
/**
 * Share of its weight that a material still weighs under fresh water: (SG − 1) / SG; below 0 it floats.
 * Source `cfr-33-183`, table of factors.
 */
export const submergedShare = (gravity: number) => (gravity - 1) / gravity;
