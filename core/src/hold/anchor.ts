import anchors from '../../data/hold/anchors.json';
import type { AnchorData, AnchorKind, GearItem, Seabed } from '../model';
import { times, type Band } from '../numeric';
import { G } from '../units';
import { guessed } from '../verdict';
import { HOLD } from './limits';

export const ANCHORS = anchors as unknown as AnchorData;

const band = ([low, high]: readonly [number, number]): Band => ({ low, high });
const around = (bands: Band[]): Band => ({
  low: Math.min(...bands.map(({ low }) => low)),
  high: Math.max(...bands.map(({ high }) => high)),
});

/** What somebody said of an anchor: its kind and its weight, kg. A guess is no answer. */
export interface Anchor {
  kind?: AnchorKind;
  weighs?: number;
  /** Kilograms to reckon with where nobody said: a weight that is usual on such a boat. */
  usual: Band;
}

/** Under this weight nobody's figures can be vouched for, kg. */
export const VOUCHED = HOLD.at('hold/holds', 'unvouched');

/** The anchor of a thing in the shed, as far as it was stated or measured. */
export function anchorOf(item: GearItem, small: boolean): Anchor {
  const said = <T>(value: T | undefined, pointer: string) => (guessed(item, pointer) ? undefined : value);
  const kind = said(item.anchor, '/anchor'),
    weighs = said(item.weighs, '/weighs');
  return {
    ...(kind === undefined ? {} : { kind }),
    ...(weighs === undefined ? {} : { weighs }),
    usual: band(ANCHORS.usual[small ? 'small' : 'other']),
  };
}

/** Bottoms that can lie under *mixed* and under nothing said. */
const BOTTOMS = Object.keys(ANCHORS.friction.rows) as (keyof AnchorData['friction']['rows'])[];
const bottomsOf = (seabed: Seabed | undefined) =>
  seabed === undefined || seabed === 'mixed' ? BOTTOMS : BOTTOMS.filter((bottom) => bottom === seabed);

/** Kinds that dig or hook, and those that only weigh. */
type Digs = keyof AnchorData['rows'];
const DIGS = Object.keys(ANCHORS.rows) as Digs[];
const isDigging = (kind: AnchorKind): kind is Digs => kind in ANCHORS.rows;

/** How good a kind of anchor is for a bottom; undefined for weights, and where either is not known. */
export function gradeOf(kind: AnchorKind | undefined, seabed: Seabed | undefined) {
  if (!kind || !isDigging(kind) || !seabed || seabed === 'mixed') return undefined;
  return ANCHORS.rows[kind][seabed].grade;
}
/** Holding over weight of a kind that digs or hooks, on a bottom or over all of them; undefined for weights. */
export const ratioOf = (kind: AnchorKind | undefined, seabed: Seabed | undefined): Band | undefined =>
  kind && isDigging(kind)
    ? around(bottomsOf(seabed).map((bottom) => band(ANCHORS.rows[kind][bottom].ratio)))
    : undefined;
/** Kinds of anchor that are good on a bottom. */
export const goodOn = (seabed: Seabed): Digs[] => DIGS.filter((kind) => gradeOf(kind, seabed) === 'good');

/** Share of its holding that is left when the line leads up by an angle (radians) at the anchor: between the rows, straight. */
export function leadShare(angle: number): Band {
  const degrees = (angle * 180) / Math.PI;
  const { rows } = ANCHORS.lead;
  const next = rows.findIndex((row) => row.degrees >= degrees);
  const b = rows[next < 0 ? rows.length - 1 : next],
    a = rows[Math.max(0, next - 1)];
  const part = b.degrees === a.degrees || next < 0 ? 1 : (degrees - a.degrees) / (b.degrees - a.degrees);
  const at = (i: 0 | 1) => a.share[i] + part * (b.share[i] - a.share[i]);
  return { low: at(0), high: at(1) };
}

/**
 * What a weight on the ground holds, level: T·cos α = μ·(W − T·sin α), so H = μ·W/(1 + μ·tan α) (Coulomb;
 * source `dead-weight`).
 * @param weight under water, N @param angle of the line at the weight, radians, 0 to a right angle
 * @example 15 kg of concrete on sand, line level: 84 N × 0.6 to 0.7
 */
export const dragged = (weight: number, friction: number, angle: number): number =>
  (friction * weight) / (1 + friction * Math.tan(angle));

/** By weight alone, newtons level. */
function byWeight(mass: Band, submerged: number, seabed: Seabed | undefined, angle: number): Band {
  return around(
    bottomsOf(seabed).map((bottom) => {
      const [low, high] = ANCHORS.friction.rows[bottom];
      return {
        low: dragged(mass.low * G * submerged, low, angle),
        high: dragged(mass.high * G * submerged, high, angle),
      };
    }),
  );
}

function ofKind(kind: AnchorKind, mass: Band, seabed: Seabed | undefined, angle: number): Band {
  if (!isDigging(kind)) return byWeight(mass, ANCHORS.weights[kind], seabed, angle);
  const lies = byWeight(mass, ANCHORS.iron, seabed, angle);
  const digs = ratioOf(kind, seabed) ?? { low: 0, high: 0 };
  const dug = times(times(digs, { low: mass.low * G, high: mass.high * G }), leadShare(angle));
  // What does not bite still lies there.
  return { low: Math.max(dug.low, lies.low), high: Math.max(dug.high, lies.high) };
}

/**
 * What an anchor holds on a bottom, level, newtons; the line leads up from it by an angle (radians). What nobody said of kind, weight
 * or bottom widens the band over all that it may be. Ratios of holding to weight are from memory and scatter (source `anchor-tests`).
 */
export function holding({ kind, weighs, usual }: Anchor, seabed: Seabed | undefined, angle: number): Band {
  const mass = weighs === undefined ? usual : { low: weighs, high: weighs };
  const kinds: readonly AnchorKind[] =
    kind === undefined ? ([...DIGS, ...Object.keys(ANCHORS.weights)] as AnchorKind[]) : [kind];
  return around(kinds.map((each) => ofKind(each, mass, seabed, angle)));
}
