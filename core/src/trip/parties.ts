import { fellows, type Fellow } from '../boat';
import { civilDate, daysBetween, plusDays } from '../earth';
import { kitFindings, matchKit, type KitMatch } from '../kit';
import type {
  Capability,
  Finding,
  GearItem,
  GearKind,
  Requirement,
  RulePack,
  Schedule,
  Truth,
} from '../model';
import { applyPacks, underGuess, type Asked, type RuleResult, type World } from '../rules';
import { phrase } from '../say';
import { NOBODY, type AssessInput, type Context } from './context';
import { standingFacts, worldOf } from './facts';
import { TRIP } from './limits';

/** Where nobody knows when a trip ends, it may last so many days: what ends within them is open. */
const LONGEST_UNKNOWN = TRIP.limit('longest-unknown');

type PlainWorld = Omit<World, 'questions'>;

/** One boat of the trip as the rules see her. */
interface Party {
  context: Context;
  facts: ReturnType<typeof standingFacts>;
  packs: RulePack[];
  /** Absent for the trip's own boat. */
  fellow?: Fellow;
}

/** The civil days that the trip touches, at the launch; where its end is not known, those that it may touch. */
interface Days {
  on: string;
  endsOn: string;
  /** Absent where the end is known. */
  openUntil?: string;
}

export function daysOf(
  { trip, zone }: Context,
  leave: number | undefined,
  schedule: Schedule | undefined,
): Days {
  const on = leave === undefined || zone === undefined ? trip.leave.date : civilDate(leave, zone);
  if (schedule?.home === undefined || zone === undefined) {
    return { on, endsOn: on, openUntil: plusDays(on, LONGEST_UNKNOWN) };
  }
  return { on, endsOn: civilDate(schedule.home, zone) };
}

/** The trip's own boat, and each boat of its company: of those the law is asked, practice is the business of their own crews. */
export function partiesOf(context: Context, input: AssessInput): Party[] {
  const { trip } = context;
  const others = fellows(trip, context.shed.boats);
  return [
    { context, facts: standingFacts(context), packs: input.packs },
    ...others
      .filter((fellow) => fellow.boat.id !== trip.boat && fellow.people.length > 0)
      .map((fellow): Party => {
        const own = asFellow(context, fellow);
        const packs = lawOf(input.packs);
        return { context: own, facts: standingFacts(own), packs, fellow };
      }),
  ];
}

/** The trip as one of its other boats sees it: her hull, her people, the same water and hours. */
function asFellow(context: Context, { boat, people, wears = [] }: Fellow): Context {
  const { trip, shed } = context;
  const crew = people.map((person) => ({
    person,
    role: 'crew' as const,
    ...(wears.includes(person) ? { wearsJacket: true } : {}),
  }));
  const known = new Map(shed.people.map((p) => [p.id, p]));
  return {
    ...context,
    boat,
    people: people.map((id) => known.get(id) ?? { id, name: NOBODY }),
    gone: new Set(people.filter((id) => !known.has(id))),
    trip: { ...trip, boat: boat.id, crew },
  };
}

const lawful = new WeakMap<RulePack, RulePack>();
/** Packs with their law alone. */
function lawOf(packs: RulePack[]): RulePack[] {
  return packs.map((pack) => {
    let law = lawful.get(pack);
    if (!law) lawful.set(pack, (law = { ...pack, rules: pack.rules.filter((r) => r.layer === 'law') }));
    return law;
  });
}

interface Asking {
  gear: GearItem[];
  household: ReadonlySet<string>;
  schedule: Schedule | undefined;
  days: Days;
  input: AssessInput;
}

interface Matched {
  party: Party;
  world: PlainWorld;
  rules: RuleResult[];
  kit: KitMatch;
  requirements: Requirement[];
  days: Days;
}

export function matchParty(
  party: Party,
  parties: Party[],
  { gear, household, schedule, days, input }: Asking,
): Matched {
  const { context, facts, packs, fellow } = party;
  const world = worldOf(context, schedule, days.on, facts);
  const rules = underGuess(rulesOver(packs, context, schedule, days, facts, world), context.water);
  const rest = parties.filter((other) => other !== party);
  const before = lastMatched.get(party);
  const kit =
    before && before.gear === gear && sameDays(before.days, days) && sameAsked(before.rules, rules)
      ? withReasons(before.kit, rules)
      : matchedAnew();
  lastMatched.set(party, { gear, days, rules, kit });
  const requirements = fellow
    ? kit.requirements.map((r) => ({ ...r, boat: fellow.boat.id }))
    : kit.requirements;
  return { party, world, rules, kit, requirements, days };

  function matchedAnew(): KitMatch {
    return matchKit({
      rules,
      trip: context.trip,
      people: context.people,
      household,
      crew: world.crew,
      boat: context.boat,
      ...(rest.length > 0
        ? {
            fellows: rest.flatMap(({ context: { boat, people, trip } }) =>
              boat ? [{ boat, people, crew: trip.crew }] : [],
            ),
            mine: (item: GearItem) => inBoat(item, party, rest),
          }
        : {}),
      water: context.water,
      openWater: input.catalogue.openWater,
      gear,
      catalogue: context.kinds,
      ...days,
    });
  }
}

/** What was matched for a party last: of most departures of a day the rules ask the same, and the same things answer. */
const lastMatched = new WeakMap<
  Party,
  { gear: GearItem[]; days: Days; rules: RuleResult[]; kit: KitMatch }
>();

const sameDays = (a: Days, b: Days) => a.on === b.on && a.endsOn === b.endsOn && a.openUntil === b.openUntil;

/** Does every rule apply as it did, and ask for the same? Why it does is told anew. */
function sameAsked(before: readonly RuleResult[], now: readonly RuleResult[]): boolean {
  return (
    before.length === now.length &&
    before.every((was, i) => {
      const is = now[i];
      return (
        was.rule.id === is.rule.id &&
        was.pack === is.pack &&
        was.applies === is.applies &&
        was.anyOf.length === is.anyOf.length &&
        was.anyOf.every(
          (demands, n) =>
            demands.length === is.anyOf[n].length &&
            demands.every((demand, m) => sameDemand(demand, is.anyOf[n][m])),
        )
      );
    })
  );
}

/** A demand is its rule’s own, or a copy of it that hangs on facts; the condition it carries tells copies apart. */
const sameDemand = (a: Asked, b: Asked) =>
  a === b ||
  (a.hangsOn !== undefined &&
    b.hangsOn !== undefined &&
    a.when === b.when &&
    a.capability === b.capability &&
    a.hangsOn.join() === b.hangsOn.join());

const withReasons = (kit: KitMatch, rules: readonly RuleResult[]): KitMatch => ({
  ...kit,
  requirements: kit.requirements.map((r, i) => ({ ...r, because: rules[i].because })),
});

/** What is fitted to a boat or belongs to somebody in her is in her; the rest is in the trip's own, or nobody said. */
function inBoat(item: GearItem, party: Party, rest: Party[]): Truth {
  const holds = ({ context }: Party) =>
    item.fittedTo !== undefined
      ? item.fittedTo === context.boat?.id
      : item.owner !== undefined && context.people.some((p) => p.id === item.owner);
  if (holds(party)) return 'yes';
  if (rest.some(holds)) return 'no';
  return party.fellow ? 'unknown' : 'yes';
}

/** Facts that are others on another day of one trip: the season, and who has a birthday on it. */
const BY_DAY = /"(day\.monthDay|person\.age)"/;
const turning = (packs: RulePack[]) => packs.some((pack) => BY_DAY.test(JSON.stringify(pack.rules)));
const knownTurning = new WeakMap<RulePack[], boolean>();

/** The rules over every civil day that the trip touches: what holds on one of them holds; a day it only may touch leaves it open. */
function rulesOver(
  packs: RulePack[],
  context: Context,
  schedule: Schedule | undefined,
  { on, endsOn, openUntil }: Days,
  facts: Party['facts'],
  world: PlainWorld,
): RuleResult[] {
  const first = applyPacks(packs, world);
  const last = openUntil ?? endsOn;
  if (last === on) return first;
  let turns = knownTurning.get(packs);
  if (turns === undefined) knownTurning.set(packs, (turns = turning(packs)));
  if (!turns) return first;
  let found = first;
  for (let day = 1; day <= Math.min(MOST_DAYS, daysBetween(on, last)); day += 1) {
    const then = applyPacks(packs, worldOf(context, schedule, plusDays(on, day), facts));
    found = found.map((was, i) => {
      const now = then[i];
      if (was.applies === 'yes' || now.applies === 'no') return was;
      if (openUntil !== undefined && now.applies === 'yes') {
        return {
          ...now,
          applies: 'unknown',
          because: [...now.because, { phrase: phrase('because.may-last'), truth: 'unknown' }],
        };
      }
      return now.applies === 'yes' || was.applies === 'no' ? now : was;
    });
  }
  return found;
}
/** Days of a trip that are looked through for them, one by one. */
const MOST_DAYS = TRIP.limit('most-days');

export function partyFindings(
  { party, rules, kit, requirements, days }: Matched,
  input: AssessInput,
): Finding[] {
  const { context, fellow } = party;
  const { boat, water } = context;
  return kitFindings(requirements, {
    trip: context.trip,
    people: context.people,
    gear: input.shed.gear,
    on: days.on,
    weights: new Map(rules.map((r) => [r.rule.id, r.rule.weight])),
    unsettled: new Map(rules.map((r) => [r.rule.id, r.missing])),
    ...(fellow ? { fellow: { id: fellow.boat.id, name: fellow.boat.name } } : {}),
    ...(boat ? { boatId: boat.id } : {}),
    ...(water ? { waterId: water.id } : {}),
    ...wornJacket(kit),
    kindFor: (capability) => kindFor(context, capability),
  });
}

function wornJacket(kit: KitMatch): { wornJacket?: string } {
  const first = [...kit.jackets.fits.values()][0];
  return first ? { wornJacket: first.piece.item.id } : {};
}

function kindFor({ kinds }: Context, capability: Capability): GearKind | undefined {
  for (const kind of kinds.values()) if (kind.supplies.some((s) => s.capability === capability)) return kind;
  return undefined;
}
