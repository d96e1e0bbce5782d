import type { Boat, Finding, Phrase, Trip } from '../model';
import { phrase } from '../say';
import { MS } from '../units';
import { goTo, guessed } from '../verdict';
import type { Laden } from './laden';
import type { Hull } from './hull';
import { BOAT } from './limits';
import { emptyWeight, placed } from './stow';
import { bearing, floaters, shutHull, spaceOf, swamped, uprightFilling, type Swamped } from './swamp';

type Filling = Laden & { boat: Boat };

/** Floating parts that are known to be there, but not how big. */
const unsized = ({ flotation, kind, reserve }: Boat) =>
  (reserve ?? []).length === 0 &&
  (flotation === 'foam' ||
    flotation === 'bulkheads' ||
    (flotation === 'air-bags' && kind !== 'inflatable' && kind !== 'raft'));

/** What of the sum is only guessed: her measures, what she is made of, what keeps her up, who is aboard. */
function guesses({ boat, people }: Filling, hull: Hull): Phrase[] {
  const unsure =
    hull.guessed.length > 0 ||
    boat.mass === undefined ||
    boat.material === undefined ||
    ['/mass', '/material', '/flotation'].some((pointer) => guessed(boat, pointer)) ||
    (boat.reserve ?? []).some((_, i) => guessed(boat, `/reserve/${i}/litres`));
  const unweighed = people.filter((p) => p.mass === undefined || guessed(p, '/mass')).map((p) => p.name);
  return [
    ...(unsure ? [phrase('swamped.guess')] : []),
    ...(unweighed.length > 0 ? [phrase('lie.unweighed', { people: unweighed })] : []),
  ];
}

/** What happens when she is full of water: our own sum, and settled only on what is stated or measured. */
export function swampedFindings(filling: Filling, hull: Hull): Finding[] {
  const { trip, boat, people, density } = filling;
  const pointer = boat.flotation === undefined || guessed(boat, '/flotation') ? '/flotation' : '/reserve';
  const mend = { label: phrase('swamped.mend'), ...goTo.boat(boat.id, pointer) };
  if (boat.flotation === undefined) {
    const because = [phrase('swamped.unknown.why')];
    const title = phrase('swamped.unknown.title');
    return [BOAT.finding('lie/swamped', 'unknown', boat.id, { title, because, mend })];
  }
  const spots = placed(trip, people, hull);
  const things = spots.filter((s) => s.is === 'thing');
  const crew = spots.filter((s) => s.is === 'person');
  const empty = emptyWeight(boat, hull);
  const fill = (bodies: ReturnType<typeof floaters>) => swamped(hull, bodies, empty, things, crew, density);
  const full = fill(floaters(boat, hull));
  const assumed = [phrase('swamped.assumed'), ...guesses(filling, hull)];
  const settled = assumed.length === 1;
  if (boat.flotation === 'sealed-hull') {
    return [sealedFinding(filling, { shut: fill(shutHull(hull)), full, assumed, mend, settled })];
  }
  if (full.spare < 0) {
    const as = unsized(boat) ? 'unsized' : 'sinks';
    return [
      BOAT.finding('lie/swamped', as, boat.id, {
        title: phrase(`swamped.${as}.title`),
        because: [phrase(`swamped.${as}.why`, { litres: full.lacking })],
        assumed,
        mend,
      }),
    ];
  }
  const upright =
    full.seated && uprightFilling(hull, spaceOf(boat, hull, { y: 0 }), [empty, ...spots], density);
  const floats = upright && settled;
  return [
    BOAT.finding('lie/swamped', floats ? 'floats' : 'open', boat.id, {
      title: phrase('swamped.title'),
      because: [...how(full, people.length), ...(full.seated && !upright ? [phrase('swamped.rolls')] : [])],
      assumed,
      mend: floats ? undefined : mend,
    }),
  ];
}

function how(full: Swamped, aboard: number): [lies: Phrase, bears: Phrase] {
  const rolled = full.outcome.state !== 'floats';
  const lies = full.seated ? 'swamped.level' : rolled ? 'swamped.not-level' : 'swamped.low';
  return [phrase(lies), bearing(full, aboard)];
}

interface Sealed {
  shut: Swamped;
  full: Swamped;
  assumed: Phrase[];
  mend: NonNullable<Finding['mend']>;
  settled: boolean;
}

/** A sealed hull is as good as its plugs and hatches: what holds while they are shut, and what when one is not. */
function sealedFinding({ boat, people }: Filling, { shut, full, assumed, mend, settled }: Sealed): Finding {
  const names = boat.openings.map((o) => o.name);
  const floats = settled && shut.seated && names.length === 0;
  const said = (as: Swamped) => {
    const [lies, bears] = how(as, people.length);
    return { lies, bears };
  };
  const opened = () =>
    full.spare < 0
      ? phrase('swamped.opened.sinks', { litres: full.lacking })
      : phrase('swamped.opened', said(full));
  return BOAT.finding('lie/swamped', floats ? 'floats' : 'open', boat.id, {
    title: phrase('swamped.title'),
    because:
      names.length > 0
        ? [phrase('swamped.while-shut', { names, ...said(shut) }), opened()]
        : how(shut, people.length),
    assumed,
    mend: floats ? undefined : mend,
  });
}

/** The tick of the last look that says every opening was felt shut. */
const FELT_SHUT = 'last:plug';
const LOOK_HOLDS = BOAT.limit('look-holds') * MS.second;

/** Was a last look, ticked at an instant, taken shortly enough before leaving? Without an hour of leaving nobody can tell. */
export function lookHolds(at: number | undefined, leave: number | undefined): boolean {
  return at !== undefined && leave !== undefined && at >= leave - LOOK_HOLDS;
}

/**
 * Every plug, bung and hatch has to be felt shut at the water; one that is only reached from underneath is
 * louder: forgetting it means a swim.
 */
export function openingFindings(
  { trip, boat, ticks }: { trip: Pick<Trip, 'id'>; boat?: Boat; ticks?: ReadonlyMap<string, number> },
  leave: number | undefined,
): Finding[] {
  if (!boat || boat.openings.length === 0) return [];
  const names = boat.openings.map((o) => o.name);
  const under = boat.openings.filter((o) => o.worked === 'underneath').map((o) => o.name);
  const felt = ticks?.get(FELT_SHUT);
  const shut = lookHolds(felt, leave);
  return [
    BOAT.finding('openings/shut', shut ? 'felt' : under.length > 0 ? 'underneath' : 'open', trip.id, {
      title: phrase('openings.title'),
      because: [
        phrase(shut ? 'openings.shut' : 'openings.why', { names }),
        ...(felt !== undefined && !shut ? [phrase('openings.stale', { at: felt })] : []),
        ...(under.length > 0 ? [phrase('openings.under', { names: under })] : []),
      ],
      mend: shut ? undefined : { label: phrase('openings.mend'), ...goTo.section('pack/ready') },
    }),
  ];
}
