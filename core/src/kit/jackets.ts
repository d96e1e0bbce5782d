import { ageRange } from '../earth';
import type { Boat, Catalogue, Demand, Person, Trip, Water } from '../model';
import { assign } from './assign';
import { demandFaults, isJacket, reason, type Accepts, type Piece, type Reason } from './count';

export interface JacketFit {
  piece: Piece;
  faults: Reason[];
}

export interface JacketPlan {
  /** Jacket for each person for whom one counts or may count. */
  fits: Map<string, JacketFit>;
  /** Some fit hangs on a missing fact, so that the whole assignment may be another. */
  unsettled: boolean;
  /** Every jacket with what stands against it, for each person who has none that counts. */
  misses: Map<string, JacketFit[]>;
}

type CrewMember = Trip['crew'][number];

/**
 * What a fit costs beside another: first that everyone has one at all, then that it surely counts, that it
 * lifts enough for this water, whose it is, and how tightly it fits.
 */
const NONE = 1e9,
  OPEN = 1e6,
  LOW = 4000,
  OTHERS = 2000,
  NOBODYS = 1000,
  WIDEST = 500;

/** What jackets are held against: the people, what the trip says of them, the boat, the water, the day. */
export interface JacketContext {
  people: Person[];
  crew: CrewMember[];
  boat?: Boat;
  /** In company: the boat of each person who is not in the trip's own. */
  boats?: ReadonlyMap<string, Boat>;
  water?: Pick<Water, 'class' | 'rapids'>;
  /** Civil date at the launch: ages. */
  on: string;
  /** The law here asks for an approved one. */
  approved: boolean;
  /** By whom. */
  accepts?: Accepts;
  /** The law counts an inflatable jacket only when it is worn, or where its label says so. */
  inflatable?: Demand['inflatable'];
  openWater?: Catalogue['openWater'];
}

/**
 * One jacket for each body, exactly: as many people as can be served at all, of those as many as can be served for sure,
 * and then the least cost: enough lift for this water, one's own before others', the tightest size, then by id. A jacket
 * that somebody stated is theirs and nobody else's.
 */
export function matchJackets(context: JacketContext, pieces: Piece[]): JacketPlan {
  const { people, crew } = context;
  const jackets = pieces
    .filter((piece) => isJacket(piece.kind))
    .sort((a, b) => (a.item.id < b.item.id ? -1 : 1))
    .flatMap((piece) =>
      Array.from({ length: Math.min(piece.item.count, people.length) || 1 }, (_, n) => ({
        piece,
        key: `${piece.item.id}#${n}`,
      })),
    );
  const stated = new Map(crew.flatMap((c) => (c.jacket ? [[c.person, c.jacket] as const] : [])));
  const statedItems = new Set(stated.values());
  const mayWear = (person: Person, item: string) =>
    stated.has(person.id) ? stated.get(person.id) === item : !statedItems.has(item);
  const options = new Map(
    people.map((person) => [
      person.id,
      jackets
        .filter(({ piece }) => mayWear(person, piece.item.id))
        .map(({ piece, key }) => ({ piece, key, faults: fitFaults(person, piece, context) })),
    ]),
  );
  const order = [...people].sort((a, b) => (a.id < b.id ? -1 : 1));
  // A column of nothing for each person: going without is dear, but always possible.
  const cost = order.map((person) => [
    ...jackets.map(({ piece, key }) => {
      const option = options.get(person.id)?.find((o) => o.key === key);
      if (!option || !option.faults.every((f) => f.unknown)) return NONE + 1;
      return (
        (option.faults.length > 0 ? OPEN : 0) +
        (liftLacking(person, piece, context) ? LOW : 0) +
        preference(person, piece)
      );
    }),
    ...order.map(() => NONE),
  ]);
  const columns = order.length === 0 ? [] : assign(cost);
  const holder = new Map(
    order.flatMap((person, i) =>
      columns[i] < jackets.length && cost[i][columns[i]] < NONE
        ? [[jackets[columns[i]].key, person.id] as const]
        : [],
    ),
  );

  const fits = new Map<string, JacketFit>();
  for (const [key, person] of holder) {
    const option = options.get(person)?.find((o) => o.key === key);
    if (option) fits.set(person, option);
  }
  const misses = new Map<string, JacketFit[]>();
  for (const person of people) {
    const fit = fits.get(person.id);
    if (fit && fit.faults.length === 0) continue;
    misses.set(
      person.id,
      uniqueByItem(options.get(person.id) ?? []).map((option) => {
        const wearer = [...fits].find(
          ([other, f]) => other !== person.id && f.piece.item.id === option.piece.item.id,
        )?.[0];
        const name = people.find((p) => p.id === wearer)?.name;
        return name && option.faults.length === 0
          ? { ...option, faults: [reason('taken', { person: name })] }
          : option;
      }),
    );
  }
  return { fits, misses, unsettled: [...fits.values()].some((fit) => fit.faults.length > 0) };
}

function uniqueByItem<T extends { piece: Piece }>(options: T[]): T[] {
  const seen = new Set<string>();
  return options.filter(({ piece }) => !seen.has(piece.item.id) && seen.add(piece.item.id));
}

/** Lower is better: one's own jacket, then the tightest range that still fits. */
function preference(person: Person, { item }: Piece): number {
  const own = item.owner === person.id ? 0 : item.owner === undefined ? NOBODYS : OTHERS;
  return own + (item.maxMass ?? WIDEST) - (item.minMass ?? 0);
}

/**
 * Newtons that a jacket has and should have on this water for a body, where it has less; undefined where it has enough,
 * the water is sheltered, or lift or weight are not known. Advice only: a light cut is a choice that paddlers make.
 */
export function liftLacking(
  person: Person,
  { item }: Piece,
  { water, openWater }: Pick<JacketContext, 'water' | 'openWater'>,
): { has: number; least: number } | undefined {
  if (
    !openWater ||
    !water ||
    !openWater.waters.includes(water.class) ||
    item.buoyancy === undefined ||
    person.mass === undefined
  )
    return undefined;
  const { mass } = person;
  const least = openWater.least.find((row) => row.upTo === undefined || mass <= row.upTo)?.newtons;
  return least !== undefined && item.buoyancy < least ? { has: item.buoyancy, least } : undefined;
}

/** Why a jacket does not count for a body: size by weight, age, craft, rapids; label and reach as for any thing. Masses in kg. */
export function fitFaults(person: Person, piece: Piece, context: JacketContext): Reason[] {
  const { boat, boats, water, on, approved, accepts } = context;
  const { item, kind } = piece;
  const wears = context.crew.find((c) => c.person === person.id)?.wearsJacket;
  const demand: Demand = { capability: 'wearable', within: 'in-reach', ...(approved ? { approved } : {}) };
  // On the body of whoever said to wear it a jacket is where it has to be; not worn, it is where it was stowed.
  const faults = [
    ...piece.faults.filter((f) => !NOT_OF_JACKETS.has(f.code)),
    ...demandFaults(carried(piece, wears), demand, accepts),
  ];
  if (wears === false && piece.faults.some((f) => f.code === 'where-unknown'))
    faults.push(reason('where-unknown', undefined, true));
  faults.push(...inflatableFaults(piece, wears, context.inflatable));
  const least = Math.max(item.minMass ?? 0, kind.leastMass ?? 0);
  // A label that names one end only leaves the other open: it may be there and not entered.
  const upper =
    item.maxMass !== undefined ||
    (person.mass !== undefined && item.minMass !== undefined && person.mass < least);
  if (!upper || (item.minMass === undefined && kind.leastMass === undefined))
    faults.push(reason('size-unknown', undefined, true));
  if (person.mass === undefined) {
    if (least > 0 || item.maxMass !== undefined)
      faults.push(reason('mass-unknown', { person: person.name }, true));
  } else {
    if (item.maxMass !== undefined && person.mass > item.maxMass)
      faults.push(reason('too-small', { limit: item.maxMass, person: person.name, mass: person.mass }));
    if (person.mass < least)
      faults.push(reason('too-big', { limit: least, person: person.name, mass: person.mass }));
    if (person.basis?.['/mass'] === 'guessed')
      faults.push(reason('mass-unknown', { person: person.name }, true));
  }
  const leastAge = Math.max(item.minAge ?? 0, kind.leastAge ?? 0);
  if (leastAge > 0) {
    const age = person.born === undefined ? undefined : ageRange(person.born, on);
    if (age === undefined || (age[0] < leastAge && age[1] >= leastAge))
      faults.push(reason('age-unknown', { person: person.name }, true));
    else if (age[1] < leastAge)
      faults.push(reason('too-young', { limit: leastAge, person: person.name, age: age[1] }));
  }
  if (!item.hardUse) {
    const craft = boats?.get(person.id) ?? boat;
    if (craft && kind.notOn?.includes(craft.kind)) faults.push(reason('not-for-craft'));
    if (kind.notInRapids && water?.rapids) faults.push(reason('not-for-rapids'));
    else if (kind.notInRapids && water?.class === 'river' && water.rapids === undefined)
      faults.push(reason('rapids-unknown', undefined, true));
  }
  return faults;
}

/** A jacket goes to a body wherever it lay: in which boat it travels, and on whose body it usually does, is settled by who gets it. */
const NOT_OF_JACKETS: ReadonlySet<string> = new Set(['which-boat', 'elsewhere', 'where-unknown']);

/** Where a jacket is for whoever has it: on the body when that was said, within reach when it travels along, else where it was stowed. */
function carried(piece: Piece, wears: boolean | undefined): Piece {
  if (piece.place === 'home') return piece;
  if (wears === true) return { ...piece, place: 'on-body' };
  const place = piece.place === 'on-body' ? 'in-reach' : piece.place;
  return wears === undefined ? { ...piece, place, maybe: 'on-body' } : { ...piece, place };
}

/** An inflatable in a bag keeps nobody up: some texts count it only on a body, some leave it to the label. */
function inflatableFaults(
  { item, kind }: Piece,
  wears: boolean | undefined,
  rule: JacketContext['inflatable'],
): Reason[] {
  if (!kind.cylinder || rule === undefined || wears === true) return [];
  const must = rule === 'worn' ? true : item.wornToCount;
  if (must === undefined) return [reason('label-unknown', undefined, true)];
  return must ? [reason('not-worn', undefined, wears === undefined)] : [];
}

/**
 * What could be thrown to somebody: a jacket that nobody wears, and a throwable in reach, each with what
 * stands against it. Those that count stand first.
 */
export function toThrow(
  plan: JacketPlan,
  pieces: Piece[],
  { approved, accepts }: Pick<JacketContext, 'approved' | 'accepts'>,
): { spare: JacketFit[]; throwable: JacketFit[] } {
  const worn = new Map<string, number>();
  for (const { piece } of plan.fits.values()) worn.set(piece.item.id, (worn.get(piece.item.id) ?? 0) + 1);
  const of = (capability: 'spare-jacket' | 'throwable', demand: Partial<Demand> = {}) =>
    pieces
      .filter(
        (piece) =>
          piece.kind.supplies.some((s) => s.capability === capability) &&
          piece.item.count > (capability === 'throwable' ? 0 : (worn.get(piece.item.id) ?? 0)),
      )
      .map((piece): JacketFit => ({
        piece,
        faults: [
          ...piece.faults,
          ...demandFaults(piece, { capability, within: 'in-reach', ...demand }, accepts),
        ],
      }))
      .sort((a, b) => a.faults.length - b.faults.length || (a.piece.item.id < b.piece.item.id ? -1 : 1));
  return { spare: of('spare-jacket'), throwable: of('throwable', approved ? { approved } : {}) };
}
