import type {
  Capability,
  GearItem,
  GearKind,
  Mend,
  NearMiss,
  Patch,
  Person,
  Phrase,
  ReasonCode,
  Requirement,
  Rule,
  Trip,
} from '../model';
import { mendFact } from '../rules';
import { phrase } from '../say';
import { doTo, goTo, type Pointer } from '../verdict';
import { SAID } from './deeds';

export interface KitFindingContext {
  trip: Trip;
  people: Person[];
  gear: GearItem[];
  on: string;
  weights: Map<string, Rule['weight']>;
  /** Facts that were missing, by rule. */
  unsettled: Map<string, string[]>;
  /** A jacket that goes, onto which a whistle can be moved. */
  wornJacket?: string;
  /** The boat of the company that is spoken of; absent for the trip's own. */
  fellow?: { id: string; name: string };
  boatId?: string;
  waterId?: string;
  /** The plainest kind of the catalogue that supplies a capability. */
  kindFor: (capability: Capability) => GearKind | undefined;
}

/** Cheapest first: what one tap or one step ashore mends stands before what costs money. */
const MEND_ORDER: ReasonCode[] = [
  'host-stays',
  'stays-home',
  'not-worn',
  'out-of-reach',
  'which-boat',
  'where-unknown',
  'host-gone',
  'owner-gone',
  'owner-ashore',
  'lent',
  'not-tested',
  'uncharged',
  'charge-unknown',
  'companion',
  'approval-unknown',
  'approval-unread',
  'expiry-unknown',
  'made-unknown',
  'registration-unknown',
  'case-unknown',
  'uncased',
  'size-unknown',
  'length-unknown',
  'cylinder-unknown',
  'label-unknown',
  'state-unknown',
  'mass-unknown',
  'age-unknown',
  'rapids-unknown',
  'unregistered',
  'lacks-own',
];
const rankOf = (miss: NearMiss) =>
  Math.max(
    ...miss.reasons.map((r) =>
      MEND_ORDER.includes(r.code) ? MEND_ORDER.indexOf(r.code) : MEND_ORDER.length,
    ),
  );
/** What lacks least and is mended cheapest stands first. */
export const byHope = (misses: NearMiss[]) =>
  misses.toSorted((a, b) => a.reasons.length - b.reasons.length || rankOf(a) - rankOf(b));
const POINTER: Partial<Record<ReasonCode, Pointer<GearItem>>> = {
  lent: '/lentTo',
  uncased: '/cased',
  'case-unknown': '/cased',
  'not-tested': '/inspected',
  uncharged: '/charge',
  'charge-unknown': '/charge',
  'approval-unknown': '/approval',
  'expiry-unknown': '/expires',
  'registration-unknown': '/registered',
  unregistered: '/registered',
  'size-unknown': '/maxMass',
  'length-unknown': '/line',
  'cylinder-unknown': '/cylinder',
  'cylinder-fired': '/cylinder',
  'too-short': '/line',
  'state-unknown': '/state',
  'approval-unread': '/approval',
  'made-unknown': '/made',
  'label-unknown': '/wornToCount',
  'host-gone': '/on',
  'owner-gone': '/owner',
  'owner-ashore': '/owner',
  'which-boat': '/fittedTo',
  'lacks-own': '',
  expired: '/expires',
  failed: '/state',
  'none-left': '/count',
};

/** So many things that nearly count are offered to be mended. */
const MOST_NEAR = 3;

/**
 * Every way to close what is open, the cheapest first: fetch, move, test or look at what nearly counts; settle a fact;
 * replace by its like; find or buy it, or, where it is dear, borrow it first. What may count already is worth a look, not a
 * purse.
 */
export function waysOf(requirement: Requirement, context: KitFindingContext): Mend[] {
  const deeds = deedMends(requirement, context);
  if (
    requirement.anyOf.length === 0 &&
    requirement.nearMisses.length === 0 &&
    requirement.missing.length === 0
  )
    return deeds;
  const found: Mend[] = [...deeds];
  if (requirement.met !== 'yes')
    found.push(
      ...byHope(requirement.nearMisses)
        .filter((miss) => rankOf(miss) < MEND_ORDER.length)
        .slice(0, MOST_NEAR)
        .flatMap((miss) => mendMiss(miss, requirement, context) ?? []),
    );
  const fact = context.unsettled.get(requirement.rule)?.[0];
  const settled = requirement.applies === 'unknown' && fact ? mendFact(fact, context) : undefined;
  if (settled) found.push(settled);
  if (requirement.met === 'no' || found.length === 0) found.push(...newOnes(requirement, context));
  return found;
}

/** One tap says it for those who said nothing; whoever said no is asked, not overruled. */
function deedMends(requirement: Requirement, { trip, people, fellow }: KitFindingContext): Mend[] {
  return (requirement.deeds ?? []).flatMap((deed): Mend[] => {
    const concerned = trip.crew.flatMap((c, i) =>
      requirement.concerns?.includes(c.person) ? [{ ...c, i }] : [],
    );
    const name = (id: string) => people.find((p) => p.id === id)?.name ?? '?';
    const silent = concerned.filter((c) => c[SAID[deed]] === undefined);
    const against = concerned.filter((c) => c[SAID[deed]] === false);
    if (fellow)
      return silent.length + against.length > 0
        ? [{ label: phrase('company.mend'), ...goTo.trip(trip.id, '/company') }]
        : [];
    const tap =
      silent.length > 0
        ? [
            {
              label: phrase(`mend.${deed === 'worn' ? 'wear' : 'cord'}` as const, {
                people: silent.map((c) => name(c.person)),
              }),
              ...doTo(
                'trip',
                trip.id,
                silent.map((c) => ({
                  op: 'set' as const,
                  pointer: `/crew/${c.i}/${SAID[deed]}`,
                  value: true,
                })),
              ),
            },
          ]
        : [];
    const ask =
      against.length > 0 || (concerned.length === 0 && deed === 'cord')
        ? [
            {
              label: phrase('mend.ask', {
                people: against.length > 0 ? against.map((c) => name(c.person)) : [phrase('crew.whole')],
              }),
              ...goTo.trip(trip.id, '/crew'),
            },
          ]
        : [];
    return [...tap, ...ask];
  });
}

/** Replace; then find or buy what is common and borrow what is dear, and the other way behind it. */
function newOnes(requirement: Requirement, context: KitFindingContext): Mend[] {
  const capability = requirement.missing[0]?.capability ?? requirement.anyOf[0]?.[0]?.capability;
  if (capability === undefined) return [];
  // Only what nothing else stands against is worth replacing by its like.
  const ended = requirement.nearMisses.find((m) =>
    m.reasons.every((r) => r.code === 'expired' || r.code === 'failed'),
  );
  const kind = context.kindFor(capability),
    what = phrase(`capability.${capability}`);
  return [
    ...(ended
      ? [
          {
            label: phrase('mend.replace', { item: itemName(ended.item, context) }),
            ...goTo.gear(ended.item, POINTER[ended.reasons[0].code] ?? ''),
          },
        ]
      : []),
    ...(kind === undefined ? [] : gotten(kind, what)),
  ];
}

function gotten(kind: GearKind, what: Phrase): Mend[] {
  const paper = kind.group === 'paper';
  const add = {
    label: phrase(paper ? 'mend.papers' : 'mend.add', { what }),
    add: { type: 'gear' as const, kind: kind.id },
  };
  // Papers are one's own.
  if (paper) return [add];
  const borrow = {
    label: phrase('mend.borrow', { what }),
    add: { type: 'gear' as const, kind: kind.id, borrowed: true as const },
  };
  return kind.dear ? [borrow, add] : [add, borrow];
}

const itemName = (id: string, context: KitFindingContext) =>
  context.gear.find((g) => g.id === id)?.name ?? id;

function mendMiss(miss: NearMiss, requirement: Requirement, context: KitFindingContext): Mend | undefined {
  const code = MEND_ORDER.find((c) => miss.reasons.some((r) => r.code === c));
  const item = itemName(miss.item, context);
  const within = requirement.anyOf.flat().find((d) => d.within)?.within ?? 'in-reach';
  if (code === 'host-stays') {
    const worn = context.wornJacket;
    if (worn)
      return {
        label: phrase('mend.move', { item, host: itemName(worn, context) }),
        ...doTo('gear', miss.item, [{ op: 'set', pointer: '/on', value: worn }]),
      };
  }
  if (code === 'not-worn') return { label: phrase('mend.worn'), ...goTo.trip(context.trip.id, '/crew') };
  if (code === 'stays-home' || code === 'out-of-reach' || code === 'host-stays' || code === 'where-unknown') {
    const label =
      code === 'stays-home'
        ? phrase('mend.take', { item })
        : phrase('mend.stow', { item, where: phrase(`where.${within}`) });
    return {
      label,
      ...doTo('trip', context.trip.id, stowPatch(context.trip, miss.item, within)),
    };
  }
  const person =
    code === 'mass-unknown' || code === 'age-unknown'
      ? context.people.find((p) => (code === 'mass-unknown' ? p.mass : p.born) === undefined)
      : undefined;
  if (person)
    return {
      label: phrase('mend.look', { item: person.name }),
      ...goTo.person(person.id, code === 'mass-unknown' ? '/mass' : '/born'),
    };
  if (code === 'rapids-unknown' && context.waterId)
    return {
      label: phrase('mend.fact', { fact: phrase('fact.rapids') }),
      ...goTo.water(context.waterId, '/rapids'),
    };
  if (code === 'lent') return { label: phrase('mend.back', { item }), ...doTo('gear', miss.item, BACK) };
  const word =
    code === 'not-tested'
      ? 'mend.test'
      : code === 'uncharged' || code === 'charge-unknown'
        ? 'mend.charge'
        : 'mend.look';
  return {
    label: phrase(word, { item }),
    ...goTo.gear(miss.item, (code && POINTER[code]) ?? ''),
  };
}

/** What was lent is here again. */
export const BACK: Patch[] = (['lentTo', 'lentOn', 'backBy'] as const).map((field) => ({
  op: 'unset',
  pointer: `/${field}`,
}));

/** A thing put elsewhere for this trip. */
export function stowPatch(trip: Trip, item: string, place: string) {
  const at = trip.stow.findIndex((s) => s.item === item);
  return at >= 0
    ? [{ op: 'set' as const, pointer: `/stow/${at}/place`, value: place }]
    : [{ op: 'append' as const, pointer: '/stow', value: { item, place } }];
}
