import type { Boat, Finding, Phrase } from '../model';
import { phrase } from '../say';
import type { SourceId } from '../sources';
import { asPrinted } from '../units';
import { goTo, guessed, type Figures } from '../verdict';
import { maximumDisplacement } from './capacity';
import { FIGURES } from './figures';
import { swampedFindings } from './find-swamped';
import type { Laden } from './laden';
import { holesOf } from './flood';
import { hullOf, type Hull } from './hull';
import { BOAT } from './limits';
import { plateOf } from './load';
import { afloat, emptyWeight, lieBand, placed, type Afloat, type LieBand, type Placed } from './stow';

const move = { label: phrase('lie.mend'), ...goTo.section('pack/load') };

/** How a boat of this trip lies, and what of it is only guessed. */
interface Lying extends Laden {
  boat: Boat;
  hull: Hull;
  spots: Placed[];
  lie: Afloat;
  assumed: Phrase[];
  /** Where a guess or a missing weight is settled. */
  settle: NonNullable<Finding['mend']>;
  band?: LieBand;
}

/** Boats narrower than this, metres, are told by a band and tried with everyone a little off the middle. */
const NARROW = BOAT.limit('narrow');

/**
 * How she lies under today's load: freeboard, trim, heel; and whether she floats when she is full of water. Our own sums: a
 * Stop only where the water stands at her edge or at an opening by stated or measured facts.
 */
export function lieFindings(laden: Laden, figures: Figures): Finding[] {
  const { trip, boat, people, density } = laden;
  if (!boat || people.length === 0) return [];
  const hull = hullOf(boat);
  if (!hull) {
    const pointer = boat.length === undefined ? '/length' : '/beam';
    return [
      BOAT.finding('lie/measures', 'missing', boat.id, {
        title: phrase('lie.measures.title'),
        because: [phrase('lie.measures.why', { boat: boat.name })],
        mend: { label: phrase('lie.measures.mend'), ...goTo.boat(boat.id, pointer) },
      }),
    ];
  }
  const spots = placed(trip, people, hull);
  const lie = afloat(boat, hull, spots, density);
  const lying: Lying = { ...laden, boat, hull, spots, lie, ...unsure(laden, boat, hull) };
  if (hull.beam < NARROW) lying.band = lieBand(boat, hull, spots, density);
  const after = [...contradiction(boat, hull), ...swampedFindings({ ...laden, boat }, hull)];
  const { outcome, free } = lie;
  if (outcome.state !== 'floats' || !free) return [uprightFinding(lying), ...after];
  const shown = lieFigures(lying, figures);
  return [
    edgeFinding(lying, shown),
    ...tiltFindings(lying),
    ...tenderFindings(lying),
    ...wetFindings(lying),
    ...after,
  ];
}

/** What rests on a guess, or leaves somebody out, is no pass. */
function unsure({ people }: Laden, boat: Boat, hull: Hull): Pick<Lying, 'assumed' | 'settle'> {
  const mass = boat.mass === undefined || guessed(boat, '/mass');
  const n = hull.guessed.length + (mass ? 1 : 0);
  const unweighed = people.filter((p) => p.mass === undefined);
  const roughly = people.filter((p) => p.mass !== undefined && guessed(p, '/mass'));
  const assumed = [
    ...(n > 0 ? [phrase('lie.assumed', { n })] : []),
    ...(unweighed.length > 0 ? [phrase('lie.unweighed', { people: unweighed.map((p) => p.name) })] : []),
    ...(roughly.length > 0 ? [phrase('lie.roughly', { people: roughly.map((p) => p.name) })] : []),
  ];
  const who = unweighed[0] ?? roughly[0];
  const pointer = (hull.guessed[0] ?? '/mass') as '/mass';
  const settle =
    n > 0 || !who
      ? { label: phrase('lie.measures.mend'), ...goTo.boat(boat.id, pointer) }
      : { label: phrase('load.unknown.mend'), ...goTo.person(who.id, '/mass') };
  return { assumed, settle };
}

const UPRIGHT = { sinks: 'lie.sinks', 'on-end': 'lie.on-end', capsizes: 'lie.capsizes' } as const;

function uprightFinding({ trip, lie: { outcome }, assumed }: Lying): Finding {
  return BOAT.finding('lie/upright', 'over', trip.id, {
    title: phrase('lie.upright.title'),
    because: [phrase(outcome.state === 'floats' ? 'lie.capsizes' : UPRIGHT[outcome.state])],
    assumed,
    mend: move,
  });
}

/** Freeboard at the lowest point. Beside a list that has to be mended it is never Ready. */
function edgeFinding({ trip, hull, lie, assumed, settle, band }: Lying, shown: string[]): Finding {
  const { least, source } = hull.form.edge;
  const free = lie.free!.lowest;
  const low = band ? Math.min(band.free[0], free) : free;
  const short = asPrinted(low, 'shortLength') < asPrinted(least, 'shortLength');
  const at = lie.outcome.state === 'floats' ? lie.outcome.at : undefined;
  const tilted =
    at !== undefined &&
    (Math.abs(at.heel) >= BOAT.at('lie/heel', 'mend') || Math.abs(at.trim) >= BOAT.at('lie/trim', 'mend'));
  const as = () => {
    if (short) return low < least / 2 ? 'very-low' : 'low';
    return assumed.length > 0 || tilted ? 'open' : 'enough';
  };
  return BOAT.finding('lie/edge', as(), trip.id, {
    title: phrase('lie.edge.title'),
    because: [
      band
        ? phrase('lie.edge.band', { low: band.free[0], high: band.free[1], least })
        : phrase('lie.edge.why', { free, least }),
      ...(tilted ? [phrase('lie.edge.tilted')] : []),
    ],
    figures: shown,
    assumed,
    source: source as SourceId,
    mend: short || tilted ? move : assumed.length > 0 ? settle : undefined,
  });
}

/** Trim and list at rest: beyond some degrees to be known, beyond more to be mended. */
function tiltFindings({ trip, boat, lie, assumed }: Lying): Finding[] {
  if (lie.outcome.state !== 'floats') return [];
  const { trim, heel } = lie.outcome.at;
  const ways = {
    trim: trim > 0 ? 'lie.trim.stern' : 'lie.trim.bow',
    heel: heel > 0 ? 'lie.heel.port' : 'lie.heel.starboard',
  } as const;
  return [['trim', trim] as const, ['heel', heel] as const].flatMap(([name, value]) => {
    const kind = `lie/${name}` as const;
    const angle = Math.abs(value);
    if (angle <= BOAT.at(kind, 'know')) return [];
    return [
      BOAT.finding(kind, angle >= BOAT.at(kind, 'mend') ? 'mend' : 'know', trip.id, {
        title: phrase(`lie.${name}.title`),
        because: [phrase(ways[name], { angle })],
        figures: [FIGURES.idOf(`boat/${name}`, boat.id)],
        assumed,
        mend: move,
      }),
    ];
  });
}

/** How far off the middle everyone is moved, metres: nobody sits dead centre. */
const OFF = BOAT.limit('off-middle');

/** A narrow boat that goes over from a few centimetres is too small for who is in her. */
function tenderFindings({ trip, boat, hull, spots, density, assumed, band }: Lying): Finding[] {
  if (!band) return [];
  const moved = spots.map((s) => (s.is === 'person' ? { ...s, y: s.y + OFF } : s));
  const { outcome } = afloat(boat, hull, moved, density);
  const [low, high] = band.gm;
  const over = outcome.state !== 'floats';
  const angle = over ? 0 : Math.abs(outcome.at.heel);
  const small = over || angle >= BOAT.at('lie/tender', 'too-small');
  return [
    BOAT.finding('lie/tender', small ? 'too-small' : 'narrow', trip.id, {
      title: phrase(small ? 'lie.tender.title' : 'lie.narrow.title'),
      because: [
        over ? phrase('lie.tender', { off: OFF }) : phrase('lie.narrow', { off: OFF, angle }),
        phrase('lie.gm.band', { low, high }),
      ],
      figures: [FIGURES.idOf('boat/gm', boat.id)],
      assumed,
    }),
  ];
}

/** Her edge or an opening at the water: a Stop on stated or measured facts, else a Fix. */
function wetFindings({ trip, boat, hull, lie, assumed }: Lying): Finding[] {
  const { outcome, free } = lie;
  if (outcome.state !== 'floats' || !free) return [];
  const { plane } = outcome.at;
  const as = assumed.length > 0 ? 'guess' : 'sure';
  const rest = { figures: [FIGURES.idOf('boat/freeboard', boat.id)], assumed, mend: move };
  const found: Finding[] = [];
  if (asPrinted(free.lowest, 'shortLength') <= 0) {
    const said = { title: phrase('lie.awash.title'), because: [phrase('lie.awash')] };
    found.push(BOAT.finding('lie/awash', as, trip.id, { ...said, ...rest }));
  }
  // What is meant to be shut under water is a plug; a hatch is meant to stand over it.
  const [wet] = holesOf(boat, hull).filter(
    (hole) => hole.kind === 'hatch' && hole.z <= plane.h + plane.t * hole.x + plane.s * hole.y,
  );
  if (wet) {
    const said = { title: phrase('lie.opening.title'), because: [phrase('lie.opening', { name: wet.name })] };
    found.push(BOAT.finding('lie/opening', as, trip.id, { ...said, ...rest }));
  }
  return found;
}

/** How she lies as figures; the ids of those that stand with her freeboard. */
function lieFigures({ boat, hull, lie, assumed, band }: Lying, figures: Figures): string[] {
  if (lie.outcome.state !== 'floats' || !lie.free) return [];
  const { trim, heel, gm } = lie.outcome.at;
  const { lowest, bow, stern } = lie.free;
  const inputs = {
    length: { value: hull.length, quantity: 'length' as const },
    beam: { value: hull.beam, quantity: 'length' as const },
    depth: { value: hull.depth, quantity: 'length' as const },
  };
  const rest = { inputs, guessed: assumed.length > 0 };
  FIGURES.put(figures, 'boat/gm', boat.id, { value: gm, range: band?.gm, ...rest });
  return [
    FIGURES.put(figures, 'boat/freeboard', boat.id, { value: lowest, range: band?.free, ...rest }),
    FIGURES.put(figures, 'boat/freeboard-bow', boat.id, { value: bow, ...rest }),
    FIGURES.put(figures, 'boat/freeboard-stern', boat.id, { value: stern, ...rest }),
    FIGURES.put(figures, 'boat/trim', boat.id, { value: trim, ...rest }),
    FIGURES.put(figures, 'boat/heel', boat.id, { value: heel, ...rest }),
  ];
}

/** A plate that allows more than her hull could float with says that a measure, or the plate as it was read, is wrong. */
function contradiction(boat: Boat, hull: Hull): Finding[] {
  const most = plateOf(boat)?.totalMass;
  const bears = maximumDisplacement(hull) - emptyWeight(boat, hull).mass;
  if (most === undefined || most <= bears) return [];
  const pointer = boat.depth === undefined ? '/depth' : '/length';
  return [
    BOAT.finding('lie/contradiction', 'found', boat.id, {
      title: phrase('lie.contradiction.title'),
      because: [phrase('lie.contradiction.why', { most, bears: Math.max(0, bears) })],
      mend: { label: phrase('lie.measures.mend'), ...goTo.boat(boat.id, pointer) },
    }),
  ];
}
