import { distance, type LatLon } from '../earth';
import { fasteningOf, heldAt, type Held } from '../hold/held';
import { anchorsAboard, tackleOf } from '../hold/on-hold';
import { comesAt } from '../hold/stay';
import type { GearItem, Place } from '../model';
import { guessed } from '../verdict';
import { WHATIF } from './limits';
import type { Standing } from './standing';

const NEAR = WHATIF.limit('sounded-near');

/** The anchor aboard that stands best where she is, and how; undefined where none is aboard, or nothing of her is known. */
export interface Anchored {
  item: GearItem;
  held: Held;
  /** Of the water there, metres; a least one where only a chart tells it; absent: not known. */
  depth?: number;
  sounded: boolean;
}

const BEST: readonly Held['stands'][] = ['holds', 'may', 'unknown', 'unvouched', 'drags'];

/** Would she be held here? By the place near by whose depth or bottom was entered, else by the least that a chart tells. */
export function anchoredAt(standing: Standing, at: number, here: LatLon): Anchored | undefined {
  const { hold, context } = standing;
  const items = anchorsAboard(hold);
  const lying = items.length > 0 ? standing.lying() : undefined;
  if (!lying) return undefined;
  const near = context.shed.places
    .filter((place) => isSounded(place) && (place.water === undefined || place.water === context.water?.id))
    .map((place) => ({ place, metres: distance(here, place.position).metres }))
    .filter(({ metres }) => metres <= NEAR)
    .sort((a, b) => a.metres - b.metres)[0]?.place;
  const place: Place = near ?? { id: 'here', name: '', kind: 'ground', position: here };
  const hour = comesAt(hold, place)(at);
  const sounded = near?.depth !== undefined && !guessed(near, '/depth');
  const seabed = near && !guessed(near, '/seabed') ? near.seabed : undefined;
  const all = items.map((item): Anchored => {
    const held = heldAt(
      lying,
      fasteningOf(lying, 'bow'),
      tackleOf(hold, item, seabed),
      hour,
      hour.depth,
      sounded,
    );
    return { item, held, sounded, ...(hour.depth === undefined ? {} : { depth: hour.depth }) };
  });
  return all.sort((a, b) => BEST.indexOf(a.held.stands) - BEST.indexOf(b.held.stands))[0];
}

const isSounded = ({ depth, seabed }: Place): boolean => depth !== undefined || seabed !== undefined;
