import { times, type Band } from '../numeric';
import { G } from './lean';
import { RECOVER } from './limits';

// A hull, a raft or a tube upside down turns about the edge on which people stand or lie: her weight hangs half her beam
// from it. All of this is our own estimate, and wide. Metres, kilograms, newton metres.

const NEED = { low: RECOVER.limit('edge-least'), high: RECOVER.limit('edge-most') };

/**
 * What turning her about her edge asks for: her weight at half her beam; less, as her buoyancy moves towards the edge by
 * itself, and more with water and suction under her.
 */
export const edgeNeed = (mass: Band, beam: Band): Band =>
  times(NEED, times({ low: G, high: G }, times(mass, { low: beam.low / 2, high: beam.high / 2 })));

const SHARE = { low: RECOVER.limit('hand-share-least'), high: RECOVER.limit('hand-share-most') };
/** How far beyond her edge a swimmer’s weight hangs, m. */
export const HAND_LEVER: Band = {
  low: RECOVER.limit('hand-lever-least'),
  high: RECOVER.limit('hand-lever-most'),
};

/** What a swimmer gives who reaches across, with a knee on the near edge, and leans back. */
export const handMoment = (mass: Band): Band =>
  times({ low: G, high: G }, times(mass, times(SHARE, HAND_LEVER)));
