import type {
  Boat,
  Capability,
  Catalogue,
  GearItem,
  GearKind,
  NearMiss,
  Person,
  Requirement,
  Shortfall,
  Trip,
  Truth,
} from '../model';
import type { Asked, RuleResult, World } from '../rules';
import { phrase } from '../say';
import { bodyAnswer, jacketAnswer, worst, type BodyAnswer } from './bodies';
import {
  demandFaults,
  isJacket,
  piecesOf,
  reason,
  settle,
  stowages,
  type Accepts,
  type CountContext,
  type Piece,
  type Wearing,
} from './count';
import { indexCatalogue } from './catalogue';
import { cover, type Answered, type Ask, type Row, type Unit } from './cover';
import { deedOf } from './deeds';
import { matchJackets, type JacketContext, type JacketPlan } from './jackets';

export interface KitInput {
  rules: RuleResult[];
  trip: Pick<Trip, 'stow' | 'crew'>;
  people: Person[];
  /** Ids of everybody in the shed. */
  household?: ReadonlySet<string>;
  /** Facts of each person, for deeds that concern only some. */
  crew?: World['crew'];
  boat?: Boat;
  /** Who goes in other boats: jackets are shared out among all bodies of a trip. */
  fellows?: { boat: Boat; people: Person[]; crew: Trip['crew'] }[];
  /** Is a thing in this boat? Absent: everything is. */
  mine?: (item: GearItem) => Truth;
  water?: JacketContext['water'];
  openWater?: Catalogue['openWater'];
  gear: CountContext['gear'];
  catalogue: Catalogue | Map<string, GearKind>;
  /** Civil dates at the launch: the day of leaving (ages) and the day the trip ends (dates, tests). */
  on: string;
  endsOn: string;
  /** Where nobody knows when the trip ends: what ends before this day is open. */
  openUntil?: string;
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
  return new Map(
    pieces.map(({ item }) => [
      item.id,
      {
        count: item.count,
        cost:
          COST.unit +
          (item.borrowedFrom ? COST.borrowed : 0) +
          (item.inspected === undefined ? COST.untested : 0) +
          (dateRank.get(item.expires ?? NEVER) ?? 0),
      },
    ]),
  );
}

/**
 * Every requirement against what is really in the shed. Jackets first (a body each), then everything else by `cover`:
 * whether each can be met is decided exactly, law before advice before one's own; among equal answers the least cost wins.
 */
export function matchKit(input: KitInput): KitMatch {
  const catalogue = input.catalogue instanceof Map ? input.catalogue : indexCatalogue(input.catalogue);
  const { boat, people, household, gear, endsOn, openUntil } = input;
  const own = piecesOf(
    {
      boat,
      people: [...people, ...(input.fellows ?? []).flatMap((f) => f.people)],
      household,
      gear,
      catalogue,
      endsOn,
      openUntil,
    },
    stowages(gear, input.trip),
  );
  const bodies = bodiesOf(input);
  const jackets = matchJackets(bodies, settle(own, { worn: new Map() }));
  const here = own.map((piece) => inThisBoat(piece, input));
  const pieces = settle(here, { worn: wearings(jackets, bodies), unsettled: jackets.unsettled });
  const supply = new Supply(pieces, jackets);

  const asked = input.rules.filter((r) => r.applies !== 'no' && r.anyOf.length > 0);
  const asks = asked.map((result): Ask => ({
    id: keyOf(result),
    rank: RANK[result.rule.layer],
    alternatives: result.anyOf.map((demands) =>
      demands.filter((d) => d.forWhom !== 'each').map((demand) => supply.row(demand, result.pack.approvals)),
    ),
  }));
  const { answers, proved } = cover(asks, unitsOf(pieces), input.mostNodes);
  const requirements = input.rules.map((result) =>
    requirementOf(result, input, supply, answers.get(keyOf(result)), jackets),
  );
  return { requirements, jackets, bodies, pieces, proved };
}

const keyOf = ({ rule, pack }: RuleResult) => `${pack.id}/${rule.id}`;

/** All bodies of the trip, what the law asks of their jackets, and what each said. */
function bodiesOf({
  rules,
  people,
  trip,
  fellows = [],
  boat,
  water,
  on,
  openWater,
}: KitInput): JacketContext {
  const wearables = rules
    .filter((r) => r.rule.layer === 'law' && r.applies !== 'no')
    .flatMap((r) =>
      r.anyOf
        .flat()
        .flatMap((demand) =>
          demand.capability === 'wearable' ? [{ demand, accepts: r.pack.approvals }] : [],
        ),
    );
  const approved = wearables.filter((w) => w.demand.approved);
  const inflatable = (['worn', 'label'] as const).find((how) =>
    wearables.some((w) => w.demand.inflatable === how),
  );
  return {
    people: [...people, ...fellows.flatMap((f) => f.people)],
    crew: [...trip.crew, ...fellows.flatMap((f) => f.crew)],
    boat,
    boats: new Map(fellows.flatMap((f) => f.people.map((p) => [p.id, f.boat]))),
    water,
    on,
    approved: approved.length > 0,
    ...(approved[0]?.accepts ? { accepts: approved[0].accepts } : {}),
    ...(inflatable ? { inflatable } : {}),
    openWater,
  };
}

/** Who has which jacket and what they said of wearing it. */
function wearings(jackets: JacketPlan, { people, crew }: JacketContext): Map<string, Wearing[]> {
  const worn = new Map<string, Wearing[]>();
  for (const [id, fit] of jackets.fits) {
    const person = people.find((p) => p.id === id);
    if (!person) continue;
    const wears = crew.find((c) => c.person === id)?.wearsJacket;
    const list = worn.get(fit.piece.item.id) ?? [];
    worn.set(fit.piece.item.id, [...list, { person, ...(wears === undefined ? {} : { wears }) }]);
  }
  return worn;
}

/** A thing that is not in this boat, or about which nobody said in which it is. */
function inThisBoat(piece: Piece, { mine }: KitInput): Piece {
  const here = isJacket(piece.kind) ? 'yes' : (mine?.(piece.item) ?? 'yes');
  if (here === 'yes') return piece;
  const fault = here === 'no' ? reason('elsewhere') : reason('which-boat', undefined, true);
  return { ...piece, faults: [...piece.faults, fault] };
}

interface Candidate {
  piece: Piece;
  faults: NearMiss['reasons'];
  open: boolean;
}

/** What could answer a demand, and what stands against each thing. */
class Supply {
  private readonly byCapability = new Map<Capability, Piece[]>();
  /** Jackets on bodies: how many of each thing. */
  private readonly wornCount = new Map<string, number>();
  private readonly unsettled: boolean;
  constructor(pieces: Piece[], jackets: JacketPlan) {
    this.unsettled = jackets.unsettled;
    for (const { piece } of jackets.fits.values())
      this.wornCount.set(piece.item.id, (this.wornCount.get(piece.item.id) ?? 0) + 1);
    for (const piece of pieces)
      for (const { capability } of piece.kind.supplies) {
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
  candidates(demand: Asked, accepts: Accepts): Candidate[] {
    const { capability, within, approved, leastLength, carries, hangsOn } = demand;
    const by = approved ? (accepts?.[capability] ?? accepts?.['*'])?.join() : '';
    const key = `${capability} ${within} ${approved} ${by} ${leastLength?.value} ${leastLength?.unit} ${carries} ${hangsOn !== undefined}`;
    let found = this.known.get(key);
    if (!found) this.known.set(key, (found = this.find(demand, accepts)));
    return found;
  }

  private find(demand: Asked, accepts: Accepts): Candidate[] {
    const spare = demand.capability === 'spare-jacket';
    return (this.byCapability.get(demand.capability) ?? [])
      .filter((piece) => !spare || this.isSpare(piece))
      .map((piece) => {
        const faults = [...piece.faults, ...demandFaults(piece, demand, accepts)];
        if (spare && this.unsettled) faults.push(reason('unsettled', undefined, true));
        if (demand.hangsOn) faults.push(reason('rule-unsettled', undefined, true));
        if (demand.carries) faults.push(...this.carried(piece, demand.carries));
        return { piece, faults, open: faults.length > 0 };
      });
  }

  /** Something of its own must be fixed to it and be in order; that it travels with a thing nobody wears is just what is wanted. */
  private carried(piece: Piece, capability: Capability): NearMiss['reasons'] {
    const own = (this.byCapability.get(capability) ?? []).filter((p) => p.item.on === piece.item.id);
    const against = own.map((p) =>
      p.faults.filter((f) => f.code !== 'host-stays' && f.code !== 'where-unknown'),
    );
    if (against.some((faults) => faults.length === 0)) return [];
    const unsure = against.some((faults) => faults.every((f) => f.unknown));
    return [reason('lacks-own', { what: phrase(`capability.${capability}`) }, unsure)];
  }

  private readonly usable = new Map<Candidate[], Row['from']>();

  /** What is asked, out of what counts or may count. Rows of one demand share one list. */
  row(demand: Asked, accepts: Accepts): Row {
    const candidates = this.candidates(demand, accepts);
    let from = this.usable.get(candidates);
    if (!from)
      this.usable.set(
        candidates,
        (from = candidates
          .filter((c) => c.faults.every((f) => f.unknown))
          .map((c) => ({ id: c.piece.item.id, open: c.open }))),
      );
    return { need: demand.count ?? 1, from, ...(demand.pool ? { pool: demand.pool } : {}) };
  }
}

function requirementOf(
  result: RuleResult,
  input: KitInput,
  supply: Supply,
  answered: Answered | undefined,
  jackets: JacketPlan,
): Requirement {
  const { rule, pack, applies, anyOf } = result;
  const base: Requirement = {
    rule: rule.id,
    pack: pack.id,
    layer: rule.layer,
    title: rule.title,
    text: rule.text,
    applies,
    because: result.because,
    anyOf,
    source: {
      id: rule.source,
      section: rule.section,
      confidence: rule.confidence,
      verified: rule.verified,
      noted: rule.noted,
    },
    met: 'yes',
    metBy: [],
    missing: [],
    nearMisses: [],
  };
  if (applies === 'no') return base;
  const bodies = anyOf
    .flat()
    .filter((d) => d.forWhom === 'each')
    .map((demand) =>
      demand.capability === 'wearable'
        ? jacketAnswer(input.people, jackets)
        : bodyAnswer(demand, input.people, supply.candidates(demand, pack.approvals)),
    );
  const deed = rule.declared ? deedOf(rule.declared, input, jackets) : undefined;
  const parts = [...bodies, ...(deed?.jackets ? [deed.jackets] : [])];
  const things = anyOf.length > 0 ? thingsOf(anyOf, pack.approvals, supply, answered, parts) : undefined;
  const mets = [...parts.map((p) => p.met), ...(deed ? [deed.met] : []), ...(things ? [things.met] : [])];
  return {
    ...base,
    met: mets.length > 0 ? worst(mets) : rule.anyOf.length > 0 ? 'no' : 'unknown',
    metBy: [...parts.flatMap((p) => p.metBy), ...(things?.metBy ?? [])],
    missing: [...parts.flatMap((p) => p.missing), ...(things?.missing ?? [])],
    nearMisses: mergeMisses([...parts.flatMap((p) => p.nearMisses), ...(things?.nearMisses ?? [])]),
    ...(deed ? { deeds: deed.deeds, concerns: deed.concerns } : {}),
  };
}

/** What the shed gives for the demands that are not for each body. */
function thingsOf(
  anyOf: Asked[][],
  accepts: Accepts,
  supply: Supply,
  answered: Answered | undefined,
  bodies: BodyAnswer[],
): BodyAnswer {
  if (!answered) return unmet(anyOf, accepts, supply);
  const open = answered.uses.some((use) => use.open);
  const metBy = answered.uses.map((u) => ({ item: u.id, count: u.count }));
  // Where something only may count, what is open about it is told, and what else nearly counts: it may be mended sooner.
  const doubts = open || bodies.some((b) => b.met === 'unknown') ? nearly(anyOf, accepts, supply) : [];
  return { met: open ? 'unknown' : 'yes', metBy, missing: [], nearMisses: doubts };
}

/** Everything that would serve some demand, were it not for what stands against it. */
const nearly = (anyOf: Asked[][], accepts: Accepts, supply: Supply): NearMiss[] =>
  anyOf
    .flat()
    .filter((d) => d.forWhom !== 'each')
    .flatMap((d) => supply.candidates(d, accepts))
    .filter((c) => c.faults.length > 0)
    .map(({ piece, faults }) => ({ item: piece.item.id, reasons: faults }));

/** Nothing answers it: the alternative that lacks least is shown, and everything that nearly counted. */
function unmet(anyOf: Asked[][], accepts: Accepts, supply: Supply): BodyAnswer {
  const short = anyOf.map((demands) =>
    demands
      .filter((d) => d.forWhom !== 'each')
      .flatMap((demand): Shortfall[] => {
        const sure = supply.candidates(demand, accepts).filter((c) => c.faults.length === 0);
        const have = sure.reduce((sum, c) => sum + c.piece.item.count, 0);
        const need = demand.count ?? 1;
        return have >= need ? [] : [{ capability: demand.capability, need, have }];
      }),
  );
  const lack = (missing: Shortfall[]) => missing.reduce((sum, m) => sum + m.need - m.have, 0);
  const least = short.reduce((a, b) => (lack(b) < lack(a) ? b : a), short[0] ?? []);
  // All there, yet promised elsewhere in its pool: the first demand is what falls short.
  const [first] = anyOf[0];
  const missing =
    least.length > 0 ? least : [{ capability: first.capability, need: first.count ?? 1, have: 0 }];
  return { met: 'no', metBy: [], missing, nearMisses: nearly(anyOf, accepts, supply) };
}

function mergeMisses(misses: NearMiss[]): NearMiss[] {
  const byItem = new Map<string, NearMiss>();
  for (const miss of misses) {
    const known = byItem.get(miss.item);
    if (!known || known.reasons.length > miss.reasons.length) byItem.set(miss.item, miss);
  }
  return [...byItem.values()];
}
