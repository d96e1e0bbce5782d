import type { Boat, Capability, Catalogue, Condition, Demand, GearKind, NearMiss, Person, Requirement, Shortfall, Trip, Truth } from '../model';
import { evaluate, type RuleResult, type World } from '../rules';
import { demandFaults, indexCatalogue, piecesOf, reason, settle, stowages, type CountContext, type Piece } from './count';
import { cover, type Answered, type Ask, type Row, type Unit } from './cover';
import { matchJackets, whoLacks, type JacketContext, type JacketPlan } from './jackets';

export interface KitInput {
  rules: RuleResult[];
  trip: Pick<Trip, 'stow' | 'crew'>;
  people: Person[];
  /** Facts of each person, for deeds that concern only some. */
  crew?: World['crew'];
  boat?: Boat;
  water?: JacketContext['water'];
  openWater?: Catalogue['openWater'];
  gear: CountContext['gear'];
  catalogue: Catalogue | Map<string, GearKind>;
  /** Civil dates at the launch: the day of leaving (ages) and the day the trip ends (dates, tests). */
  on: string;
  endsOn: string;
  mostNodes?: number;
}

export interface KitMatch {
  requirements: Requirement[];
  jackets: JacketPlan;
  bodies: JacketContext;
  pieces: Piece[];
  /** The search for the least set was finished. */
  proved: boolean;
}

const RANK = { law: 0, advice: 1, own: 2 } as const;

/**
 * What taking one unit of a thing costs, as practice prefers (source `practice`): the fewest things; own before borrowed;
 * tested before untested; what ends soonest last.
 */
const COST = { unit: 1_000_000, borrowed: 100_000, untested: 10_000, mostForDate: 9_999 } as const;
const NEVER = '9999-12-31';

function unitsOf(pieces: Piece[]): Map<string, Unit> {
  const byDate = [...new Set(pieces.map((p) => p.item.expires ?? NEVER))].sort().reverse();
  const dateRank = new Map(byDate.map((date, i) => [date, Math.min(i, COST.mostForDate)]));
  return new Map(pieces.map(({ item }) => [item.id, {
    count: item.count,
    cost: COST.unit + (item.borrowedFrom ? COST.borrowed : 0) + (item.inspected === undefined ? COST.untested : 0) + (dateRank.get(item.expires ?? NEVER) ?? 0),
  }]));
}

/**
 * Every requirement against what is really in the shed. Jackets first (a body each), then everything else by `cover`:
 * whether each can be met is decided exactly, law before advice before one's own; among equal answers the least cost wins.
 */
export function matchKit(input: KitInput): KitMatch {
  const catalogue = input.catalogue instanceof Map ? input.catalogue : indexCatalogue(input.catalogue);
  const own = piecesOf({ boat: input.boat, people: input.people, gear: input.gear, catalogue, endsOn: input.endsOn }, stowages(input.gear, input.trip));
  const approved = input.rules.some((r) => r.rule.layer === 'law' && r.applies !== 'no' && r.rule.anyOf.flat().some((d) => d.capability === 'wearable' && d.approved));
  const bodies: JacketContext = { people: input.people, crew: input.trip.crew, boat: input.boat, water: input.water, on: input.on, approved, openWater: input.openWater };
  const jackets = matchJackets(bodies, settle(own, { worn: new Map() }));
  const worn = new Map([...jackets.fits].map(([person, fit]) => [fit.piece.item.id, input.people.find((p) => p.id === person)!]));
  const pieces = settle(own, { worn, unsettled: jackets.unsettled });
  const supply = new Supply(pieces, jackets);

  const asked = input.rules.filter((r) => r.applies !== 'no' && r.rule.anyOf.length > 0);
  const asks = asked.map((result): Ask => ({ id: keyOf(result), rank: RANK[result.rule.layer], alternatives: result.rule.anyOf.map((demands) => demands.filter((d) => d.forWhom !== 'each').map((demand) => supply.row(demand))) }));
  const { answers, proved } = cover(asks, unitsOf(pieces), input.mostNodes);
  const requirements = input.rules.map((result) => requirementOf(result, input, supply, answers.get(keyOf(result)), jackets));
  return { requirements, jackets, bodies, pieces, proved };
}

const keyOf = ({ rule, pack }: RuleResult) => `${pack.id}/${rule.id}`;

interface Candidate { piece: Piece; faults: NearMiss['reasons']; open: boolean }

/** What could answer a demand, and what stands against each thing. */
class Supply {
  private readonly byCapability = new Map<Capability, Piece[]>();
  /** Jackets on bodies: how many of each thing. */
  private readonly wornCount = new Map<string, number>();
  private readonly unsettled: boolean;
  constructor(pieces: Piece[], jackets: JacketPlan) {
    this.unsettled = jackets.unsettled;
    for (const { piece } of jackets.fits.values()) this.wornCount.set(piece.item.id, (this.wornCount.get(piece.item.id) ?? 0) + 1);
    for (const piece of pieces) for (const { capability } of piece.kind.supplies) {
      const list = this.byCapability.get(capability);
      if (list) list.push(piece);
      else this.byCapability.set(capability, [piece]);
    }
  }

  /** A jacket somebody wears is nobody's spare. */
  private isSpare(piece: Piece): boolean {
    return piece.item.count > (this.wornCount.get(piece.item.id) ?? 0);
  }

  private readonly known = new Map<string, Candidate[]>();

  /** The same whatever the count: many rules ask for the same thing. */
  candidates(demand: Demand): Candidate[] {
    const { capability, within, approved, leastLength } = demand;
    const key = `${capability} ${within} ${approved} ${leastLength?.value} ${leastLength?.unit}`;
    let found = this.known.get(key);
    if (!found) this.known.set(key, (found = this.find(demand)));
    return found;
  }

  private find(demand: Demand): Candidate[] {
    return (this.byCapability.get(demand.capability) ?? [])
      .filter((piece) => demand.capability !== 'spare-jacket' || this.isSpare(piece))
      .map((piece) => {
        const faults = [...piece.faults, ...demandFaults(piece, demand), ...(demand.capability === 'spare-jacket' && this.unsettled ? [reason('unsettled', undefined, true)] : [])];
        return { piece, faults, open: faults.length > 0 };
      });
  }

  private readonly usable = new Map<Candidate[], Row['from']>();

  /** What is asked, out of what counts or may count. Rows of one demand share one list. */
  row(demand: Demand): Row {
    const candidates = this.candidates(demand);
    let from = this.usable.get(candidates);
    if (!from) this.usable.set(candidates, (from = candidates.filter((c) => c.faults.every((f) => f.unknown)).map((c) => ({ id: c.piece.item.id, open: c.open }))));
    return { need: demand.count ?? 1, from, ...(demand.pool ? { pool: demand.pool } : {}) };
  }
}

function requirementOf(result: RuleResult, input: KitInput, supply: Supply, answered: Answered | undefined, jackets: JacketPlan): Requirement {
  const { rule, pack, applies } = result;
  const base: Requirement = {
    rule: rule.id, pack: pack.id, layer: rule.layer, title: rule.title, text: rule.text, applies, because: result.because, anyOf: rule.anyOf,
    source: { id: rule.source, section: rule.section, confidence: rule.confidence, verified: rule.verified, noted: rule.noted },
    met: 'yes', metBy: [], missing: [], nearMisses: [],
  };
  if (applies === 'no') return base;
  if (rule.declared) return { ...base, ...declared(rule.declared.worn, input) };
  const bodies = rule.anyOf.flat().some((d) => d.forWhom === 'each') ? jacketAnswer(input.people, jackets) : undefined;
  if (!answered) return { ...base, ...unmet(rule.anyOf, supply, bodies) };
  const open = answered.uses.some((use) => use.open) || bodies?.met === 'unknown';
  const met: Truth = bodies?.met === 'no' ? 'no' : open ? 'unknown' : 'yes';
  // Where something only may count, what is open about it is told, and what else nearly counts: it may be mended sooner.
  const doubts = open ? nearly(rule.anyOf, supply) : [];
  return {
    ...base, met, metBy: [...(bodies?.metBy ?? []), ...answered.uses.map((u) => ({ item: u.id, count: u.count }))], missing: bodies?.missing ?? [],
    nearMisses: mergeMisses([...(bodies?.nearMisses ?? []), ...doubts]),
  };
}

/** Everything that would serve some demand, were it not for what stands against it. */
const nearly = (anyOf: Demand[][], supply: Supply): NearMiss[] => anyOf.flat().filter((d) => d.forWhom !== 'each').flatMap((d) => supply.candidates(d)).filter((c) => c.faults.length > 0).map(({ piece, faults }) => ({ item: piece.item.id, reasons: faults }));

/** Nothing answers it: the alternative that lacks least is shown, and everything that nearly counted. */
function unmet(anyOf: Demand[][], supply: Supply, bodies: JacketAnswer | undefined): Pick<Requirement, 'met' | 'metBy' | 'missing' | 'nearMisses'> {
  const short = anyOf.map((demands) => demands.filter((d) => d.forWhom !== 'each').flatMap((demand): Shortfall[] => {
    const have = supply.candidates(demand).filter((c) => c.faults.length === 0).reduce((sum, c) => sum + c.piece.item.count, 0);
    const need = demand.count ?? 1;
    return have >= need ? [] : [{ capability: demand.capability, need, have }];
  }));
  const lack = (missing: Shortfall[]) => missing.reduce((sum, m) => sum + m.need - m.have, 0);
  const least = short.reduce((a, b) => (lack(b) < lack(a) ? b : a), short[0] ?? []);
  // All there, yet promised elsewhere in its pool: the first demand is what falls short.
  const missing = least.length > 0 || anyOf.length === 0 ? least : [{ capability: anyOf[0][0].capability, need: anyOf[0][0].count ?? 1, have: 0 }];
  return { met: 'no', metBy: bodies?.metBy ?? [], missing: [...(bodies?.missing ?? []), ...missing], nearMisses: mergeMisses([...(bodies?.nearMisses ?? []), ...nearly(anyOf, supply)]) };
}

type JacketAnswer = Pick<Requirement, 'met' | 'metBy' | 'missing' | 'nearMisses'>;

function jacketAnswer(people: Person[], plan: JacketPlan): JacketAnswer {
  const lacking = whoLacks(plan, people);
  const open = [...plan.fits.values()].some((fit) => fit.faults.length > 0);
  return {
    met: lacking.length > 0 ? 'no' : open || people.length === 0 ? 'unknown' : 'yes',
    metBy: [...plan.fits].map(([person, fit]) => ({ item: fit.piece.item.id, person, count: 1 })),
    missing: lacking.length > 0 ? [{ capability: 'wearable', need: people.length, have: people.length - lacking.length, persons: lacking.map((p) => p.id) }] : [],
    nearMisses: mergeMisses(missesOf(lacking.length > 0 ? lacking : people.filter((p) => plan.misses.has(p.id)), plan)),
  };
}

/** What nearly fits those who lack a jacket; where all have one that may count, what is open about it. */
function missesOf(people: Person[], plan: JacketPlan): NearMiss[] {
  return people.flatMap((p) => plan.misses.get(p.id) ?? []).filter((m) => m.faults.length > 0).map((m) => ({ item: m.piece.item.id, reasons: m.faults }));
}

function mergeMisses(misses: NearMiss[]): NearMiss[] {
  const byItem = new Map<string, NearMiss>();
  for (const miss of misses) if (!byItem.has(miss.item) || byItem.get(miss.item)!.reasons.length > miss.reasons.length) byItem.set(miss.item, miss);
  return [...byItem.values()];
}

/** A deed that only the crew can vouch for: yes only when everyone whom it concerns, or may concern, said so. */
function declared(whom: Condition, { trip, people, crew }: KitInput): Pick<Requirement, 'met' | 'concerns'> {
  const facts = new Map(crew?.map((p) => [p.id, p]));
  const concerned = trip.crew.filter((c) => {
    const person = people.find((p) => p.id === c.person);
    return person && evaluate(whom, { facts: {}, crew: [] }, facts.get(person.id) ?? { id: person.id, name: person.name, facts: {} }).truth !== 'no';
  });
  const met = concerned.some((c) => c.wearsJacket === false) ? 'no' : concerned.length > 0 && concerned.every((c) => c.wearsJacket === true) ? 'yes' : 'unknown';
  return { met, concerns: concerned.map((c) => c.person) };
}
