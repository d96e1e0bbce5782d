import type {
  Capability,
  Demand,
  Finding,
  GearItem,
  GearKind,
  Level,
  Mend,
  NearMiss,
  Person,
  Phrase,
  ReasonCode,
  Requirement,
  Trip,
} from '../model';
import { phrase } from '../say';
import { FACTS, QUESTION } from '../rules';

export interface KitFindingContext {
  trip: Trip;
  people: Person[];
  gear: GearItem[];
  on: string;
  weights: Map<string, 'fix' | 'mind' | undefined>;
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

/** One finding a requirement that applies or may apply. Law is loud; advice speaks with its rule's weight; what can't be told is never Set. */
export function kitFindings(requirements: Requirement[], context: KitFindingContext): Finding[] {
  const { trip, fellow } = context;
  return requirements.flatMap((requirement) => {
    // What only may apply and is met all the same asks for nothing, and settles nothing.
    if (requirement.applies === 'no' || (requirement.applies === 'unknown' && requirement.met === 'yes')) return [];
    const level = levelOf(requirement, context.weights.get(requirement.rule));
    const { rule, title } = requirement;
    return [
      {
        id: `kit/${rule}/${fellow?.id ?? trip.id}`,
        level,
        section: 'pack/kit' as const,
        title: fellow
          ? phrase('kit.title.boat', { boat: fellow.name, title })
          : phrase('kit.title', { title }),
        because: [...outcome(requirement, context), ...requirement.because.map((b) => b.phrase)],
        figures: [],
        source: requirement.source,
        assumed: [],
        ...(level === 'set' ? {} : ways(waysOf(requirement, context))),
      },
    ];
  });
}

/** The cheapest way is the one tap; the others stand behind it. */
const ways = ([mend, ...others]: Mend[]) => ({
  ...(mend ? { mend } : {}),
  ...(others.length > 0 ? { others } : {}),
});

function levelOf({ layer, applies, met }: Requirement, weight: 'fix' | 'mind' | undefined): Level {
  if (met === 'yes') return 'set';
  const open = met === 'unknown' || applies === 'unknown';
  if (layer === 'law') return open ? 'fix' : 'stop';
  if (layer === 'own') return 'mind';
  return open ? 'mind' : (weight ?? 'mind');
}

const needPhrase = (demand: Demand) =>
  phrase('kit.need', { count: demand.count ?? 1, what: phrase(`capability.${demand.capability}`) });

function outcome(requirement: Requirement, context: KitFindingContext): Phrase[] {
  const name = (id: string) => context.gear.find((g) => g.id === id)?.name ?? id;
  const person = (id: string) => context.people.find((p) => p.id === id)?.name ?? id;
  const lines = deedLines(requirement, context);
  if (requirement.anyOf.length === 0 && requirement.met !== 'no' && requirement.nearMisses.length === 0)
    return lines;
  if (requirement.applies === 'unknown' && requirement.met !== 'yes') lines.push(phrase('kit.rule.unknown'));
  if (requirement.met === 'yes') {
    const uses = requirement.metBy.map((use) =>
      use.person
        ? phrase('kit.use.person', { item: name(use.item), person: person(use.person) })
        : use.count > 1
          ? phrase('kit.use.count', { count: use.count, item: name(use.item) })
          : phrase('kit.use', { item: name(use.item) }),
    );
    if (uses.length > 0) lines.push(phrase('kit.met', { uses }));
    return lines;
  }
  const used = new Set(requirement.metBy.map((u) => u.item));
  for (const miss of byHope(requirement.nearMisses).slice(0, MOST_NEAR_MISSES)) {
    const unsure = miss.reasons.every((r) => r.unknown);
    if (requirement.met === 'unknown' && !used.has(miss.item)) continue;
    lines.push(
      phrase(unsure ? (used.has(miss.item) ? 'kit.unsure' : 'kit.near.unsure') : 'kit.near', {
        item: name(miss.item),
        reasons: miss.reasons.map((r) => r.phrase),
      }),
    );
  }
  if (requirement.nearMisses.length === 0 && requirement.missing.length > 0) lines.push(phrase('kit.none'));
  const lacking = requirement.missing.find((m) => m.persons) ?? requirement.missing[0];
  if (lacking?.persons) {
    const people = lacking.persons.map(person);
    const what = phrase(`capability.${lacking.capability}`);
    lines.push(
      lacking.capability === 'wearable'
        ? phrase('kit.missing.for', { people })
        : phrase('kit.missing.bodies', { people, what }),
    );
  } else if (lacking)
    lines.push(
      phrase('kit.missing', {
        need: phrase('kit.or', {
          alternatives: requirement.anyOf.map((all) => phrase('kit.list', { uses: all.map(needPhrase) })),
        }),
        have: lacking.have,
      }),
    );
  return lines;
}

const MOST_NEAR_MISSES = 6;

const SAID = { worn: 'wearsJacket', cord: 'cord' } as const;
const DEED_WORDS = {
  worn: { met: 'kit.declare.met', not: 'kit.declare.not', unset: 'kit.declare.unset' },
  cord: { met: 'kit.cord.met', not: 'kit.cord.not', unset: 'kit.cord.unset' },
} as const;

/** What those whom a deed concerns said of it. */
function deedLines(requirement: Requirement, { trip, people }: KitFindingContext): Phrase[] {
  const lines: Phrase[] = [];
  for (const deed of requirement.deeds ?? []) {
    const concerned = trip.crew.flatMap((c) => {
      const who = people.find((p) => p.id === c.person);
      return who && requirement.concerns?.includes(who.id) ? [{ name: who.name, said: c[SAID[deed]] }] : [];
    });
    const list = (said: boolean | undefined) => concerned.filter((c) => c.said === said).map((c) => c.name);
    const words = DEED_WORDS[deed];
    if (concerned.length === 0 && deed === 'cord') lines.push(phrase('kit.cord.nobody'));
    if (requirement.met === 'yes' && concerned.length > 0)
      lines.push(phrase(words.met, { people: list(true) }));
    if (list(false).length > 0) lines.push(phrase(words.not, { people: list(false) }));
    if (list(undefined).length > 0) lines.push(phrase(words.unset, { people: list(undefined) }));
  }
  return lines;
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
  'not-tested',
  'uncharged',
  'charge-unknown',
  'companion',
  'approval-unknown',
  'approval-unread',
  'expiry-unknown',
  'made-unknown',
  'registration-unknown',
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
const byHope = (misses: NearMiss[]) =>
  misses.toSorted((a, b) => a.reasons.length - b.reasons.length || rankOf(a) - rankOf(b));
const POINTER: Partial<Record<ReasonCode, string>> = {
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
 * replace by its like; borrow; buy. What may count already is worth a look, not a purse.
 */
function waysOf(requirement: Requirement, context: KitFindingContext): Mend[] {
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
    const go = { type: 'trip' as const, id: trip.id };
    if (fellow)
      return silent.length + against.length > 0
        ? [{ label: phrase('company.mend'), go: { ...go, pointer: '/company' } }]
        : [];
    const tap =
      silent.length > 0
        ? [
            {
              label: phrase(`mend.${deed === 'worn' ? 'wear' : 'cord'}` as const, {
                people: silent.map((c) => name(c.person)),
              }),
              do: {
                ...go,
                patch: silent.map((c) => ({
                  op: 'set' as const,
                  pointer: `/crew/${c.i}/${SAID[deed]}`,
                  value: true,
                })),
              },
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
              go: { ...go, pointer: '/crew' },
            },
          ]
        : [];
    return [...tap, ...ask];
  });
}

/** Replace, borrow, buy. */
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
            go: { type: 'gear' as const, id: ended.item, pointer: POINTER[ended.reasons[0].code] ?? '' },
          },
        ]
      : []),
    // Papers are one's own.
    ...(kind === undefined || kind.group === 'paper'
      ? []
      : [
          {
            label: phrase('mend.borrow', { what }),
            add: { type: 'gear' as const, kind: kind.id, borrowed: true as const },
          },
        ]),
    ...(kind === undefined
      ? []
      : [
          {
            label: phrase(kind.group === 'paper' ? 'mend.papers' : 'mend.add', { what }),
            add: { type: 'gear' as const, kind: kind.id },
          },
        ]),
  ];
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
        do: { type: 'gear', id: miss.item, patch: [{ op: 'set', pointer: '/on', value: worn }] },
      };
  }
  if (code === 'not-worn')
    return { label: phrase('mend.worn'), go: { type: 'trip', id: context.trip.id, pointer: '/crew' } };
  if (code === 'stays-home' || code === 'out-of-reach' || code === 'host-stays' || code === 'where-unknown') {
    const label =
      code === 'stays-home'
        ? phrase('mend.take', { item })
        : phrase('mend.stow', { item, where: phrase(`where.${within}`) });
    return {
      label,
      do: { type: 'trip', id: context.trip.id, patch: stowPatch(context.trip, miss.item, within) },
    };
  }
  const person =
    code === 'mass-unknown' || code === 'age-unknown'
      ? context.people.find((p) => (code === 'mass-unknown' ? p.mass : p.born) === undefined)
      : undefined;
  if (person)
    return {
      label: phrase('mend.look', { item: person.name }),
      go: { type: 'person', id: person.id, pointer: code === 'mass-unknown' ? '/mass' : '/born' },
    };
  if (code === 'rapids-unknown' && context.waterId)
    return {
      label: phrase('mend.fact', { fact: phrase('fact.rapids') }),
      go: { type: 'water', id: context.waterId, pointer: '/rapids' },
    };
  const word =
    code === 'not-tested'
      ? 'mend.test'
      : code === 'uncharged' || code === 'charge-unknown'
        ? 'mend.charge'
        : 'mend.look';
  return {
    label: phrase(word, { item }),
    go: { type: 'gear', id: miss.item, pointer: (code && POINTER[code]) ?? '' },
  };
}

function stowPatch(trip: Trip, item: string, place: string) {
  const at = trip.stow.findIndex((s) => s.item === item);
  return at >= 0
    ? [{ op: 'set' as const, pointer: `/stow/${at}/place`, value: place }]
    : [{ op: 'append' as const, pointer: '/stow', value: { item, place } }];
}

/** Where a person settles a missing fact. `person.age@ID` names whose. */
export function mendFact(
  fact: string,
  { trip, boatId, waterId }: Pick<KitFindingContext, 'trip' | 'boatId' | 'waterId'>,
): Mend | undefined {
  const [name, who] = fact.split('@');
  if (name.startsWith(QUESTION)) {
    if (!waterId) return undefined;
    return {
      label: phrase('mend.fact', { fact: phrase('fact.answer') }),
      go: { type: 'water', id: waterId, pointer: `/answers/${name.slice(QUESTION.length)}` },
    };
  }
  const spec = FACTS[name];
  if (!spec) return undefined;
  const id =
    spec.at.type === 'boat'
      ? boatId
      : spec.at.type === 'trip'
        ? trip.id
        : spec.at.type === 'person'
          ? who
          : undefined;
  return {
    label: phrase('mend.fact', { fact: phrase(spec.word, { person: phrase('person.nobody'), ask: name }) }),
    go: { ...spec.at, ...(id ? { id } : {}) },
  };
}
