import clothed from '../../data/whatif/clothed.json';
import { BREATH, coldRow, HANDS } from '../body/cold';
import type { ClothedData } from '../model';
import type { Band } from '../numeric';
import { WHATIF } from './limits';
import type { Body } from './standing';

const { near: CLOTHED } = clothed as unknown as ClothedData;
const UNDER = WHATIF.limit('under-late');

/** What the water does to a body, in seconds after going in. Bands, never a countdown. */
export interface Phases {
  /** Breath is lost for about a minute. */
  gasps: boolean;
  /** May go under, where no jacket is known to be worn. */
  under?: Band;
  /** Useful hands: stated for water up to 10 °C; in water up to 15 °C no sooner than there. */
  hands?: Band;
  /** Worn out or unconscious. */
  worn?: Band;
  survives?: Band;
  /** The temperature is not known: nothing of this is. */
  unknown: boolean;
  /** What somebody wears was not said: light clothes are taken. */
  unsaid: boolean;
  /** Clothes that put it off, by our own estimate, and so the far end is open. */
  dressed: boolean;
}

/** From when on, at the worst, and until when, at the best; as nothing is known: at once, or never. */
const OPEN: Band = { low: 0, high: Infinity };

/**
 * Phases of cold for a band of temperatures: near ends by the coldest of it, far ends by the warmest (sources `cold-table`,
 * `cold-1-10-1`; B4.1 and B4.3 of the published tables are for light clothes and a jacket).
 * @param water °C; absent: not known
 */
export function phasesOf({ jacket, clothing }: Body, water: Band | undefined): Phases {
  const bare = jacket === 'yes' ? {} : { under: { low: 0, high: jacket === 'no' ? UNDER : Infinity } };
  const unsaid = clothing === undefined;
  if (water === undefined)
    return { gasps: true, ...bare, hands: OPEN, worn: OPEN, unknown: true, unsaid, dressed: false };
  const [cold, warm] = [coldRow(water.low), coldRow(water.high)];
  if (!cold) return { gasps: false, ...bare, unknown: false, unsaid, dressed: false };
  const factor = CLOTHED[clothing ?? 'light'];
  const dressed = factor > 1;
  const far = (value: number | undefined) => (dressed || value === undefined ? Infinity : value);
  return {
    gasps: water.low <= BREATH.upTo,
    ...bare,
    ...(water.low <= BREATH.upTo ? { hands: handsOf(water) } : {}),
    worn: { low: cold.exhausted[0] * factor, high: far(warm?.exhausted[1]) },
    survives: { low: cold.survives[0] * factor, high: far(warm?.survives[1]) },
    unknown: false,
    unsaid,
    dressed,
  };
}

/** Ten minutes are stated for cold water; in water less cold no sooner than there. They are gone before anybody is worn out. */
function handsOf({ low, high }: Band): Band {
  const latest = coldRow(high)?.exhausted[0] ?? Infinity;
  // Nobody’s hands outlast them: in water about freezing people may be worn out at once.
  const soonest = Math.min(HANDS.seconds, coldRow(low)?.exhausted[1] ?? HANDS.seconds);
  return { low: soonest, high: Math.max(soonest, latest) };
}
