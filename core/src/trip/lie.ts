import { afloat, emptyWeight, holesOf, hullOf, lieBand, maximumDisplacement, placed, plateOf, type Afloat, type Hull, type LieBand, type Placed } from '../boat';
import type { Boat, Figure, Finding, Level, Phrase } from '../model';
import { phrase } from '../say';
import type { SourceId } from '../sources';
import { asPrinted } from '../units';
import { densityOf } from '../water';
import { finding, guessed, type Context, type Figures } from './context';
import { swampedFindings } from './flooded';
import { LEVEL_ENOUGH, NARROW, TENDER } from './limits';

const base = { section: 'pack/load' as const };
const move = { label: phrase('lie.mend'), open: 'pack/load' as const };

/** How a boat of this trip lies, and what of it is only guessed. */
interface Lying {
  context: Context;
  boat: Boat;
  hull: Hull;
  spots: Placed[];
  density: number;
  lie: Afloat;
  assumed: Phrase[];
  /** Where a guess or a missing weight is settled. */
  settle: NonNullable<Finding['mend']>;
  band?: LieBand;
}

/**
 * How she lies under today's load: freeboard, trim, heel; and whether she floats when she is full of water. Our own sums: a
 * Stop only where the water stands at her edge or at an opening by stated or measured facts.
 */
export function lieFindings(context: Context, figures: Figures): Finding[] {
  const { trip, boat, people, water } = context;
  if (!boat || people.length === 0) return [];
  const hull = hullOf(boat);
  if (!hull) {
    const pointer = boat.length === undefined ? '/length' : '/beam';
    return [
      finding({
        ...base,
        id: `lie/measures/${boat.id}`,
        level: 'know',
        title: phrase('lie.measures.title'),
        because: [phrase('lie.measures.why', { boat: boat.name })],
        mend: { label: phrase('lie.measures.mend'), go: { type: 'boat', id: boat.id, pointer } },
      }),
    ];
  }
  const density = densityOf(water);
  const spots = placed(trip, people, hull);
  const lie = afloat(boat, hull, spots, density);
  const lying: Lying = { context, boat, hull, spots, density, lie, ...unsure(context, boat, hull) };
  if (hull.beam < NARROW) lying.band = lieBand(boat, hull, spots, density);
  const after = [...contradiction(boat, hull), ...swampedFindings(context, boat, hull, density)];
  const { outcome, free } = lie;
  if (outcome.state !== 'floats' || !free) return [uprightFinding(lying), ...after];
  lieFigures(lying, figures);
  return [
    edgeFinding(lying),
    ...tiltFindings(lying),
    ...tenderFindings(lying),
    ...wetFindings(lying),
    ...after,
  ];
}

/** What rests on a guess, or leaves somebody out, is no pass. */
function unsure({ people }: Context, boat: Boat, hull: Hull): Pick<Lying, 'assumed' | 'settle'> {
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
  const settle =
    n > 0 || !who
      ? {
          label: phrase('lie.measures.mend'),
          go: { type: 'boat' as const, id: boat.id, pointer: hull.guessed[0] ?? '/mass' },
        }
      : {
          label: phrase('load.unknown.mend'),
          go: { type: 'person' as const, id: who.id, pointer: '/mass' },
        };
  return { assumed, settle };
}

const UPRIGHT = { sinks: 'lie.sinks', 'on-end': 'lie.on-end', capsizes: 'lie.capsizes' } as const;

function uprightFinding({ context, lie: { outcome }, assumed }: Lying): Finding {
  return finding({
    ...base,
    id: `lie/upright/${context.trip.id}`,
    level: 'fix',
    title: phrase('lie.upright.title'),
    because: [phrase(outcome.state === 'floats' ? 'lie.capsizes' : UPRIGHT[outcome.state])],
    assumed,
    source: 'own-estimate',
    mend: move,
  });
}

/** Freeboard at the lowest point. Beside a list that has to be mended it is never Ready. */
function edgeFinding({ context, hull, lie, assumed, settle, band }: Lying): Finding {
  const { trip } = context;
  const { least, source } = hull.form.edge;
  const lowest = lie.free!.lowest;
  const low = band ? Math.min(band.free[0], lowest) : lowest;
  const short = asPrinted(low, 'shortLength') < asPrinted(least, 'shortLength');
  const at = lie.outcome.state === 'floats' ? lie.outcome.at : undefined;
  const tilted =
    at !== undefined &&
    (Math.abs(at.heel) >= LEVEL_ENOUGH.heel.fix || Math.abs(at.trim) >= LEVEL_ENOUGH.trim.fix);
  const level: Level = short
    ? low < least / 2
      ? 'fix'
      : 'know'
    : assumed.length > 0 || tilted
      ? 'know'
      : 'ready';
  const values = { free: lowest, least };
  return finding({
    ...base,
    id: `lie/edge/${trip.id}`,
    level,
    title: phrase('lie.edge.title'),
    because: [
      band
        ? phrase('lie.edge.band', { low: band.free[0], high: band.free[1], least })
        : phrase('lie.edge.why', values),
      ...(tilted ? [phrase('lie.edge.tilted')] : []),
    ],
    figures: ['freeLow', 'freeBow', 'freeStern', 'trim', 'heel'],
    assumed,
    source: source as SourceId,
    ...(short || tilted ? { mend: move } : assumed.length > 0 ? { mend: settle } : {}),
  });
}

/** Trim and list at rest: beyond some degrees to be known, beyond more to be mended. */
function tiltFindings({ context, lie, assumed }: Lying): Finding[] {
  if (lie.outcome.state !== 'floats') return [];
  const { trim, heel } = lie.outcome.at;
  const ways = {
    trim: trim > 0 ? 'lie.trim.stern' : 'lie.trim.bow',
    heel: heel > 0 ? 'lie.heel.port' : 'lie.heel.starboard',
  } as const;
  return [['trim', trim] as const, ['heel', heel] as const].flatMap(([name, value]) => {
    const grades = LEVEL_ENOUGH[name];
    const angle = Math.abs(value);
    if (angle <= grades.know) return [];
    return [
      finding({
        ...base,
        id: `lie/${name}/${context.trip.id}`,
        level: angle >= grades.fix ? 'fix' : 'know',
        title: phrase(`lie.${name}.title`),
        because: [phrase(ways[name], { angle })],
        figures: [name],
        assumed,
        source: LEVEL_ENOUGH.source,
        mend: move,
      }),
    ];
  });
}

/** Nobody sits dead centre: a narrow boat that goes over from a few centimetres is too small for who is in her. */
function tenderFindings({ context, boat, hull, spots, density, assumed, band }: Lying): Finding[] {
  if (!band) return [];
  const off = spots.map((s) => (s.is === 'person' ? { ...s, y: s.y + TENDER.off } : s));
  const { outcome } = afloat(boat, hull, off, density);
  const [low, high] = band.gm;
  const over = outcome.state !== 'floats';
  const angle = over ? 0 : Math.abs(outcome.at.heel);
  const small = over || angle >= TENDER.fix;
  return [
    finding({
      ...base,
      id: `lie/tender/${context.trip.id}`,
      level: small ? 'fix' : 'know',
      title: phrase(small ? 'lie.tender.title' : 'lie.narrow.title'),
      because: [
        over
          ? phrase('lie.tender', { off: TENDER.off })
          : phrase('lie.narrow', { off: TENDER.off, angle }),
        phrase('lie.gm.band', { low, high }),
      ],
      figures: ['gm'],
      assumed,
      source: 'own-estimate',
    }),
  ];
}

/** Her edge or an opening at the water: a Stop on stated or measured facts, else a Fix. */
function wetFindings({ context, boat, hull, lie, assumed }: Lying): Finding[] {
  const { outcome, free } = lie;
  if (outcome.state !== 'floats' || !free) return [];
  const { plane } = outcome.at;
  const { trip } = context;
  const level: Level = assumed.length > 0 ? 'fix' : 'stop';
  const say = (id: string, key: 'lie.awash' | 'lie.opening', values: Record<string, string | number>) =>
    finding({
      ...base,
      id: `lie/${id}/${trip.id}`,
      level,
      title: phrase(`${key}.title`),
      because: [phrase(key, values)],
      figures: ['freeLow'],
      assumed,
      source: 'archimedes',
      mend: move,
    });
  const found: Finding[] = [];
  if (asPrinted(free.lowest, 'shortLength') <= 0) found.push(say('awash', 'lie.awash', {}));
  // What is meant to be shut under water is a plug; a hatch is meant to stand over it.
  const wet = holesOf(boat, hull).filter(
    (hole) => hole.kind === 'hatch' && hole.z <= plane.h + plane.t * hole.x + plane.s * hole.y,
  );
  if (wet.length > 0) found.push(say('opening', 'lie.opening', { name: wet[0].name }));
  return found;
}

function lieFigures({ hull, lie, assumed, band }: Lying, figures: Figures): void {
  if (lie.outcome.state !== 'floats' || !lie.free) return;
  const { trim, heel, gm } = lie.outcome.at;
  const inputs = {
    length: { value: hull.length, quantity: 'length' as const },
    beam: { value: hull.beam, quantity: 'length' as const },
    depth: { value: hull.depth, quantity: 'length' as const },
  };
  const rest = assumed.length > 0 ? { guessed: true } : {};
  const figure = (
    value: number,
    quantity: Figure['quantity'],
    formula: string,
    range?: [number, number],
  ) => ({
    value,
    quantity,
    inputs,
    formula,
    source: 'archimedes',
    ...(range ? { range } : {}),
    ...rest,
  });
  figures.freeLow = figure(lie.free.lowest, 'shortLength', 'formula.freeboard', band?.free);
  figures.freeBow = figure(lie.free.bow, 'shortLength', 'formula.freeboard');
  figures.freeStern = figure(lie.free.stern, 'shortLength', 'formula.freeboard');
  figures.trim = figure(trim, 'angle', 'formula.balance');
  figures.heel = figure(heel, 'angle', 'formula.balance');
  figures.gm = figure(gm, 'shortLength', 'formula.gm', band?.gm);
}

/** A plate that allows more than her hull could float with says that a measure, or the plate as it was read, is wrong. */
function contradiction(boat: Boat, hull: Hull): Finding[] {
  const most = plateOf(boat)?.totalMass;
  const bears = maximumDisplacement(hull) - emptyWeight(boat, hull).mass;
  if (most === undefined || most <= bears) return [];
  const pointer = boat.depth === undefined ? '/depth' : '/length';
  return [
    finding({
      ...base,
      id: `lie/contradiction/${boat.id}`,
      level: 'know',
      title: phrase('lie.contradiction.title'),
      because: [phrase('lie.contradiction.why', { most, bears: Math.max(0, bears) })],
      source: 'archimedes',
      mend: { label: phrase('lie.measures.mend'), go: { type: 'boat', id: boat.id, pointer } },
    }),
  ];
}
