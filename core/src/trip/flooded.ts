import { bearing, emptyWeight, floaters, placed, shutHull, spaceOf, swamped, uprightFilling, type Hull, type Swamped } from '../boat';
import type { Boat, Finding, Phrase } from '../model';
import { phrase } from '../say';
import { finding, guessed, type Context } from './context';
import { LOOK_HOLDS } from './limits';

const base = { section: 'pack/load' as const };

/** Floating parts that are known to be there, but not how big. */
const unsized = ({ flotation, kind, reserve }: Boat) =>
  (reserve ?? []).length === 0 &&
  (flotation === 'foam' ||
    flotation === 'bulkheads' ||
    (flotation === 'air-bags' && kind !== 'inflatable' && kind !== 'raft'));

/** What of the sum is only guessed: her measures, what she is made of, what keeps her up, who is aboard. */
function guesses({ people }: Context, boat: Boat, hull: Hull): Phrase[] {
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
export function swampedFindings(context: Context, boat: Boat, hull: Hull, density: number): Finding[] {
  const { trip, people } = context;
  const pointer = boat.flotation === undefined || guessed(boat, '/flotation') ? '/flotation' : '/reserve';
  const mend = { label: phrase('swamped.mend'), go: { type: 'boat' as const, id: boat.id, pointer } };
  const id = `lie/swamped/${boat.id}`;
  if (boat.flotation === undefined) {
    return [
      finding({
        ...base,
        id,
        level: 'know',
        title: phrase('swamped.unknown.title'),
        because: [phrase('swamped.unknown.why')],
        source: 'practice',
        mend,
      }),
    ];
  }
  const spots = placed(trip, people, hull);
  const things = spots.filter((s) => s.is === 'thing');
  const crew = spots.filter((s) => s.is === 'person');
  const empty = emptyWeight(boat, hull);
  const fill = (bodies: ReturnType<typeof floaters>) =>
    swamped(hull, bodies, empty, things, crew, density);
  const full = fill(floaters(boat, hull));
  const assumed = [phrase('swamped.assumed'), ...guesses(context, boat, hull)];
  const sourced = { ...base, id, assumed, source: 'archimedes' as const };
  if (boat.flotation === 'sealed-hull') {
    const shut = fill(shutHull(hull));
    return [sealedFinding(context, boat, { shut, full, sourced, mend, settled: assumed.length === 1 })];
  }
  if (full.spare < 0) {
    const size = unsized(boat);
    const word = size ? 'swamped.unsized' : 'swamped.sinks';
    return [
      finding({
        ...sourced,
        level: size ? 'know' : 'fix',
        title: phrase(`${word}.title`),
        because: [phrase(`${word}.why`, { litres: full.lacking })],
        mend,
      }),
    ];
  }
  const open = spaceOf(boat, hull, { y: 0 });
  const upright = full.seated && uprightFilling(hull, open, [empty, ...spots], density);
  const set = upright && assumed.length === 1;
  return [
    finding({
      ...sourced,
      level: set ? 'ready' : 'know',
      title: phrase('swamped.title'),
      because: [...how(full, people.length), ...(full.seated && !upright ? [phrase('swamped.rolls')] : [])],
      ...(set ? {} : { mend }),
    }),
  ];
}

function how(full: Swamped, aboard: number): Phrase[] {
  const rolled = full.outcome.state !== 'floats';
  const lies = full.seated ? 'swamped.level' : rolled ? 'swamped.not-level' : 'swamped.low';
  return [phrase(lies), bearing(full, aboard)];
}

interface SealedParts {
  shut: Swamped;
  full: Swamped;
  sourced: { section: 'pack/load'; id: string; assumed: Phrase[]; source: 'archimedes' };
  mend: Finding['mend'];
  settled: boolean;
}

/** A sealed hull is as good as its plugs and hatches: what holds while they are shut, and what when one is not. */
function sealedFinding(
  { people }: Context,
  boat: Boat,
  { shut, full, sourced, mend, settled }: SealedParts,
): Finding {
  const openings = boat.openings.length > 0;
  const set = settled && shut.seated && !openings;
  const sinks = full.spare < 0;
  const said = (as: Swamped) => {
    const [lies, bears] = how(as, people.length);
    return { lies, bears };
  };
  return finding({
    ...sourced,
    level: set ? 'ready' : 'know',
    title: phrase('swamped.title'),
    because: openings
      ? [
          phrase('swamped.while-shut', { names: boat.openings.map((o) => o.name), ...said(shut) }),
          sinks
            ? phrase('swamped.opened.sinks', { litres: full.lacking })
            : phrase('swamped.opened', said(full)),
        ]
      : how(shut, people.length),
    ...(set ? {} : { mend }),
  });
}

/** The tick of the last look that says every opening was felt shut. */
const FELT_SHUT = 'last:plug';

/** Was a last look, ticked at an instant, taken shortly enough before leaving? Without an hour of leaving nobody can tell. */
export function lookHolds(at: number | undefined, leave: number | undefined): boolean {
  return at !== undefined && leave !== undefined && at >= leave - LOOK_HOLDS;
}

/** Every plug, bung and hatch has to be felt shut at the water; one that is only reached from underneath is louder: forgetting it means a swim. */
export function openingFindings({ trip, boat, ticks }: Context, leave: number | undefined): Finding[] {
  if (!boat || boat.openings.length === 0) return [];
  const under = boat.openings.filter((o) => o.worked === 'underneath').map((o) => o.name);
  const felt = ticks?.get(FELT_SHUT);
  const shut = lookHolds(felt, leave);
  return [
    finding({
      id: `openings/shut/${trip.id}`,
      level: shut ? 'ready' : under.length > 0 ? 'fix' : 'know',
      section: 'go/launch',
      title: phrase('openings.title'),
      because: [
        phrase(shut ? 'openings.shut' : 'openings.why', { names: boat.openings.map((o) => o.name) }),
        ...(felt !== undefined && !shut ? [phrase('openings.stale', { at: felt })] : []),
        ...(under.length > 0 ? [phrase('openings.under', { names: under })] : []),
      ],
      source: 'practice',
      ...(shut ? {} : { mend: { label: phrase('openings.mend'), open: 'pack/ready' as const } }),
    }),
  ];
}
