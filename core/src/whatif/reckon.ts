import { slowOf } from '../boat';
import { LANDABLE } from '../model/lists';
import type { Boat, IncidentRow } from '../model';
import type { Band } from '../numeric';
import type { Drifter, Ends } from '../hold/drift';
import { layersLeft, type Signal } from '../signals';
import { MS } from '../units';
import { guessed } from '../verdict';
import { phasesOf, type Phases } from './bodies';
import type { Anchored } from './holds';
import { incidentRow, type Incident } from './incidents';
import { firstKnown, responseOf, routesOf, type Route } from './known';
import { WHATIF } from './limits';
import type { Moment, Nearest } from './moment';
import { seaFor, type Body, type Filling, type Standing } from './standing';

/** All that follows of an incident at a moment, in numbers: seconds after it, each within limits. */
export interface Reckoned {
  incident: Incident;
  row: IncidentRow;
  moment: Moment;
  /** Who is in the water; of several the one who fares worst stands first. */
  bodies: Body[];
  /** With what one can still call and be noticed. */
  signals: readonly Signal[];
  phases?: Phases;
  routes: Route[];
  known: Band;
  /** Absent: no response time was said, and nobody plans on one. */
  help?: Band;
  /** Out of the water again; no end: nobody can say. */
  out?: Band;
  /** At the nearest landing, at what speed she still has. */
  landed?: Band;
  nearest?: Nearest;
  speed?: Band;
  anchored?: Anchored;
  held?: Band;
  as: Drifter;
  ends?: Ends;
  /** Ashore where one does not land, or where nobody said what the shore is. */
  rocks?: Band;
  filling?: Filling;
  /** Seconds until it is dark, and whether something on her, or on them, shines. */
  dark: number;
  shines: boolean;
  /** Way and noise in fog. */
  finds: boolean;
  /** The weather is made up for show. */
  invented: boolean;
}

const NEVER: Band = { low: Infinity, high: Infinity };
const AT_ONCE: Band = { low: 0, high: 0 };
const TURN: Band = { low: WHATIF.limit('turn-soon'), high: WHATIF.limit('turn-late') };
const OUT = WHATIF.limit('out-soon');
const GUESS = WHATIF.limit('guess-speed');
const HALF = WHATIF.limit('still-half'),
  CRAWL = WHATIF.limit('still-least');

export function reckon(standing: Standing, moment: Moment, incident: Incident): Reckoned {
  const row = incidentRow(incident.id);
  const bodies = inWater(standing, row);
  const signals = row.calls === 'boat' ? standing.signals : bodies.flatMap(({ signals: worn }) => worn);
  const routes = routesOf(standing, moment, {
    signals,
    silent: row.silent ?? false,
    unseen: row.boat === 'left',
  });
  const known = firstKnown(routes);
  const response = responseOf(standing);
  const phases = bodies.length > 0 ? phasesOf(bodies[0], moment.water) : undefined;
  const out = outOf(standing, row);
  const speed = speedStill(standing, row);
  const nearest = speed ? moment.landing() : undefined;
  const as: Drifter = row.in !== 'nobody' ? (row.boat === 'over' ? 'swamped' : 'person') : 'afloat';
  const adrift = row.boat === 'adrift';
  const ends = row.measures.includes('rocks') ? moment.ends(as) : undefined;
  const anchored = adrift ? moment.anchored() : undefined;
  const filling = row.boat === 'filling' ? fillingOf(standing, moment, incident) : undefined;
  const shines =
    bodies.length > 0 ? layersLeft(signals, 'boat', 'night') : layersLeft(signals, 'box', 'night');
  return {
    incident,
    row,
    moment,
    bodies,
    signals,
    ...(phases ? { phases } : {}),
    routes,
    known,
    ...(response ? { help: { low: known.low + response.low, high: known.high + response.high } } : {}),
    ...(out ? { out } : {}),
    ...(speed ? { speed } : {}),
    ...(nearest ? { nearest } : {}),
    ...(speed ? { landed: nearest ? timeTo(nearest, speed, moment) : NEVER } : {}),
    ...(anchored ? { anchored } : {}),
    ...(adrift ? { held: heldFor(anchored) } : {}),
    as,
    ...(ends ? { ends } : {}),
    ...(ends && isHard(ends) ? { rocks: rocksOf(ends, moment.at) } : {}),
    ...(filling ? { filling } : {}),
    invented: standing.context.forecast?.invented === true,
    dark: moment.light,
    shines: shines.some(({ id }) => SHINING.has(id)),
    finds:
      standing.has('sound') === 'yes' &&
      (standing.has('direction') === 'yes' || standing.has('find-way') === 'yes'),
  };
}
const SHINING: ReadonlySet<string> = new Set(['light', 'flare']);

/** Who is in the water: who fares worst first, by jacket, what calls from them, and what they wear. */
function inWater({ bodies }: Standing, row: IncidentRow): Body[] {
  if (row.in === 'nobody') return [];
  const of = row.in === 'driver' ? bodies.filter(({ driver }) => driver) : [...bodies];
  const worst = of.sort(
    (a, b) =>
      JACKETS.indexOf(a.jacket) - JACKETS.indexOf(b.jacket) ||
      surely(a) - surely(b) ||
      (a.person.id < b.person.id ? -1 : 1),
  );
  return row.in === 'all' ? worst : worst.slice(0, 1);
}
const JACKETS = ['no', 'unknown', 'yes'] as const;
const surely = ({ signals }: Body): number => signals.filter(({ sure }) => sure).length;

/** How they come out of the water again, and when. */
function outOf(standing: Standing, { out }: IncidentRow): Band | undefined {
  if (out === undefined) return undefined;
  const { bodies, context, righting } = standing;
  if (out === 'righting') {
    const kind = context.boat?.kind;
    if (righting) return righting.together?.can === 'no' ? NEVER : { low: OUT, high: Infinity };
    // Of those that no crew rights by leaning, a board and a watercraft are turned by hand.
    return kind === 'paddleboard' || kind === 'personal-watercraft' ? { low: OUT, high: Infinity } : NEVER;
  }
  const boards = standing.has('re-board') === 'yes';
  const others = bodies.filter(({ driver }) => out === 'turn' || !driver).length;
  const alone = out === 'cord' && others === 0;
  const cord = bodies.find(({ driver }) => driver)?.cord;
  if (alone) return cord === false ? NEVER : { low: OUT, high: Infinity };
  const drives =
    out === 'turn' ? others > 1 : context.trip.crew.filter(({ role }) => role !== 'crew').length > 1;
  return { low: TURN.low, high: boards && drives ? TURN.high : Infinity };
}

/** The speed that she still has, m/s through the water: its far end counts for the slow one. */
function speedStill({ context, has }: Standing, { still }: IncidentRow): Band | undefined {
  const { boat } = context;
  const usual = context.speed?.value ?? boat?.propulsion[0]?.cruise;
  if (still === 'none') return undefined;
  if (still === 'other') return otherSpeed(boat, has('spare-drive') === 'yes' ? usual : undefined);
  if (usual === undefined) return undefined;
  const off = context.speed?.guessed ? GUESS : 0;
  const wider = ({ low, high }: Band): Band => ({ low: low * (1 - off), high: high * (1 + off) });
  const slow = Math.min(slowOf(boat) ?? usual, HALF * usual);
  if (still === 'usual') return wider({ low: slow, high: usual });
  return wider({ low: CRAWL * usual, high: still === 'slow' ? slow : HALF * usual });
}

/** By another of her drives, or a spare one aboard. */
function otherSpeed(boat: Boat | undefined, spare: number | undefined): Band | undefined {
  const n = boat?.propulsion.findIndex(({ cruise }, i) => i > 0 && cruise !== undefined) ?? -1;
  const own = boat?.propulsion[n]?.cruise;
  const by = own ?? (spare === undefined ? undefined : HALF * spare);
  const off = own !== undefined && guessed(boat, `/propulsion/${n}/cruise`) ? GUESS : 0;
  return by === undefined ? undefined : { low: HALF * by * (1 - off), high: by * (1 + off) };
}

/** Straight there: the stream helps at the best, and holds up at the worst; where it runs as fast, never. */
export function timeTo({ landing, sure }: Nearest, speed: Band, { flow }: Moment): Band {
  const stream = flow?.speed ?? 0;
  const slow = speed.low - stream;
  return {
    low: landing.metres / (speed.high + stream),
    high: sure && slow > 0 ? landing.metres / slow : Infinity,
  };
}

const heldFor = (anchored: Anchored | undefined): Band => {
  const stands = anchored?.held.stands;
  if (stands === undefined || stands === 'drags') return NEVER;
  return stands === 'holds' ? AT_ONCE : { low: 0, high: Infinity };
};

/** Somewhere one does not land, or of which nobody said what it is like. */
const isHard = ({ places, unsaid }: Ends): boolean =>
  unsaid || places.some(({ shore }) => shore !== undefined && !LANDABLE.has(shore));

const rocksOf = ({ earliest, latest }: Ends, at: number): Band => ({
  low: (earliest.at - at) / MS.second,
  high: latest ? (latest.at - at) / MS.second : Infinity,
});

/** Through the opening that was asked, or the one through which she is full first. */
function fillingOf(
  { holes, fills }: Standing,
  { weather }: Moment,
  { opening }: Incident,
): Filling | undefined {
  const sea = seaFor(weather?.waves);
  if (opening !== undefined) return fills(opening, sea);
  return holes
    .flatMap((_, i) => fills(i, sea) ?? [])
    .sort((a, b) => a.full.low - b.full.low || b.inflow - a.inflow)[0];
}
