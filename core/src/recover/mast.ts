import table from '../../data/recover/catamaran.json';
import { AIR } from '../water';
import { RECOVER } from './limits';
import { G } from './lean';

// A catamaran on her side with the tip of her mast on the water: she turns about her lower hull. Her mast hangs below level
// by the angle whose tangent is half her beam over its length, and her platform leans over by as much. Metres, kg, radians.

/** What counts of a catamaran that lies on her side. */
export interface Rigged {
  /** Between the outsides of her hulls. */
  beam: number;
  length: number;
  mast: number;
  mastMass: number;
  sailMass: number;
  /** Of all of her. */
  mass: number;
  /** A float at the mast head. */
  float: boolean;
}

/** How far the mast hangs below level, and the platform past upright, while the tip lies on the water. */
export const restAngle = ({ beam, mast }: Pick<Rigged, 'beam' | 'mast'>): number =>
  Math.atan(beam / (2 * mast));

const MAST = RECOVER.limit('mast-middle'),
  SAIL = RECOVER.limit('sail-middle'),
  WATER = RECOVER.limit('water-middle'),
  FLOAT = RECOVER.limit('float-mass');

/**
 * What holds her down about her lower hull, N·m. It is greatest while the tip lies on the water, and from there it falls.
 * @param lean of the platform past upright towards the mast, from `restAngle` down to 0 where the mast lies level
 * @param water in the main, kg
 * @example the 14 ft row of the table: 60.8 kg·m, numbers of our own
 */
export function holdsDown(rig: Rigged, lean: number, water = 0): number {
  const { beam, mast, mastMass, sailMass, mass, float } = rig;
  const platform = mass - mastMass - sailMass;
  const over = (beam / 2) * Math.sin(lean);
  const at = (share: number) => over + share * mast * Math.cos(lean);
  return (
    G *
    (mastMass * at(MAST) +
      sailMass * at(SAIL) +
      water * at(WATER) +
      (float ? FLOAT : 0) * at(1) +
      platform * over)
  );
}

const DRAG = RECOVER.limit('drag'),
  LOW = RECOVER.limit('wind-low'),
  DECK = RECOVER.limit('deck-share');

/**
 * What the wind on her platform does about her lower hull, N·m: it holds her down with the mast downwind, helps with the mast
 * upwind, and does neither with her bow to it. ½·ρ·Cd·A·V² at half her beam.
 * @param wind at ten metres, m/s
 */
export function windMoment({ beam, length }: Pick<Rigged, 'beam' | 'length'>, wind: number): number {
  const speed = wind * LOW;
  return 0.5 * AIR * DRAG * beam * (DECK * length) * speed ** 2 * (beam / 2);
}

/**
 * What stands for a catamaran of that length where her own measures were not entered: between the rows of the table, and
 * beyond it the nearest row made larger or smaller in all directions.
 */
export function usualRig(length: number): Omit<Rigged, 'length' | 'float'> {
  const { rows } = table;
  const next = rows.findIndex((row) => row.length >= length);
  const [a, b] = [rows[Math.max(0, next - 1)], rows.at(next) ?? rows[0]];
  if (next <= 0) {
    const nearest = next === 0 ? rows[0] : b;
    const by = length / nearest.length;
    return dims((name) => nearest[name] * (SIZES.has(name) ? by : by ** 3));
  }
  const share = (length - a.length) / (b.length - a.length);
  return dims((name) => a[name] + share * (b[name] - a[name]));
}
type Dim = keyof (typeof table.rows)[number];
const SIZES: ReadonlySet<Dim> = new Set<Dim>(['beam', 'mast']);
const dims = (of: (name: Dim) => number) => ({
  beam: of('beam'),
  mast: of('mast'),
  mastMass: of('mastMass'),
  sailMass: of('sailMass'),
  mass: of('mass'),
});
