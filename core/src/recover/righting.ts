import { around, exactly, plus, type Band } from '../numeric';
import { guessed } from '../verdict';
import type { Boat, Craft, Person } from '../model';
import { edgeNeed, HAND_LEVER, handMoment } from './edge';
import { G, leanMoment, leanOn, usualHeight, type Fastening } from './lean';
import { RECOVER } from './limits';
import { holdsDown, restAngle, usualRig, windMoment, type Rigged } from './mast';

const { limit } = RECOVER;

/** How she is turned: by a line over the upper hull, from her edge with a line or strap, or by hand across her. */
export type Way = 'mast' | 'edge' | 'hand';
/** Which way the wind finds her. */
export type WindSide = 'bow' | 'mast-down' | 'mast-up';

/** What is done and what there is while she is turned. */
export interface Given {
  /** Who leans on the line, by id; absent: as many of the heaviest as she carries. */
  on?: readonly string[];
  /** Length of the righting line from its fastening to the hands, m. */
  line?: number;
  /** Wind at ten metres, m/s. */
  wind?: number;
  side: WindSide;
  /** Water in the main, kg. */
  water: number;
  bag: boolean;
  strap: boolean;
}

export type Can = 'yes' | 'may' | 'no';
export interface Helper {
  id: string;
  name: string;
  /** What they give, N·m; absent where nobody said what they weigh. */
  gives?: Band;
  can?: Can;
}
export interface Righting {
  way: Way;
  /** What holds her down, N·m. */
  need: Band;
  /** Each of the crew alone. */
  people: Helper[];
  /** Those on the line together; absent where nobody’s weight is known. */
  together?: { ids: string[]; gives: Band; can: Can };
  /** How far they lean out, radians from upright; for a hull turned by hand none. */
  lean?: Band;
  /** How far beyond her edge who lies across her hangs, m; only for a hull turned by hand. */
  lever?: Band;
  /** How far the platform leans past upright at rest. */
  rest?: number;
  /** Measures that were taken for hers, because nobody stated them. */
  taken: ('rig' | 'mass' | 'beam' | 'line')[];
  /** People of whom nobody said what they weigh. */
  unweighed: string[];
}

export const can = (gives: Band, need: Band): Can =>
  gives.low >= need.high ? 'yes' : gives.high < need.low ? 'no' : 'may';

const WAYS: Partial<Record<Craft, Way>> = {
  catamaran: 'mast',
  raft: 'edge',
  inflatable: 'edge',
  skiff: 'edge',
  'sit-on-top': 'hand',
  'sit-inside': 'hand',
  canoe: 'hand',
};
const ON: Record<Way, number> = { mast: limit('two'), edge: limit('four'), hand: 1 };

/** How a kind of craft is righted by her crew; undefined for one that is not, or that rights by another means. */
export function wayOf(kind: Craft, strap: boolean): Way | undefined {
  const way = WAYS[kind];
  return way === 'hand' && strap ? 'edge' : way;
}

/**
 * Can this crew turn her upright? What holds her down against what each and all of them give, both within limits.
 * @returns undefined for craft that are not righted so, or of which length or weight can’t even be taken
 */
export function righting(
  boat: Boat,
  people: readonly Pick<Person, 'id' | 'name' | 'mass' | 'height' | 'basis'>[],
  given: Given,
): Righting | undefined {
  const way = wayOf(boat.kind, given.strap);
  const her = way === 'mast' ? onHerMast(boat, given) : way && edgeOf(boat);
  if (!way || !her) return undefined;
  return turned(way, her, people, given, ON[way]);
}

/** What each gives and what they give together, of whom so many find room. */
function turned(
  way: Way,
  her: Her,
  people: Parameters<typeof righting>[1],
  given: Given,
  room: number,
): Righting {
  const helpers = people.map((person): Helper => {
    const { id, name } = person;
    const gives = giving(person, way, her, given);
    return { id, name, ...(gives ? { gives, can: can(gives, her.need) } : {}) };
  });
  const strongest = helpers
    .filter((h) => h.gives && (given.on === undefined || given.on.includes(h.id)))
    .sort((a, b) => b.gives!.low - a.gives!.low)
    .slice(0, room);
  const gives = plus(...strongest.map((h) => h.gives!), ...bagOf(way, her, given));
  const taken = [...her.taken, ...(way === 'mast' && given.line === undefined ? (['line'] as const) : [])];
  return {
    way,
    need: her.need,
    people: helpers,
    ...(strongest.length > 0
      ? { together: { ids: strongest.map((h) => h.id), gives, can: can(gives, her.need) } }
      : {}),
    ...(way === 'hand' ? { lever: HAND_LEVER } : { lean: leanOf(way, her, given, TALL) }),
    ...(her.rest === undefined ? {} : { rest: her.rest }),
    taken,
    unweighed: people.filter((p) => p.mass === undefined).map((p) => p.name),
  };
}

const RAFT = { mass: around(limit('raft-mass'), limit('rig-off')), beam: exactly(limit('raft-beam')) };

/** A life raft that lies upside down: one turns her, hauling on her bottom’s strap and leaning back. */
export function lifeRaft(people: Parameters<typeof righting>[1]): Righting {
  return turned('edge', { need: edgeNeed(RAFT.mass, RAFT.beam), taken: ['mass'] }, people, NOTHING, 1);
}
const NOTHING: Given = { side: 'bow', water: 0, bag: false, strap: false };

export interface Her {
  need: Band;
  taken: Righting['taken'];
  at?: Fastening;
  rest?: number;
}

const OFF = limit('rig-off'),
  OFF_STATED = limit('rig-off-stated');

/** The measures of a catamaran: her own where they were stated, else what stands for one of her length. */
export function rigOf(boat: Boat): (Rigged & { stated: boolean }) | undefined {
  if (boat.length === undefined) return undefined;
  const usual = usualRig(boat.length);
  const own = <T>(pointer: string, value: T | undefined) => (guessed(boat, pointer) ? undefined : value);
  const { mast, mastMass, sailMass, float } = boat.rig ?? {};
  const stated = {
    beam: own('/beam', boat.beam),
    mast: own('/rig/mast', mast),
    mass: own('/mass', boat.mass),
    mastMass: own('/rig/mastMass', mastMass),
  };
  return {
    length: boat.length,
    beam: stated.beam ?? boat.beam ?? usual.beam,
    mast: stated.mast ?? mast ?? usual.mast,
    mastMass: mastMass ?? usual.mastMass,
    sailMass: sailMass ?? usual.sailMass,
    mass: stated.mass ?? boat.mass ?? usual.mass,
    float: float ?? false,
    stated: Object.values(stated).every((value) => value !== undefined),
  };
}

function onHerMast(boat: Boat, { side, wind = 0, water }: Given): Her | undefined {
  const rig = rigOf(boat);
  if (!rig) return undefined;
  const rest = restAngle(rig);
  const down = holdsDown(rig, rest, water);
  const off = rig.stated ? OFF_STATED : OFF;
  const blown = side === 'bow' ? 0 : windMoment(rig, wind) * (side === 'mast-down' ? 1 : -1);
  const need = around(down, off);
  return {
    // The wind may drop: what it helps is not counted on, and what it hinders is.
    need: { low: need.low + Math.min(0, blown), high: need.high + Math.max(0, blown) },
    taken: rig.stated ? [] : ['rig'],
    at: { across: rig.beam * Math.sin(rest), up: rig.beam * Math.cos(rest) },
    rest,
  };
}

/** What holds her on her edge, wide where her measures are guesses; undefined where they are missing. */
export function edgeOf(boat: Boat): Her | undefined {
  const { mass, beam } = boat;
  if (mass === undefined || beam === undefined) return undefined;
  const known = (pointer: string, value: number) =>
    guessed(boat, pointer) ? around(value, OFF) : exactly(value);
  const taken = (['mass', 'beam'] as const).filter((field) => guessed(boat, `/${field}`));
  return { need: edgeNeed(known('/mass', mass), known('/beam', beam)), taken };
}

const LEAN: Record<Exclude<Way, 'hand'>, Band> = {
  mast: { low: limit('lean-least'), high: limit('lean-most') },
  edge: { low: limit('edge-lean-least'), high: limit('edge-lean-most') },
};
const FEET = { low: limit('feet-low'), high: limit('feet-high') };
const TALL = usualHeight(Infinity);

/** How far people lean: by the length of their line where it is known, else as far as they usually do. */
function leanOf(way: Way, { at }: Her, { line }: Given, height: Band): Band {
  if (way !== 'mast' || line === undefined || !at) return LEAN[way === 'edge' ? 'edge' : 'mast'];
  const angles = [height.low, height.high].map((h) => leanOn(line, at, h));
  return { low: Math.min(...angles), high: Math.max(...angles) };
}

const MASS_OFF = limit('mass-off');

function giving(
  person: Pick<Person, 'mass' | 'height' | 'basis'>,
  way: Way,
  her: Her,
  given: Given,
): Band | undefined {
  const { mass } = person;
  if (mass === undefined) return undefined;
  const weighs = guessed(person, '/mass') ? around(mass, MASS_OFF) : exactly(mass);
  if (way === 'hand') return handMoment(weighs);
  const stated = guessed(person, '/height') ? undefined : person.height;
  const height = stated === undefined ? usualHeight(mass) : exactly(stated);
  // The least and the most over all that is open: mass, height, lean and how deep the lower hull lies.
  const all = [weighs.low, weighs.high].flatMap((m) =>
    [height.low, height.high].flatMap((h) => {
      const lean = leanOf(way, her, given, exactly(h));
      return [lean.low, lean.high].flatMap((angle) =>
        [FEET.low, FEET.high].map((feet) => leanMoment({ mass: m, height: h }, angle, feet)),
      );
    }),
  );
  return { low: Math.min(...all), high: Math.max(...all) };
}

const BAG = limit('bag-mass');
/** A bag of water hangs from the shoulder of who leans: at the middle of a body that leans as far. */
function bagOf(way: Way, her: Her, given: Given): Band[] {
  if (!given.bag || way !== 'mast') return [];
  const lean = leanOf(way, her, given, TALL);
  const at = (height: number, angle: number) => (G * BAG * height * Math.sin(angle)) / 2;
  return [{ low: at(TALL.low, lean.low), high: at(TALL.high, lean.high) }];
}

/** How much longer a line is tried, m. */
export const LINE_MORE = limit('line-more');
export type Change = { id: 'bow' | 'drain' | 'bag' | 'line' | 'strap' | 'pair'; then: Righting };

/**
 * What would change it, each tried in the model and alone: those that leave more between what is given and what is asked,
 * the best first.
 */
export function changes(
  boat: Boat,
  people: Parameters<typeof righting>[1],
  given: Given,
  now: Righting,
): Change[] {
  const margin = (r: Righting) =>
    r.together ? (r.together.gives.low + r.together.gives.high - r.need.low - r.need.high) / 2 : -Infinity;
  const tries: [Change['id'], Given | undefined][] = [
    ['bow', given.side === 'mast-down' && given.wind ? { ...given, side: 'bow' } : undefined],
    ['drain', given.water > 0 ? { ...given, water: 0 } : undefined],
    ['bag', now.way === 'mast' && !given.bag ? { ...given, bag: true } : undefined],
    [
      'line',
      now.way === 'mast' && given.line !== undefined ? { ...given, line: given.line + LINE_MORE } : undefined,
    ],
    ['strap', now.way === 'hand' ? { ...given, strap: true } : undefined],
    ['pair', given.on !== undefined && given.on.length < ON[now.way] ? withoutOn(given) : undefined],
  ];
  return tries
    .flatMap(([id, then]) => {
      const tried = then && righting(boat, people, then);
      return tried && margin(tried) > margin(now) ? [{ id, then: tried }] : [];
    })
    .sort((a, b) => margin(b.then) - margin(a.then));
}

function withoutOn({ on: _, ...rest }: Given): Given {
  return rest;
}
