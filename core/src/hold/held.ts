import { afloat, hullOf, hullSpeed, placed, type Hull, type Weight } from '../boat';
import type { Boat, Person, Trip } from '../model';
import { bisect, type Band } from '../numeric';
import { draughtOf } from '../passage';
import { exposedOf, type Exposed } from './exposed';
import { holding, VOUCHED, type Anchor } from './anchor';
import { HOLD } from './limits';
import { leadOf, stretch, type Lead, type Rode } from './line';
import { pullOn, type Comes, type Fastening, type Pull } from './pull';
import { onEdge } from './side';
import type { Seabed } from './stay';
import { withStream, withWind } from './tried';

/** A boat ready to be held: her hull as she lies loaded, and what wind and stream have to push on. */
export interface Lying {
  boat: Boat;
  hull: Hull;
  weight: Weight;
  exposed: Exposed;
  /** Of the water, kg/m³. */
  density: number;
  /** How deep she reaches, laden and with what she has let down, metres. */
  draught: number;
  /** Measures of her that were guessed, or people without a weight. */
  guessed: boolean;
}

/** How she lies with who and what is in her; undefined while length or beam are missing, or she does not float upright. */
export function lyingOf(
  boat: Boat,
  trip: Pick<Trip, 'crew' | 'load' | 'comingHome'>,
  people: readonly Person[],
  density: number,
): Lying | undefined {
  const hull = hullOf(boat);
  if (!hull) return undefined;
  const spots = placed(trip, people, hull);
  const { weight, outcome } = afloat(boat, hull, spots, density);
  const exposed = exposedOf(hull, boat.kind, outcome, spots);
  if (!exposed) return undefined;
  const unsure =
    hull.guessed.length > 0 || boat.mass === undefined || people.some(({ mass }) => mass === undefined);
  const draught = draughtOf(boat, trip, people, density).value;
  return { boat, hull, weight, exposed, density, draught, guessed: unsure };
}

/** Where she is made fast, as the trip says it. */
export type From = 'bow' | 'stern' | 'side';
export const fasteningOf = ({ hull }: Pick<Lying, 'hull'>, from: From): Fastening =>
  onEdge(hull, FROM[from].along, FROM[from].across);
const FROM = {
  bow: { along: 1, across: 0 },
  stern: { along: 0, across: 0 },
  side: { along: 0.5, across: 1 },
} as const;

/** Height from the ground to where she is made fast, metres. */
export const heightOver = ({ exposed }: Lying, at: Fastening, depth: number): number =>
  Math.max(0, depth) + Math.max(0, at.z - exposed.waterline);

/** How an anchor stands against a pull. `unvouched`: too light for figures that anybody stands by. */
export type Stands = 'holds' | 'may' | 'drags' | 'unvouched' | 'unknown';

/** One anchor with so much of its line let out, at an hour. */
export interface Held {
  pull: Pull;
  hold: Band;
  stands: Stands;
  /** How the line lies in the middle of the load, and at the most of it; absent where it does not reach up. */
  lead?: Lead;
  taut?: Lead;
  /** From the anchor to her far end, metres. */
  swing?: Band;
}

/** What holds her: the anchor, what leads to it, and the bottom as far as it is known. */
export interface Tackle {
  anchor: Anchor;
  rode?: Rode;
  seabed?: Seabed;
}

/** Is the pull known enough to hold an anchor against it? In a stream faster than her hull’s own wave no sum of ours holds. */
const isKnown = ({ wind, stream }: Comes, { length }: Hull): boolean =>
  wind !== undefined && stream !== undefined && stream.speed <= hullSpeed(length);

/**
 * Load against holding at an hour, both as bands: it holds where the worst pull stays under the least hold, it drags where the least
 * pull is over the most. Where something of wind, stream, weight or depth is not known, it is not known. Under 0.1 ms.
 * @param sounded whether the depth is that of the place, and not the least of an area
 */
export function heldAt(
  lying: Lying,
  at: Fastening,
  { anchor, rode, seabed }: Tackle,
  comes: Comes,
  depth: number | undefined,
  sounded = true,
): Held {
  const { exposed, density, hull } = lying;
  const pull = pullOn(exposed, at, comes, density);
  const height = depth === undefined ? undefined : heightOver(lying, at, depth);
  const leads = (force: number) => (rode && height !== undefined ? leadOf(rode, height, force) : undefined);
  const middle = (pull.load.low + pull.load.high) / 2;
  const lead = leads(middle),
    taut = leads(pull.load.high);
  // Unknown lengths: from a line that lies level to one that hangs.
  const level = holding(anchor, seabed, taut?.anchor ?? 0);
  const hold = taut ? level : { low: 0, high: level.high };
  const known =
    sounded && isKnown(comes, hull) && taut !== undefined && anchor.weighs !== undefined && !!anchor.kind;
  const swing =
    lead && rode && height !== undefined ? swingOf(rode, lead, pull.load, height, hull) : undefined;
  return {
    pull,
    hold,
    stands: standsOf(anchor, known, pull.load, hold),
    ...(lead ? { lead } : {}),
    ...(taut ? { taut } : {}),
    ...(swing ? { swing } : {}),
  };
}

function standsOf({ weighs }: Anchor, known: boolean, load: Band, hold: Band): Stands {
  if (weighs !== undefined && weighs < VOUCHED) return load.low > hold.high ? 'drags' : 'unvouched';
  if (load.low > hold.high) return 'drags';
  if (!known) return 'unknown';
  return load.high < hold.low ? 'holds' : 'may';
}

/** From a line that lies slack to one that is drawn straight and stretched, and the whole boat behind it. */
function swingOf(rode: Rode, lead: Lead, load: Band, height: number, { length }: Hull): Band {
  const all = rode.line + rode.chain;
  const straight = Math.sqrt(Math.max(0, all * all - height * height));
  return { low: lead.reach + length, high: straight + stretch(rode, load).high + length };
}

/** Winds are looked through up to this, m/s, and streams likewise; the last is halved so often. */
export const MOST_WIND = HOLD.limit('most-wind');
const MOST_STREAM = HOLD.limit('most-stream'),
  HALVINGS = 9;

/** From when on it may drag, and surely does: mean wind or stream, m/s; absent: not within what is looked at. */
export interface Drags {
  may?: number;
  surely?: number;
}

/**
 * The mean wind, or the stream, from which on an anchor may drag or surely does, the other as it is, m/s: 0 where it is so at once.
 * @returns undefined where nothing that is looked at does it, where kind, weight, line or depth are not known, and for anchors of
 * which nobody vouches for a figure
 */
export function dragsFrom(
  lying: Lying,
  at: Fastening,
  tackle: Tackle,
  comes: Comes,
  depth: number | undefined,
  by: 'wind' | 'stream',
  when: 'may' | 'surely',
): number | undefined {
  const { anchor, rode } = tackle;
  if (anchor.weighs === undefined || anchor.weighs < VOUCHED || !anchor.kind) return undefined;
  if (!rode || depth === undefined) return undefined;
  const given = (speed: number): Comes => (by === 'wind' ? withWind(comes, speed) : withStream(comes, speed));
  const stays = (speed: number) => {
    const { pull, hold } = heldAt(lying, at, tackle, given(speed), depth);
    return when === 'may' ? pull.load.high < hold.low : pull.load.low <= hold.high;
  };
  const most = by === 'wind' ? MOST_WIND : MOST_STREAM;
  if (!stays(0)) return 0;
  return stays(most) ? undefined : bisect(stays, 0, most, HALVINGS)[1];
}

/** Both of both, for who looks at one anchor. */
export function dragsAt(
  ...asked: [lying: Lying, at: Fastening, tackle: Tackle, comes: Comes, depth: number | undefined]
): { wind: Drags; stream: Drags } {
  const of = (by: 'wind' | 'stream'): Drags => {
    const [may, surely] = [dragsFrom(...asked, by, 'may'), dragsFrom(...asked, by, 'surely')];
    return { ...(may === undefined ? {} : { may }), ...(surely === undefined ? {} : { surely }) };
  };
  return { wind: of('wind'), stream: of('stream') };
}
