import { hullFrom, type HullForm } from '../src/boat';

/** A form without curves: what closed forms speak of. */
export const BOX: HullForm = {
  plan: { fullest: 0.5, bow: 2, stern: 2, bowEnd: 1, sternEnd: 1 },
  section: { bilge: 0, power: 0, flare: 0 },
  sheer: { bow: 0, stern: 0 },
  rocker: { bow: 0, stern: 0 },
  guess: { depth: 0.3, mass: 20, seats: 1 },
  deck: 'open',
  rim: 1,
  edge: { least: 0.1, source: 'own-estimate' },
  centre: { x: 0.5, z: 0.4 },
  seats: [{ name: 'Middle', x: 0.5, y: 0 }],
  seat: 0.3,
  stand: 0.2,
  body: 0.25,
  holds: [{ id: 'middle', name: 'Middle', x: 0.5, y: 0, z: 0.2 }],
};
export const boxOf = (length: number, beam: number, depth: number) => hullFrom({ length, beam, depth }, BOX);
