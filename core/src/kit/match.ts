import type { Boat, Capability, Catalogue, Demand, GearKind, NearMiss, Person, Requirement, Shortfall, Trip, Truth, Use } from '../model';
import { ageRange } from '../earth';
import type { RuleResult } from '../rules';
import { demandFaults, indexCatalogue, piecesOf, stowages, type CountContext, type Piece } from './count';
import { matchJackets, whoLacks, type JacketPlan } from './jackets';

export interface KitInput {
  rules: RuleResult[];
  trip: Pick<Trip, 'stow' | 'crew'>;
  people: Person[];
  boat?: Boat;
  gear: CountContext['gear'];
  catalogue: Catalogue | Map<string, GearKind>;
  /** Civil dates at the launch: the day of leaving (ages) and the day the trip ends (dates, tests). */
  on: string;
  endsOn: string;
}

export interface KitMatch {
  requirements: Requirement[];
  jackets: JacketPlan;
  pieces: Piece[];
}

/** Age under which the federal rule on wearing holds; the rule's own condition uses the same limit from its pack. */
const CHILD = 13;

/**
 * Every requirement against what is really in the shed. Jackets first (a body each), then everything else; one thing may
 * serve several requirements, but a jacket somebody wears is nobody's spare.
 * Law is decided before advice because a stated law may ask for an approved jacket, and one matching serves both.
 */
export function matchKit(input: KitInput): KitMatch {
  const catalogue = input.catalogue instanceof Map ? input.catalogue : indexCatalogue(input.catalogue);
  const base: CountContext = { boat: input.boat, people: input.people, gear: input.gear, catalogue, endsOn: input.endsOn, worn: new Map() };
  const places = stowages(input.gear, input.trip);
  const approved = input.rules.some((r) => r.rule.layer === 'law' && r.applies !== 'no' && r.rule.anyOf.flat().some((d) => d.capability === 'wearable' && d.approved));
  const jackets = matchJackets(input.people, input.trip.crew, piecesOf(base, places), input.boat, input.on, approved);
  const worn = new Map([...jackets.fits].map(([person, fit]) => [fit.piece.item.id, input.people.find((p) => p.id === person)!]));
  const pieces = piecesOf({ ...base, worn }, places);
  const supply = supplyOf(pieces);
  const requirements = input.rules.map((result) => requirementOf(result, input, supply, jackets));
  return { requirements, jackets, pieces };
}

type Supply = Map<Capability, Piece[]>;

/** Pieces by what they supply, tested before untested, nearest date first (so that the later one is kept), then by id. */
function supplyOf(pieces: Piece[]): Supply {
  const supply: Supply = new Map();
  for (const piece of pieces.toSorted(byPreference)) {
    for (const { capability } of piece.kind.supplies) {
      const list = supply.get(capability);
      if (list) list.push(piece);
      else supply.set(capability, [piece]);
    }
  }
  return supply;
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);
const untested = (piece: Piece) => (piece.item.inspected === undefined ? 1 : 0);
const NEVER = '9999-12-31';
const byPreference = (a: Piece, b: Piece) => untested(a) - untested(b) || compare(a.item.expires ?? NEVER, b.item.expires ?? NEVER) || compare(a.item.id, b.item.id);

function requirementOf(result: RuleResult, input: KitInput, supply: Supply, jackets: JacketPlan): Requirement {
  const { rule, pack, applies } = result;
  const base: Requirement = {
    rule: rule.id, pack: pack.id, layer: rule.layer, title: rule.title, text: rule.text, applies, because: result.because, anyOf: rule.anyOf,
    source: { id: rule.source, section: rule.section, confidence: rule.confidence, verified: rule.verified, noted: rule.noted },
    met: 'yes', metBy: [], missing: [], nearMisses: [],
  };
  if (applies === 'no') return base;
  if (rule.declared) return { ...base, met: declared(rule.declared, input) };
  const answers = rule.anyOf.map((alternative) => answerAll(alternative, input.people, supply, jackets));
  // Best first: sure, then open, then the one that lacks least.
  const order: Truth[] = ['yes', 'unknown', 'no'];
  const best = answers.reduce<Answer | undefined>((a, b) => (!a || order.indexOf(b.met) < order.indexOf(a.met) || (b.met === a.met && lack(b) < lack(a)) ? b : a), undefined);
  if (!best) return base;
  // Where something may count, only what is open about that very thing is of use; otherwise everything that nearly did.
  const used = new Set(best.metBy.map((use) => use.item));
  const misses = best.met === 'yes' ? [] : best.met === 'unknown' ? mergeMisses(best.nearMisses).filter((m) => used.has(m.item)) : mergeMisses(answers.flatMap((a) => a.nearMisses));
  return { ...base, met: best.met, metBy: best.metBy, missing: best.missing, nearMisses: misses };
}

interface Answer { met: Truth; metBy: Use[]; missing: Shortfall[]; nearMisses: NearMiss[] }
const lack = (answer: Answer) => answer.missing.reduce((sum, m) => sum + m.need - m.have, 0);

function answerAll(demands: Demand[], people: Person[], supply: Supply, jackets: JacketPlan): Answer {
  const answers = demands.map((demand) => (demand.forWhom === 'each' ? jacketAnswer(people, jackets) : answer(demand, supply, jackets)));
  return {
    met: answers.some((a) => a.met === 'no') ? 'no' : answers.some((a) => a.met === 'unknown') ? 'unknown' : 'yes',
    metBy: answers.flatMap((a) => a.metBy), missing: answers.flatMap((a) => a.missing), nearMisses: answers.flatMap((a) => a.nearMisses),
  };
}

function jacketAnswer(people: Person[], plan: JacketPlan): Answer {
  const lacking = whoLacks(plan, people);
  const open = [...plan.fits.values()].some((fit) => fit.faults.length > 0);
  return {
    met: lacking.length > 0 ? 'no' : open || people.length === 0 ? 'unknown' : 'yes',
    metBy: [...plan.fits].map(([person, fit]) => ({ item: fit.piece.item.id, person, count: 1 })),
    missing: lacking.length > 0 ? [{ capability: 'wearable', need: people.length, have: people.length - lacking.length, persons: lacking.map((p) => p.id) }] : [],
    nearMisses: missesOf(lacking.length > 0 ? lacking : people.filter((p) => plan.misses.has(p.id)), plan),
  };
}

/** What nearly fits those who lack a jacket; where all have one that may count, what is open about it. */
function missesOf(people: Person[], plan: JacketPlan): NearMiss[] {
  return people.flatMap((p) => plan.misses.get(p.id) ?? []).filter((m) => m.faults.length > 0).map((m) => ({ item: m.piece.item.id, reasons: m.faults }));
}

function answer(demand: Demand, supply: Supply, jackets: JacketPlan): Answer {
  const need = demand.count ?? 1;
  const worn = new Set([...jackets.fits.values()].map((fit) => fit.piece.item.id));
  const candidates = (supply.get(demand.capability) ?? [])
    .filter((piece) => demand.capability !== 'spare-jacket' || !worn.has(piece.item.id))
    .map((piece) => ({ piece, faults: [...piece.faults, ...demandFaults(piece, demand.capability, demand.within, demand.approved)] }));
  const sure = candidates.filter((c) => c.faults.length === 0), open = candidates.filter((c) => c.faults.length > 0 && c.faults.every((f) => f.unknown));
  const { uses, got } = take(sure, need);
  const more = got < need ? take(open, need - got) : { uses: [], got: 0 };
  const met: Truth = got >= need ? 'yes' : got + more.got >= need ? 'unknown' : 'no';
  return {
    met,
    metBy: met === 'no' ? uses : [...uses, ...more.uses],
    missing: met === 'no' ? [{ capability: demand.capability, need, have: got }] : [],
    nearMisses: candidates.filter((c) => c.faults.length > 0).map((c) => ({ item: c.piece.item.id, reasons: c.faults })),
  };
}

function take(candidates: { piece: Piece }[], need: number): { uses: Use[]; got: number } {
  const uses: Use[] = [];
  let got = 0;
  for (const { piece } of candidates) {
    if (got >= need) break;
    const count = Math.min(piece.item.count, need - got);
    uses.push({ item: piece.item.id, count });
    got += count;
  }
  return { uses, got };
}

function mergeMisses(misses: NearMiss[]): NearMiss[] {
  const byItem = new Map<string, NearMiss>();
  for (const miss of misses) if (!byItem.has(miss.item) || byItem.get(miss.item)!.reasons.length > miss.reasons.length) byItem.set(miss.item, miss);
  return [...byItem.values()];
}

/** Declared facts of the crew: yes only when everyone concerned said so. */
function declared(what: 'children-wear-jackets' | 'all-wear-jackets', { trip, people, on }: KitInput): Truth {
  const concerned = trip.crew.filter((c) => what === 'all-wear-jackets' || mayBeChild(people.find((p) => p.id === c.person), on));
  if (concerned.some((c) => c.wearsJacket === false)) return 'no';
  return concerned.length > 0 && concerned.every((c) => c.wearsJacket === true) ? 'yes' : 'unknown';
}

export function mayBeChild(person: Person | undefined, on: string): boolean {
  return person?.born === undefined || ageRange(person.born, on)[0] < CHILD;
}
